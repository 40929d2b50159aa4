import { edit, projectedSections } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { NumberField } from '../../ui/NumberField.js';
import { OptionalLength } from '../../ui/OptionalLength.js';
import { type ControlsProps, useParams } from './params.js';

type Twist = Parameters<typeof edit.twistStack>[1]['twist'];

const TWISTS: readonly (readonly [Twist, string])[] = [
  ['steady', 'steady'],
  ['growing', 'growing'],
  ['there-and-back', 'there and back'],
];

/** The board that there is for sliced discs, the pin through them, and how they are turned on slice by slice. */
export function TwistControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const { common } = useParams('disc', targets);
  const set = (change: Parameters<typeof edit.setThickDisc>[1]) =>
    dispatch(editPiece(edit.setThickDisc(targets, change)));
  /** A length that may be left out, as a field shows it. */
  const optional = (key: 'boardMm' | 'pinMm', none: string) => {
    const all = common(({ after }) => after?.[key] ?? none);
    return typeof all === 'number'
      ? { value: all, empty: none }
      : { value: undefined, empty: all ?? 'various' };
  };
  const [twist, setTwist] = useState<Twist>('steady');
  const [stepDeg, setStep] = useState(6);
  const sections = projectedSections(rings, targets);
  return (
    <>
      <div className="w-24">
        <OptionalLength
          label="Board, thick"
          {...optional('boardMm', 'as it takes')}
          onChange={(boardMm) => set({ boardMm })}
        />
      </div>
      <div className="w-24">
        <OptionalLength label="Pin" {...optional('pinMm', 'none')} onChange={(pinMm) => set({ pinMm })} />
      </div>
      <Choice label="Twist" className="w-32" value={twist} options={TWISTS} onChange={setTwist} />
      <NumberField
        label="Step"
        className="w-16"
        unit="°"
        value={stepDeg}
        onChange={(next) => {
          setStep(next);
          return { ok: true, value: next };
        }}
      />
      <Button
        title="Divides the slices into sections that the board gives, and turns each on from the one below"
        onClick={() => dispatch(editPiece(edit.twistStack(targets, { twist, stepDeg })))}
      >
        Divide and twist
      </Button>
      {sections.length > 1 && (
        <p className="max-w-64 self-center text-xs text-quiet">
          {sections.length} sections of {sections.map((section) => section.length).join(', ')} slices.
        </p>
      )}
    </>
  );
}
