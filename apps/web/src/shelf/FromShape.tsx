import { STARTING_SHAPES, trimZeros } from '@fellside/core';
import { useState } from 'react';
import { LENGTHS } from './begin.js';
import { Entry, NameAndWood, useUnitName } from './fields.js';
import { ShapeChoice } from './ShapeChoice.js';

/** Inches and millimetres that are round in their own system. */
const USUAL = {
  inches: { heightMm: '6', diameterMm: '8', wallMm: '5/16', ringHeightMm: '3/4' },
  mm: { heightMm: '150', diameterMm: '200', wallMm: '8', ringHeightMm: '20' },
};
/** To what a height is rounded that follows the diameter, in the same units. */
const STEP = { inches: 1 / 4, mm: 5 };

/** A shape, its size, a ring height and a wood. What is closed at both ends is begun as high as its shape is: a ball is round. */
export function FromShape() {
  const unit = useUnitName() as keyof typeof USUAL;
  const [shape, setShape] = useState(STARTING_SHAPES[0]!);
  const usual = USUAL[unit];
  const high = Math.round((Number(usual.diameterMm) * shape.proportion) / STEP[unit]) * STEP[unit];
  const begun = shape.lid?.joined ? { ...usual, heightMm: trimZeros(high.toFixed(2)) } : usual;
  return (
    <>
      <ShapeChoice onChoose={setShape} />
      <NameAndWood />
      {LENGTHS.map(([key, label]) => (
        <Entry key={`${key} ${begun[key]}`} name={key} label={`${label}, ${unit}`} value={begun[key]} />
      ))}
      <Entry name="count" label="Segments a ring" value="12" numeric />
    </>
  );
}
