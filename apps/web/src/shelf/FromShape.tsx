import { LENGTHS } from './begin.js';
import { Entry, NameAndWood, useUnitName } from './fields.js';
import { ShapeChoice } from './ShapeChoice.js';

/** Inches and millimetres that are round in their own system. */
const USUAL = {
  inches: { heightMm: '6', diameterMm: '8', wallMm: '5/16', ringHeightMm: '3/4' },
  mm: { heightMm: '150', diameterMm: '200', wallMm: '8', ringHeightMm: '20' },
};

/** A shape, its size, a ring height and a wood. */
export function FromShape() {
  const unit = useUnitName();
  const usual = USUAL[unit as keyof typeof USUAL];
  return (
    <>
      <ShapeChoice />
      <NameAndWood />
      {LENGTHS.map(([key, label]) => (
        <Entry key={key} name={key} label={`${label}, ${unit}`} value={usual[key]} />
      ))}
      <Entry name="count" label="Segments a ring" value="12" numeric />
    </>
  );
}
