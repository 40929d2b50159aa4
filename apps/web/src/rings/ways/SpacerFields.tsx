import {
  divisors,
  editableLength,
  type Mm,
  mm,
  type ParamsOf,
  parseLength,
  type Result,
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
import { shared } from '../targets.js';

type Spacers = ParamsOf<'spaced'>['spacers'];

const AT: readonly (readonly [Spacers['at'], string])[] = [
  ['every', 'every joint'],
  ['even', 'evenly spread joints'],
  ['picked', 'picked joints'],
];

/** Thickness that a set of spacers has, or begins with. */
export const thicknessOf = (spacers: Spacers) =>
  spacers.at === 'picked' ? spacers.joints[0]!.thicknessMm : spacers.thicknessMm;

interface SpacerFieldsProps {
  /** The spacers that all rings have, or those of the first. */
  readonly spacers: Spacers;
  readonly count: number;
  /** Thickness that all have; null where they differ. */
  readonly thicknessMm: Mm | null;
  readonly at: Spacers['at'] | null;
  readonly onChange: (spacers: Spacers) => Result<unknown>;
}

/** Which joints have spacers, and how thick they are. */
export function SpacerFields({ spacers, count, thicknessMm, at, onChange }: SpacerFieldsProps) {
  const begin = (at: Spacers['at']): Spacers => {
    const thicknessMm = thicknessOf(spacers);
    const kept = spacers.layers && { layers: spacers.layers };
    if (at === 'every') return { at, thicknessMm, ...kept };
    const most = divisors(count).filter((n) => n > 1 && n <= Math.max(2, count / 3));
    if (at === 'even') return { at, thicknessMm, number: most.at(-1) ?? count, ...kept };
    const now = thicknessesOf({ count, spacers });
    return { at, joints: now.flatMap((s, joint) => (s > 0 ? [{ joint, thicknessMm: mm(s) }] : [])), ...kept };
  };
  return (
    <>
      <Choice label="Spacers at" value={at} options={AT} onChange={(at) => onChange(begin(at))} />
      {spacers.at === 'even' && (
        <Choice
          label="How many"
          className="w-20"
          value={String(spacers.number)}
          options={divisors(count).map((n) => [String(n), String(n)])}
          onChange={(number) => onChange({ ...spacers, number: Number(number) })}
        />
      )}
      {spacers.at === 'picked' ? (
        <PickedJoints spacers={spacers} onChange={(joints) => onChange({ ...spacers, joints })} />
      ) : (
        <LengthField
          label="Spacer thickness"
          className="w-24"
          value={thicknessMm}
          onChange={(thickness) => onChange({ ...spacers, thicknessMm: thickness })}
        />
      )}
    </>
  );
}

/** What a ring has between its segments where it may have nothing: glued to each other, or spacers. */
export function SpacersOrNone({
  all,
  onChange,
}: {
  readonly all: readonly Framed[];
  readonly onChange: (spacers: Spacers | undefined) => Result<unknown>;
}) {
  const { spacers, count } = all[0]!;
  return (
    <>
      <Choice
        label="Between segments"
        className="w-28"
        value={shared(all.map(({ spacers }) => (spacers ? 'spacers' : 'nothing')))}
        options={[
          ['nothing', 'nothing'],
          ['spacers', 'spacers'],
        ]}
        onChange={(put) => onChange(put === 'spacers' ? BEGIN_SPACERS : undefined)}
      />
      {spacers && (
        <SpacerFields
          spacers={spacers}
          count={count}
          at={shared(all.map(({ spacers }) => spacers?.at ?? null))}
          thicknessMm={shared(all.map(({ spacers }) => (spacers ? thicknessOf(spacers) : null)))}
          onChange={onChange}
        />
      )}
    </>
  );
}

interface Framed {
  readonly count: number;
  readonly spacers?: Spacers | undefined;
}

export const BEGIN_SPACERS: Spacers = { at: 'every', thicknessMm: mm(3) };

type Joints = Extract<Spacers, { at: 'picked' }>['joints'];

/** Joints by number, from the index mark; a thickness of its own behind an equals sign: `1, 7=3mm`. */
function PickedJoints({
  spacers,
  onChange,
}: {
  spacers: Extract<Spacers, { at: 'picked' }>;
  onChange: (joints: Joints) => Result<unknown>;
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
