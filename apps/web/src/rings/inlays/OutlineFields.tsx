import { mm, type Outline, type Result } from '@fellside/core';
import { useState } from 'react';
import { FACES, type Face } from '../../pattern/faces.js';
import { refusedEntry } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { controlClass, Field } from '../../ui/Field.js';
import { LengthField } from '../../ui/LengthField.js';
import { useReading } from '../../workers/useReading.js';
import { glyphsOfFile, glyphsOfText } from '../ways/glyphs.js';

interface OutlineFieldsProps {
  readonly outline: Outline;
  readonly onChange: (outline: Outline) => Result<unknown>;
}

const SHAPES: readonly (readonly [Outline['shape'], string])[] = [
  ['rectangle', 'rectangle'],
  ['ellipse', 'ellipse'],
  ['capsule', 'capsule'],
  ['drawn', 'letter or own outline'],
];

const FACE_CHOICES = Object.entries(FACES).map(([face, { name }]) => [face as Face, name] as const);

/** The letter that is there first. */
const FIRST = 'F';

/** The outline of an inlay: a plain shape by its size, a letter, or closed paths from an SVG or DXF. */
export function OutlineFields({ outline, onChange }: OutlineFieldsProps) {
  const dispatch = useActions();
  const reading = useReading();
  const [face, setFace] = useState<Face>('literata-black');
  const [letter, setLetter] = useState(outline.shape === 'drawn' ? outline.name : FIRST);
  const { heightMm } = outline;
  const draw = async (glyph: Awaited<ReturnType<typeof glyphsOfFile>>) =>
    typeof glyph === 'string'
      ? dispatch(refusedEntry(glyph))
      : onChange({ shape: 'drawn', name: glyph.name, loops: glyph.loops, heightMm });
  const set = async (text: string, of: Face) => {
    const answer = await glyphsOfText(text.slice(0, 1), of);
    return draw(typeof answer === 'string' ? answer : answer.glyphs[0]!);
  };
  const take = (shape: Outline['shape']) => {
    if (shape === 'drawn') return void set(letter || FIRST, face);
    const widthMm = outline.shape === 'drawn' ? mm(heightMm) : outline.widthMm;
    onChange({ shape, widthMm, heightMm });
  };
  return (
    <>
      <Choice label="Outline" className="w-40" value={outline.shape} options={SHAPES} onChange={take} />
      {outline.shape === 'drawn' ? (
        <>
          <Field label="Letter">
            {(control) => (
              <input
                {...control}
                className={`${controlClass} w-12`}
                value={letter}
                maxLength={1}
                onChange={(event) => {
                  setLetter(event.target.value);
                  if (event.target.value.trim()) void set(event.target.value, face);
                }}
              />
            )}
          </Field>
          <Choice
            label="Face"
            value={face}
            options={FACE_CHOICES}
            onChange={(next) => {
              setFace(next);
              void set(letter || FIRST, next);
            }}
          />
          <label className="flex h-8 cursor-pointer items-center rounded border border-line bg-raised px-2 text-sm">
            SVG or DXF…
            <input
              type="file"
              accept=".svg,.dxf"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) void glyphsOfFile(file, reading.read).then(draw);
                event.target.value = '';
              }}
            />
          </label>
        </>
      ) : (
        <LengthField
          label="Wide"
          className="w-20"
          value={outline.widthMm}
          onChange={(widthMm) => onChange({ ...outline, widthMm })}
        />
      )}
      <LengthField
        label="High"
        className="w-20"
        value={heightMm}
        onChange={(high) => onChange({ ...outline, heightMm: high })}
      />
    </>
  );
}
