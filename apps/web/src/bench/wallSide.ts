import type { Curve, Vessel } from '@fellside/core';

/** One side of the turned wall, and its curve. */
export interface WallSide {
  readonly side: 'outside' | 'inside';
  readonly curve: Curve;
}

/** The outside of a piece, or its inside where it has one. */
export const wallSide = ({ outside, inside }: Vessel, side: 'outside' | 'inside'): WallSide =>
  side === 'inside' && inside ? { side, curve: inside } : { side: 'outside', curve: outside };
