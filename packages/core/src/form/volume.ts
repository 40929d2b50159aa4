import { integrate } from '../measure/quadrature.js';
import { type Curve, pieceRadius, piecesBetween } from './curve.js';
import { recessVolume } from './recess.js';
import type { Vessel } from './vessel.js';

/**
 * Volume inside a curve between two heights, mm³: π∫r² dz. Exact but for rounding, since r² is a polynomial of degree 6
 * on every piece of the curve.
 */
function turned(curve: Curve, z0: number, z1: number): number {
  let sum = 0;
  for (const piece of piecesBetween(curve, z0, z1)) {
    const square = (z: number) => pieceRadius(piece, z) ** 2;
    sum += integrate(square, Math.max(z0, piece.z0), Math.min(z1, piece.z1));
  }
  return Math.PI * sum;
}

/** Volume inside the outer curve between two heights, mm³. */
export const outsideVolume = ({ outside }: Vessel, z0: number, z1: number): number => turned(outside, z0, z1);

/** Volume of the hollow between two heights, mm³. */
export function hollowVolume({ inside, hollowFromMm, hollowToMm }: Vessel, z0: number, z1: number): number {
  const [from, to] = [Math.max(z0, hollowFromMm), Math.min(z1, hollowToMm)];
  return inside === null || from >= to ? 0 : turned(inside, from, to);
}

/** Volume of wood in the turned piece between two heights, mm³: without the hollow and the foot recess. */
export const woodVolume = (vessel: Vessel, z0: number, z1: number): number =>
  outsideVolume(vessel, z0, z1) - hollowVolume(vessel, z0, z1) - recessVolume(vessel.recess, z0, z1);
