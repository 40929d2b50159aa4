import { fromDegrees, type Rad, rad } from '../../measure/quantity.js';
import type { Leaning } from './lean.js';

/** Where a joint lies at the bottom and at the top of a ring, from where it lies at half the height of what is glued up, radians. */
export interface JointRun {
  readonly toBottom: Rad;
  readonly toTop: Rad;
}

/** A joint that stands upright, or leans left and right in turn. */
export const UPRIGHT_RUN: JointRun = { toBottom: rad(0), toTop: rad(0) };

/** How far a joint moves aside for every mm that it climbs: tan τ. */
export const slopeOfJoint = (tiltDeg: number): number => Math.tan(fromDegrees(tiltDeg));

/** How far a joint lies round at a radius and a height z from the middle of what is glued up: asin(z·tan τ / r), radians; NaN where it has moved past the radius. */
export const runsTo = (tiltDeg: number, z: number, radiusMm: number): number =>
  Math.asin((z * slopeOfJoint(tiltDeg)) / radiusMm);

/**
 * How a leaning joint runs round at a radius between two heights, mm from half the height of what is glued up: to the right
 * (counter-clockwise from above) or, less than 0, to the left. Nothing where joints lean left and right in turn; null where the
 * radius is less than the joint is moved.
 */
export function jointRun(
  { tiltDeg, hand, cut }: Leaning,
  [bottomMm, topMm]: readonly [bottom: number, top: number],
  radiusMm: number,
): JointRun | null {
  if (cut === 'turned-over') return UPRIGHT_RUN;
  const sign = hand === 'right' ? 1 : -1;
  const [toBottom, toTop] = [bottomMm, topMm].map((z) => sign * runsTo(tiltDeg, z, radiusMm)) as [
    number,
    number,
  ];
  return Number.isNaN(toBottom + toTop) ? null : { toBottom: rad(toBottom), toTop: rad(toTop) };
}
