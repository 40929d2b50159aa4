import {
  type Command,
  done,
  edit,
  formatLength,
  type Mm,
  mm,
  type Result,
  USUAL_SEGMENTS,
} from '@fellside/core';
import { type ReactNode, useState } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf, woodsOf } from '../store/house.js';
import { preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Cautions } from '../ui/Cautions.js';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Pane } from '../ui/Pane.js';
import { LetInFields } from './LetInFields.js';
import { TurnedCurve } from './TurnedCurve.js';

/** What comes out otherwise at the lathe than it was planned, as edits: the plan follows, what is gone stays in the record. */
export function ChangesView() {
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_220px]">
      <Pane name="Sawn off, glued on">
        <SawOff />
        <GlueOn title="A new foot under it" label="Glue the foot on" command={edit.newFoot} foot />
        <GlueOn title="A rim or cap on top" label="Glue the rim on" command={edit.newRim} />
      </Pane>
      <Pane name="As it came out">
        <TurnedCurve />
        <LetInFields />
      </Pane>
      <Pane name="Take care">
        <Cautions ids={['lathe', 'parting', 'round-work', 'bandsaw', 'dust']} />
      </Pane>
    </div>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mb-5">
    <h2 className="mb-1 text-lg font-semibold">{title}</h2>
    {children}
  </section>
);

/** A length that waits for its button. */
function useLength(start: Mm) {
  const [value, setValue] = useState<Mm>(start);
  const onChange = (next: Mm): Result<unknown> => {
    setValue(next);
    return done(next);
  };
  return { value, onChange };
}

function SawOff() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const prepared = useApp(preparedOf);
  const sawnOff = useApp((state) => projectOf(state).sawnOff) ?? [];
  const at = useLength(mm(25.4));
  if (!prepared.ok) return null;
  const saw = (gone: 'below' | 'above') => dispatch(editPiece(edit.sawOff(at.value, gone)));
  return (
    <Part title="Saw off">
      <p className="mb-2 text-quiet">
        The work is {formatLength(mm(prepared.value.vessel.heightMm), units)} high. What stands keeps its
        radii, woods and turns; undo brings it back.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <LengthField label="Height of the cut" className="w-32" {...at} />
        <Button className="h-11!" onClick={() => saw('below')}>
          Saw off below
        </Button>
        <Button className="h-11!" onClick={() => saw('above')}>
          Saw off above
        </Button>
      </div>
      {sawnOff.length > 0 && (
        <ol className="mt-3" aria-label="Sawn off">
          {sawnOff.map(({ atMm, gone, rings, slants = [] }, i) => (
            <li key={i} className="border-t border-line py-1">
              Sawn off {gone} {formatLength(atMm, units)}: {rings.length}{' '}
              {rings.length === 1 ? 'ring' : 'rings'}
              {slants.length > 0 && `, ${slants.length} slanted ${slants.length === 1 ? 'band' : 'bands'}`}
            </li>
          ))}
        </ol>
      )}
    </Part>
  );
}

interface GlueOnProps {
  readonly title: string;
  readonly label: string;
  readonly command: (heightMm: Mm, radiusMm: Mm, wood: string, segments: number | null) => Command;
  readonly foot?: boolean;
}

const FEET = [
  ['disc', 'one disc'],
  ['segments', 'segments, their points meeting'],
] as const;

/** A foot or rim with its thickness, its diameter where it ends, and its wood. */
function GlueOn({ title, label, command, foot = false }: GlueOnProps) {
  const dispatch = useActions();
  const points = useApp((state) => projectOf(state).form.points);
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(woodsOf);
  const end = foot ? points[0]! : points.at(-1)!;
  const high = useLength(mm(19.05));
  const across = useLength(mm(2 * end.radiusMm));
  const [wood, setWood] = useState(palette[0]!.key);
  const [made, setMade] = useState<'disc' | 'segments'>('disc');
  const [segments, setSegments] = useState(USUAL_SEGMENTS);
  const options = palette.map(
    ({ key, wood: id }) => [key, woods.find((each) => each.id === id)?.name ?? key] as const,
  );
  return (
    <Part title={title}>
      <div className="flex flex-wrap items-end gap-3">
        <LengthField label="Thickness" className="w-28" {...high} />
        <LengthField
          label={foot ? 'Across at the bench' : 'Across at the lip'}
          className="w-36"
          {...across}
        />
        <Choice label="Wood" value={wood} options={options} onChange={setWood} />
        {foot && <Choice label="Made of" value={made} options={FEET} onChange={setMade} />}
        {foot && made === 'segments' && (
          <NumberField label="Segments" value={segments} onChange={(count) => done(setSegments(count))} />
        )}
        <Button
          className="h-11!"
          onClick={() =>
            dispatch(
              editPiece(
                command(high.value, mm(across.value / 2), wood, made === 'segments' ? segments : null),
              ),
            )
          }
        >
          {label}
        </Button>
      </div>
    </Part>
  );
}
