import { type Curve, radiusAt } from './curve.js';

/** Steps in which a slope is followed. */
const STEPS = 16;

/** Length of a curve along its slope between two heights, mm. */
export function slopeLength(curve: Curve, from: number, to: number): number {
  const step = (to - from) / STEPS;
  let sum = 0;
  for (let i = 0; i < STEPS; i++) {
    const across = radiusAt(curve, from + (i + 1) * step) - radiusAt(curve, from + i * step);
    sum += Math.sqrt(step * step + across * across);
  }
  return sum;
}
