import type { Point } from '../../ring/plane.js';

const square = (left: number, low: number, right: number, high: number): Point[] => [
  { x: left, y: low },
  { x: right, y: low },
  { x: right, y: high },
  { x: left, y: high },
];

/** A log-cabin square about the axis: a heart, and rounds of four logs each laid round what is there. Lengths in mm. */
export interface Cabin {
  readonly rounds: number;
  readonly heartMm: number;
  readonly logMm: number;
}

/** The cabin of so many rounds whose square holds a disc of a radius; its heart takes `share` of the width. */
export function cabinHolding(rounds: number, share: number, radiusMm: number): Cabin {
  const heartMm = 2 * radiusMm * share;
  return { rounds, heartMm, logMm: (2 * radiusMm - heartMm) / (2 * rounds) };
}

export const heart = ({ heartMm }: Cabin): Point[] =>
  square(-heartMm / 2, -heartMm / 2, heartMm / 2, heartMm / 2);

/**
 * Log `i`, counted from the heart outwards, four a round: right, top, left, bottom. Each log is as long as the side that it
 * is glued to; later logs of a round cover the ends of earlier ones.
 */
export function log({ heartMm, logMm }: Cabin, i: number): Point[] {
  const [round, side] = [Math.floor(i / 4), i % 4];
  const half = heartMm / 2 + round * logMm;
  const grown = half + logMm;
  if (side === 0) return square(half, -half, grown, half);
  if (side === 1) return square(-half, half, grown, grown);
  if (side === 2) return square(-grown, -half, -half, grown);
  return square(-grown, -grown, grown, -half);
}
