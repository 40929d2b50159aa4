import { type Rad, rad, TURN } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { SAME_ANGLE } from '../measure/tolerance.js';

/** What test pieces are put together against. */
export const TRUE_EDGES = {
  square: 'a square',
  straight: 'a straight edge',
  ring: 'themselves, all round',
  turned: 'each other, one of them turned over',
} as const;
export type TrueEdge = keyof typeof TRUE_EDGES;

const FILLS = { square: TURN / 4, straight: TURN / 2, ring: TURN } as const satisfies Partial<
  Record<TrueEdge, number>
>;

/** So many pieces of a setting fill a quarter, half or the whole of a turn; each of their cuts is in the sum. */
export interface TestSum {
  readonly against: TrueEdge;
  readonly pieces: number;
  readonly cuts: number;
}

/** The sums that a cut angle can be tried by, the one of fewest pieces first: none where no whole number fills a turn or a part of it; a square cut by its two halves. */
export function testSums(cutAngle: Rad): TestSum[] {
  if (cutAngle < SAME_ANGLE) return [{ against: 'turned', pieces: 2, cuts: 2 }];
  return (Object.keys(FILLS) as (keyof typeof FILLS)[]).flatMap((against) => {
    const pieces = Math.round(FILLS[against] / (2 * cutAngle));
    return pieces > 0 && Math.abs(pieces * 2 * cutAngle - FILLS[against]) < SAME_ANGLE * pieces
      ? [{ against, pieces, cuts: 2 * pieces }]
      : [];
  });
}

/** A gap this much as long as the face is no gap of a setting. */
const MOST_GAPE = 0.25;

/**
 * By how much every cut of a test sum is out: the angle of the gap shared by all cuts, asin(gap / face) / cuts. Too small, less than 0, where it
 * gapes at the outside; too large where it gapes at the inside.
 */
export function errorFromSum(
  { cuts }: Pick<TestSum, 'cuts'>,
  gap: { readonly at: 'outside' | 'inside'; readonly gapMm: number },
  faceMm: number,
): Result<Rad> {
  const { at, gapMm } = gap;
  if (!Number.isFinite(gapMm) || gapMm < 0)
    return refuse('gap-measured', 'gapMm', 'A gap is measured as 0 or more.');
  if (gapMm > MOST_GAPE * faceMm)
    return refuse(
      'gap-measured',
      'gapMm',
      say`A gap of ${sayMm(gapMm)} beside a face ${sayMm(faceMm)} long does not come from an angle that is a little wrong: look for a piece of another setting, or a wrong count.`,
    );
  return done(rad(((at === 'outside' ? -1 : 1) * Math.asin(gapMm / faceMm)) / cuts));
}
