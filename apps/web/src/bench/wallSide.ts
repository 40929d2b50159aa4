import { type Curve, insideAt, radiusAt, type Vessel } from '@fellside/core';

/** One side of the turned wall: its curve, and its radius at a height of the piece, mm. */
export interface WallSide {
  readonly curve: Curve;
  radiusAt(z: number): number;
}

/** The outside of a piece, or its inside where it has one. */
export function wallSide(vessel: Vessel, side: 'outside' | 'inside'): WallSide {
  const { outside, inside } = vessel;
  return side === 'inside' && inside
    ? { curve: inside, radiusAt: (z) => insideAt(vessel, z) ?? 0 }
    : { curve: outside, radiusAt: (z) => radiusAt(outside, z) };
}
