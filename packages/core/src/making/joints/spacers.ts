import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { MOST_SEGMENTS } from '../segments.js';

const thicknessMm = length('Spacer', 0.2, 100);

/** Which joints have a spacer, and how thick it is. Joint 0 lies at the index mark, before the first segment. */
export const spacersSchema = z.discriminatedUnion('at', [
  z.strictObject({ at: z.literal('every'), thicknessMm }),
  z.strictObject({
    at: z.literal('even'),
    number: whole('Number of spacers', 1, MOST_SEGMENTS),
    thicknessMm,
  }),
  z.strictObject({
    at: z.literal('picked'),
    joints: z
      .array(z.strictObject({ joint: whole('Joint', 0, MOST_SEGMENTS - 1), thicknessMm }))
      .min(1, { error: () => 'No joint has a spacer; pick at least two that balance.' })
      .max(MOST_SEGMENTS),
  }),
]);

export type Spacers = z.infer<typeof spacersSchema>;

/** What is wrong with where spacers are put in a ring of `count`; null where nothing is. */
export function wrongJoints(count: number, spacers: Spacers): string | null {
  if (spacers.at === 'even' && count % spacers.number !== 0)
    return `${spacers.number} spacers do not go evenly into ${count} segments; the number has to be one of ${divisors(count).join(', ')}.`;
  if (spacers.at !== 'picked') return null;
  const joints = spacers.joints.map(({ joint }) => joint);
  const beyond = joints.find((joint) => joint >= count);
  if (beyond !== undefined)
    return `Joint ${beyond + 1} is not there; a ring of ${count} segments has joints 1 to ${count}.`;
  const twice = joints.find((joint, i) => joints.indexOf(joint) !== i);
  return twice === undefined ? null : `Joint ${twice + 1} is given two spacers; it takes one.`;
}

/** Numbers of spacers that lie evenly in a ring of `count`. */
export const divisors = (count: number): number[] =>
  Array.from({ length: count }, (_, i) => i + 1).filter((n) => count % n === 0);

/** Thickness of the spacer at every joint, 0 where there is none. */
export function thicknessesOf({
  count,
  spacers,
}: {
  readonly count: number;
  readonly spacers: Spacers;
}): number[] {
  const thicknesses = Array.from({ length: count }, () => 0);
  if (spacers.at === 'picked') for (const { joint, thicknessMm: s } of spacers.joints) thicknesses[joint] = s;
  else {
    const every = spacers.at === 'every' ? 1 : count / spacers.number;
    for (let joint = 0; joint < count; joint += every) thicknesses[joint] = spacers.thicknessMm;
  }
  return thicknesses;
}

/** Spacers at joints picked one by one. */
export const pickedFrom = (thicknesses: readonly number[]): Spacers => ({
  at: 'picked',
  joints: thicknesses.flatMap((s, joint) => (s > 0 ? [{ joint, thicknessMm: mm(s) }] : [])),
});

/** Spacers picked one by one, the other way round: joint j is joint N − j. */
export const mirroredSpacers = ({ joints }: Extract<Spacers, { at: 'picked' }>, count: number): Spacers => ({
  at: 'picked',
  joints: joints.map(({ joint, thicknessMm: s }) => ({ joint: (count - joint) % count, thicknessMm: s })),
});

/** The same spacers in a ring of another count, as far as they go with it. */
export function spacersFor(spacers: Spacers, count: number): Spacers {
  if (spacers.at === 'every') return spacers;
  if (spacers.at === 'even') {
    const most = divisors(count).filter((n) => n <= spacers.number);
    return { ...spacers, number: most[most.length - 1]! };
  }
  const joints = spacers.joints.filter(({ joint }) => joint < count);
  return joints.length > 0
    ? { at: 'picked', joints }
    : { at: 'every', thicknessMm: spacers.joints[0]!.thicknessMm };
}
