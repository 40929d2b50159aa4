import { formatAngle, trimZeros } from '../measure/format.js';
import type { RingPlan } from './ringPlan.js';

/** A turn as it is read everywhere, in segments and in degrees: `½ = 7.5°`; `0` where there is none. */
export function turnSaid({ segments, angle }: RingPlan['turn']): string {
  if (segments === 0) return '0';
  const share = segments === 0.5 ? '½' : trimZeros(segments.toFixed(3));
  return `${share} = ${formatAngle(angle)}`;
}
