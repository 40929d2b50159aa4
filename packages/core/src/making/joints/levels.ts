import type { Mm } from '../../measure/quantity.js';
import { fromDegrees } from '../../measure/quantity.js';
import type { Point } from '../../ring/plane.js';
import type { LaidPiece } from '../contract.js';
import type { Framing } from './framing.js';

/** A rim that is drawn between two levels with straight lines dips into the plug by no more than this (mm). */
const DIPS = 0.005;

/** How far the rim of a hole moves round it from the bottom of a ring to its top, radians: Δ = 2·asin(h·tan τ / 2r); 0 where there is none, or joints are upright. */
export function rimMoves({ plug, lean }: Framing, heightMm: number): number {
  if (!plug || !lean) return 0;
  return 2 * Math.asin(Math.min(1, (heightMm * Math.tan(fromDegrees(lean.tiltDeg))) / plug.diameterMm));
}

/**
 * Heights between which corners go straight, of a ring with these joints: bottom and top, and so many between them where a hole is
 * drilled through joints that lean: a chord of Δ/n of its rim dips by r·(Δ/n)²/8.
 */
export function levelsOf(framing: Framing, heightMm: Mm): readonly number[] {
  const round = rimMoves(framing, heightMm);
  if (round === 0) return [0, heightMm];
  const parts = Math.ceil(round * Math.sqrt(framing.plug!.diameterMm / (16 * DIPS)));
  return Array.from({ length: parts + 1 }, (_, i) => (heightMm * i) / parts);
}

/** A piece as it rises between two heights, part by part where levels lie between them. */
export function risingThrough(
  place: number,
  [fromMm, toMm]: readonly [from: number, to: number],
  levels: readonly number[],
  at: (z: number) => readonly Point[],
): LaidPiece[] {
  const heights = [fromMm, ...levels.filter((z) => z > fromMm && z < toMm), toMm];
  const outlines = heights.map(at);
  return heights.slice(1).map((to, i) => ({
    place,
    fromMm: heights[i]!,
    toMm: to,
    bottom: outlines[i]!,
    top: outlines[i + 1]!,
  }));
}
