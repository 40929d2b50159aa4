import { fromDegrees, type Rad, rad } from '../../measure/quantity.js';
import type { Leaning } from './lean.js';

/**
 * How far a joint of a ring of height h runs round from its middle to its top at a radius: asin(h·tan τ / 2r), to the
 * right (counter-clockwise from above) or, less than 0, to the left. 0 where joints lean left and right in turn; null
 * where the radius is less than the joint is moved.
 */
export function jointRuns({ tiltDeg, hand, cut }: Leaning, heightMm: number, radiusMm: number): Rad | null {
  if (cut === 'turned-over') return rad(0);
  const share = (heightMm * Math.tan(fromDegrees(tiltDeg))) / (2 * radiusMm);
  if (share >= 1) return null;
  return rad(hand === 'right' ? Math.asin(share) : -Math.asin(share));
}
