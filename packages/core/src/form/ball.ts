import { smallest } from '../measure/smallest.js';
import { type Curve, extremes, pieceRadius, piecesBetween, turningHeights } from './curve.js';

/** Least and greatest distance of a curve from a point of the axis at height `centre`, over heights z0..z1; mm. */
export function distances(
  curve: Curve,
  z0: number,
  z1: number,
  centre: number,
): { readonly least: number; readonly most: number } {
  let [least, most] = [Infinity, -Infinity];
  for (const piece of piecesBetween(curve, z0, z1)) {
    const [from, to] = [Math.max(z0, piece.z0), Math.min(z1, piece.z1)];
    const away = (z: number) => Math.hypot(Math.max(0, pieceRadius(piece, z)), z - centre);
    least = Math.min(least, smallest(away, from, to).value);
    most = Math.max(most, -smallest((z) => -away(z), from, to).value);
  }
  return { least, most };
}

/** Height at which a curve is widest between two (mm): the lowest, where it is as wide at several. */
export function widestBetween(curve: Curve, z0: number, z1: number): number {
  const { most } = extremes(curve, z0, z1);
  for (const piece of piecesBetween(curve, z0, z1)) {
    const [from, to] = [Math.max(z0, piece.z0), Math.min(z1, piece.z1)];
    for (const z of [from, ...turningHeights(piece, 0), to])
      if (z >= from && z <= to && pieceRadius(piece, z) > most - 1e-9) return z;
  }
  return z1;
}
