import { fromDegrees, type Rad, rad } from '../../measure/quantity.js';
import type { Leaning } from './lean.js';

/** Where a joint lies at the bottom and at the top of a ring, from where it lies at half the height of what is glued up, radians. */
export interface JointRun {
  readonly toBottom: Rad;
  readonly toTop: Rad;
}

/** A joint that stands upright, or leans left and right in turn. */
export const UPRIGHT_RUN: JointRun = { toBottom: rad(0), toTop: rad(0) };

/**
 * How a leaning joint runs round at a radius between two heights, mm from half the height of what is glued up: by
 * asin(z·tan τ / r) to the right (counter-clockwise from above) or, less than 0, to the left. Nothing where joints lean left and
 * right in turn; null where the radius is less than the joint is moved.
 */
export function jointRun(
  { tiltDeg, hand, cut }: Leaning,
  [bottomMm, topMm]: readonly [bottom: number, top: number],
  radiusMm: number,
): JointRun | null {
  if (cut === 'turned-over') return UPRIGHT_RUN;
  const slope = Math.tan(fromDegrees(tiltDeg)) * (hand === 'right' ? 1 : -1);
  const [low, high] = [(bottomMm * slope) / radiusMm, (topMm * slope) / radiusMm];
  if (Math.max(Math.abs(low), Math.abs(high)) >= 1) return null;
  return { toBottom: rad(Math.asin(low)), toTop: rad(Math.asin(high)) };
}
