import { z } from 'zod';
import { number } from '../../measure/field.js';
import { degrees, fromDegrees, rad, TURN } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayRad } from '../../measure/said.js';

/** Unequal segments: their angles in proportion, repeated round the ring. Left out, all are equal. */
export const partsField = z
  .array(number('Share of a segment', 0.05, 20))
  .min(2)
  .max(60, { abort: true })
  .optional();

interface Parted {
  readonly count: number;
  readonly parts?: readonly number[] | undefined;
}

export const goesIn = ({ count, parts }: Parted): boolean => !parts || count % parts.length === 0;

export const doesNotGoIn = {
  path: ['parts'],
  error: ({ input }: { input?: unknown }) => {
    const { count, parts } = input as { count: number; parts: unknown[] };
    return `A pattern of ${parts.length} unequal segments does not go into ${count}; the count has to be a multiple of ${parts.length}.`;
  },
};

/** Another count; a pattern of unequal segments stays where it goes into it. */
export function withCount<P extends Parted>({ parts, ...rest }: P, count: number): P {
  return { ...rest, ...(parts && count % parts.length === 0 && { parts }), count } as unknown as P;
}

/** Unequal segments in the opposite order. */
export const mirroredParts = <P extends Parted>(given: P): P =>
  given.parts ? { ...given, parts: [...given.parts].reverse() } : given;

/** Angles within this of a full turn close (rad): a hundredth of a degree in all. */
const CLOSES = fromDegrees(0.01);

/** Proportions from included angles in degrees, repeated round a ring of `count`; they have to make up the circle. */
export function partsFromDegrees(angles: readonly number[], count: number): Result<number[]> {
  if (!goesIn({ count, parts: angles }))
    return refuse('parts-do-not-go-in', 'parts', doesNotGoIn.error({ input: { count, parts: angles } }));
  const laps = count / angles.length;
  const sum = rad(angles.reduce((total, angle) => total + fromDegrees(angle), 0) * laps);
  if (Math.abs(sum - TURN) > CLOSES)
    return refuse(
      'angles-do-not-add-up',
      'parts',
      say`The angles, ${laps === 1 ? 'once' : `${laps} times`} round, add up to ${sayRad(sum)}; they have to make 360°.`,
      { sum: degrees(sum) },
    );
  return done([...angles]);
}
