import { integrate, integrateKinked } from '../measure/quadrature.js';
import { knotsBetween, radiusAt } from './curve.js';
import { insideAt, type Vessel } from './vessel.js';

/** How near the hollow of a stretch is found, as a share of the form there: its kinks lie at heights that are not known. */
const HOLLOW_SHARE = 2e-5;

/**
 * Volume inside the outer curve between two heights, mm³: π∫r² dz. Exact but for rounding, since r² is a polynomial of
 * degree 6 on every piece of the curve.
 */
export function outsideVolume(vessel: Vessel, z0: number, z1: number): number {
  const square = (z: number) => radiusAt(vessel.outside, z) ** 2;
  return Math.PI * overPieces(vessel, z0, z1, (from, to) => integrate(square, from, to));
}

/** Volume of the hollow between two heights, mm³. */
export function hollowVolume(vessel: Vessel, z0: number, z1: number): number {
  const bottom = Math.max(z0, vessel.hollowFromMm);
  if (bottom >= z1) return 0;
  const square = (z: number) => (insideAt(vessel, z) ?? 0) ** 2;
  const stretches = hollowStretches(vessel, bottom, z1);
  return (
    Math.PI *
    stretches.slice(1).reduce((sum, to, i) => {
      const from = stretches[i]!;
      const enough = HOLLOW_SHARE * (to - from) * radiusAt(vessel.outside, (from + to) / 2) ** 2;
      return sum + integrateKinked(square, from, to, enough);
    }, 0)
  );
}

/** Stretches of the hollow are at most this long (mm), so that no kink hides between the heights that are looked at. */
const STRETCH = 5;

/** Heights between which the inside is all but smooth: the disc that marks it leaves a curve point a wall away from it. */
function hollowStretches({ outside, wallMm, heightMm }: Vessel, z0: number, z1: number): number[] {
  const points = [0, ...outside.pieces.map((piece) => piece.z1)];
  const turns = points
    .flatMap((z) => [z - wallMm, z, z + wallMm])
    .filter((z) => z > z0 && z < Math.min(z1, heightMm));
  const stations = [z0, ...turns.sort((a, b) => a - b), z1];
  return stations.flatMap((z, i) => {
    const next = stations[i + 1];
    if (next === undefined) return [z];
    const parts = Math.ceil((next - z) / STRETCH);
    return Array.from({ length: parts }, (_, k) => z + ((next - z) * k) / parts);
  });
}

/** Volume of wood in the turned piece between two heights, mm³. */
export const woodVolume = (vessel: Vessel, z0: number, z1: number): number =>
  outsideVolume(vessel, z0, z1) - hollowVolume(vessel, z0, z1);

function overPieces(
  vessel: Vessel,
  z0: number,
  z1: number,
  volume: (from: number, to: number) => number,
): number {
  const knots = knotsBetween(vessel.outside, z0, z1);
  return knots.slice(1).reduce((sum, top, i) => sum + volume(knots[i]!, top), 0);
}
