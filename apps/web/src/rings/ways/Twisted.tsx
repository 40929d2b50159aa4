import { edit, mm, projectedSections } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { OptionalLength } from '../../ui/OptionalLength.js';
import { BoardRows } from './BoardRows.js';
import { type ControlsProps, useParams } from './params.js';

type Twist = Parameters<typeof edit.twistStack>[1]['twist'];

const TWISTS: readonly (readonly [Twist, string])[] = [
  ['steady', 'steady'],
  ['growing', 'growing'],
  ['there-and-back', 'there and back'],
];

/** A board that several discs are scribed on is begun at most so long. */
const LONGEST = mm(900);

/** The board of strips that slices come from, and how the stack is twisted. */
export function TwistedControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const { all, common, set } = useParams('twisted', targets);
  const [twist, setTwist] = useState<Twist>('steady');
  const [stepDeg, setStep] = useState(6);
  const sections = projectedSections(rings, targets);
  return (
    <>
      <BoardRows targets={targets} />
      <LengthField
        label="Board, thick"
        className="w-20"
        value={common((p) => p.boardMm)}
        onChange={(boardMm) => set({ boardMm })}
      />
      <LengthField
        label="Resaw kerf"
        className="w-20"
        value={common((p) => p.kerfMm)}
        onChange={(kerfMm) => set({ kerfMm })}
      />
      <LengthField
        label="Clean-up in all"
        className="w-20"
        value={common((p) => p.cleanUpMm)}
        onChange={(cleanUpMm) => set({ cleanUpMm })}
      />
      <Choice
        label="Boards"
        className="w-48"
        value={common((p) => (p.longestMm === undefined ? 'own' : 'shared'))}
        options={[
          ['own', 'one for each section'],
          ['shared', 'several discs on one'],
        ]}
        onChange={(boards) => set({ longestMm: boards === 'own' ? undefined : LONGEST })}
      />
      {all.every((p) => p.longestMm !== undefined) && (
        <LengthField
          label="Longest board"
          className="w-24"
          value={common((p) => p.longestMm!)}
          onChange={(longestMm) => set({ longestMm })}
        />
      )}
      <div className="w-24">
        <OptionalLength label="Pin" value={all[0]!.pinMm} onChange={(pinMm) => set({ pinMm })} />
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
      <Button onClick={() => dispatch(editPiece(edit.twistStack(targets, { twist, stepDeg })))}>
        Divide into sections and twist
      </Button>
      <p className="max-w-64 self-center text-xs text-quiet">
        {sections.length === 1
          ? `Slices of one section: rings ${sections[0]!.map((i) => i + 1).join(', ')}.`
          : `${sections.length} sections of ${sections.map((s) => s.length).join(', ')} slices.`}{' '}
        Turns are in degrees.
      </p>
    </>
  );
}
