import { STARTING_SHAPES } from '@fellside/core';
import { useState } from 'react';
import { LENGTHS, usualSize } from './begin.js';
import { Entry, NameAndWood, useUnitName } from './fields.js';
import { ShapeChoice } from './ShapeChoice.js';

/** A shape, its size, a ring height and a wood. */
export function FromShape() {
  const unit = useUnitName();
  const [shape, setShape] = useState(STARTING_SHAPES[0]!);
  const usual = usualSize(shape, unit);
  return (
    <>
      <ShapeChoice onChoose={setShape} />
      <NameAndWood />
      {LENGTHS.map(([key, label]) => (
        // A field whose usual length is another one is begun anew; what was typed in the others stays.
        <Entry key={`${key} ${usual[key]}`} name={key} label={`${label}, ${unit}`} value={usual[key]} />
      ))}
      <Entry name="count" label="Segments a ring" value="12" numeric />
    </>
  );
}
