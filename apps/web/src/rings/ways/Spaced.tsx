import {
  divisors,
  editableLength,
  mm,
  type ParamsOf,
  parseLength,
  type Said,
  sentenceIn,
  thicknessesOf,
} from '@fellside/core';
import { useState } from 'react';
import { refusedEntry } from '../../store/edits.js';
import { unitsOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { Field } from '../../ui/Field.js';
import { LengthField } from '../../ui/LengthField.js';
import { TextEntry } from '../../ui/TextEntry.js';
import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';

type Spacers = ParamsOf<'spaced'>['spacers'];

const AT: readonly (readonly [Spacers['at'], string])[] = [
  ['every', 'every joint'],
  ['even', 'evenly spread joints'],
  ['picked', 'picked joints'],
];

/** Thickness that a set of spacers has, or begins with. */
const thicknessOf = (spacers: Spacers) =>
  spacers.at === 'picked' ? spacers.joints[0]!.thicknessMm : spacers.thicknessMm;

/** Which joints have spacers, how thick they are, a plug. */
export function SpacedControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('spaced', targets);
  const first = all[0]!;
  const thicknessMm = thicknessOf(first.spacers);
  const begin = (at: Spacers['at']): Spacers => {
    if (at === 'every') return { at, thicknessMm };
    const most = divisors(first.count).filter((n) => n > 1 && n <= Math.max(2, first.count / 3));
    if (at === 'even') return { at, thicknessMm, number: most.at(-1) ?? first.count };
    const now = thicknessesOf(first);
    return { at, joints: now.flatMap((s, joint) => (s > 0 ? [{ joint, thicknessMm: mm(s) }] : [])) };
  };
  const { spacers } = first;
  return (
    <>
      <Choice
        label="Spacers at"
        value={common((params) => params.spacers.at)}
        options={AT}
        onChange={(at) => set({ spacers: begin(at) })}
      />
      {spacers.at === 'even' && (
        <Choice
          label="How many"
          className="w-20"
          value={String(spacers.number)}
          options={divisors(first.count).map((n) => [String(n), String(n)])}
          onChange={(number) => set({ spacers: { ...spacers, number: Number(number) } })}
        />
      )}
      {spacers.at === 'picked' ? (
        <PickedJoints spacers={spacers} onChange={(joints) => set({ spacers: { at: 'picked', joints } })} />
      ) : (
        <LengthField
          label="Spacer thickness"
          className="w-24"
          value={common((params) => thicknessOf(params.spacers))}
          onChange={(thickness) => set({ spacers: { ...spacers, thicknessMm: thickness } })}
        />
      )}
      <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />
    </>
  );
}

type Joints = Extract<Spacers, { at: 'picked' }>['joints'];

/** Joints by number, from the index mark; a thickness of its own behind an equals sign: `1, 7=3mm`. */
function PickedJoints({
  spacers,
  onChange,
}: {
  spacers: Extract<Spacers, { at: 'picked' }>;
  onChange: (joints: Joints) => ReturnType<ReturnType<typeof useParams<'spaced'>>['set']>;
}) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const shown = spacers.joints
    .map(({ joint, thicknessMm }) => `${joint + 1}=${editableLength(thicknessMm, units)}`)
    .join(', ');
  const read = (text: string) => {
    let last = spacers.joints[0]!.thicknessMm;
    const joints: Joints = [];
    for (const part of text.split(/[,;]/).filter((piece) => piece.trim() !== '')) {
      const [number, given] = part.split('=') as [string, string | undefined];
      const joint = Number(number.trim());
      const thickness = given === undefined ? null : parseLength(given, units, 'Spacer');
      if (!Number.isInteger(joint) || joint < 1 || (thickness && !thickness.ok))
        return dispatch(
          refusedEntry(
            `“${part.trim()}” is no joint; write joints like 1, 7 or, with a thickness, 1=3mm, 7=3mm.`,
          ),
        );
      if (thickness?.ok) last = thickness.value;
      joints.push({ joint: joint - 1, thicknessMm: last });
    }
    return onChange(joints);
  };
  return (
    <Field label="Joints = thickness" problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-52"
          shown={shown}
          editable={shown}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
