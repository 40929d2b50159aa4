import { type Result, refuse } from '../../measure/reason.js';
import { say, sayRad } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { closes, ovalOf } from '../joints/closing.js';
import { holdOfGaps, jointingOfGaps } from '../joints/gaps.js';
import { type Jointed, jointed } from '../joints/jointed.js';
import { leanOf } from '../joints/lean.js';
import { mirroredSpacers, spacersFor, thicknessesOf } from '../joints/spacers.js';
import { doesNotClose, ovalWarning, thickWarning } from '../joints/told.js';
import type { Warning } from '../warnings.js';
import type { Between, TiltedParams } from './params.js';

/** Thickness of the spacer at every joint, 0 where there is none. */
export const spacersOf = ({ count, between }: TiltedParams): number[] =>
  between?.put === 'spacers'
    ? thicknessesOf({ count, spacers: between.spacers })
    : Array.from({ length: count }, () => 0);

/** Sizes the ring with what lies in its joints. */
export function sizedRing(given: TiltedParams, need: RingNeed): Result<Jointed> {
  const { count, between } = given;
  const lean = leanOf(given);
  if (between?.put === 'gaps') {
    const { gap } = between;
    const hold = holdOfGaps(gap, count, need.outerRadiusMm);
    return hold > 0
      ? jointed(jointingOfGaps(gap, count, lean), need)
      : refuse(
          'gap-no-contact',
          'between.gap',
          say`These gaps leave no contact with the next ring half a pitch round: each segment would miss the one below by ${sayRad(-hold)}. Make them narrower or take fewer segments.`,
        );
  }
  const thicknesses = spacersOf(given);
  const layers = between?.spacers.layers;
  return closes(thicknesses)
    ? jointed({ thicknesses, filled: true, layers, lean }, need)
    : doesNotClose(thicknesses);
}

/** What is to be looked at in what lies in the joints. */
export function warningsOf(given: TiltedParams, outerRadiusMm: number): Warning[] {
  if (given.between?.put !== 'spacers') return [];
  const thicknesses = spacersOf(given);
  return [
    ...thickWarning(thicknesses, outerRadiusMm, Math.PI / given.count),
    ...ovalWarning(ovalOf(thicknesses)),
  ];
}

/** The same in a ring of another count, as far as it goes with it. */
export const betweenFor = (between: Between, count: number): Between =>
  between.put === 'spacers' ? { ...between, spacers: spacersFor(between.spacers, count) } : between;

/** The same in the mirror. */
export const mirroredBetween = (between: Between, count: number): Between =>
  between.put === 'spacers' ? { ...between, spacers: mirroredSpacers(between.spacers, count) } : between;
