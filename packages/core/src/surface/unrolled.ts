import type { Curve } from '../form/curve.js';
import type { Standing } from './standing.js';
import { type WallPatch, wallPatches } from './wall.js';

/** A place on the unrolled wall: its corners as shares of the way round (they may lie a little beyond 0 and 1) and heights. */
export interface UnrolledPart {
  readonly place: number;
  readonly low: { readonly z: number; readonly from: number; readonly to: number };
  readonly high: { readonly z: number; readonly from: number; readonly to: number };
}

/** The wall of a ring laid flat between two heights; a place across 0° comes twice, once at either end. */
export function unrolledParts(ring: Standing, outside: Curve, from: number, to: number): UnrolledPart[] {
  return wallPatches(ring, outside, from, to).flatMap(({ place, low, high }) =>
    [-1, 0, 1, 2].flatMap((lap) => {
      const share = ({ z, from: a, to: b }: WallPatch['low']) => ({
        z,
        from: a / (2 * Math.PI) - lap,
        to: b / (2 * Math.PI) - lap,
      });
      const [lower, upper] = [share(low), share(high)];
      const outside = Math.max(lower.to, upper.to) <= 1e-9 || Math.min(lower.from, upper.from) >= 1 - 1e-9;
      return outside ? [] : [{ place, low: lower, high: upper }];
    }),
  );
}
