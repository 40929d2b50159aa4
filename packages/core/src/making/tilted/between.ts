import type { Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import { closes, ovalOf } from '../joints/closing.js';
import { jointingOfGaps } from '../joints/gaps.js';
import { holdWarnings, noHold } from '../joints/hold.js';
import { type Jointed, jointed } from '../joints/jointed.js';
import { leanOf } from '../joints/lean.js';
import { nearestSpacers } from '../joints/nearest.js';
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
    return (
      noHold(gap, count, need.outerRadiusMm, 'between.gap') ?? jointed(jointingOfGaps(gap, count, lean), need)
    );
  }
  const thicknesses = spacersOf(given);
  const layers = between?.spacers.layers;
  return closes(thicknesses)
    ? jointed({ thicknesses, filled: true, layers, lean }, need)
    : doesNotClose(thicknesses);
}

/** What is to be looked at in what lies in the joints. */
export function warningsOf(given: TiltedParams, need: RingNeed): Warning[] {
  if (given.between?.put === 'gaps') return holdWarnings(given.between.gap, given.count, need);
  if (!given.between) return [];
  const thicknesses = spacersOf(given);
  return [
    ...thickWarning(thicknesses, need.outerRadiusMm, Math.PI / given.count),
    ...ovalWarning(ovalOf(thicknesses)),
  ];
}

/** The same in a ring of another count, as far as it goes with it. */
export const betweenFor = (between: Between, count: number): Between =>
  between.put === 'spacers' ? { ...between, spacers: spacersFor(between.spacers, count) } : between;

/** The same in the mirror. */
export const mirroredBetween = (between: Between, count: number): Between =>
  between.put === 'spacers' ? { ...between, spacers: mirroredSpacers(between.spacers, count) } : between;

/** The same ring with the nearest set of spacers that closes; null where these close, or where nothing near does. */
export function nearestClosing(given: TiltedParams): TiltedParams | null {
  const { between } = given;
  if (between?.put !== 'spacers' || closes(spacersOf(given))) return null;
  const spacers = nearestSpacers(given.count, between.spacers);
  return spacers && { ...given, between: { ...between, spacers } };
}
