import { divisors, type Mm, mm, type Result, type Spacers, thicknessesOf } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { PickedJoints } from './PickedJoints.js';

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
        <PickedJoints
          joints={spacers.joints}
          count={count}
          onChange={(joints) => onChange({ ...spacers, joints })}
        />
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
