import type { Point } from '../../ring/plane.js';
import type { LaidPiece } from '../contract.js';
import type { Framing } from './framing.js';
import { runsTo, slopeOfJoint } from './stripe.js';

/** A rim that is drawn between two levels with straight lines dips into the plug by no more than this (mm). */
const DIPS = 0.005;

/** Bottom and top of a ring, mm from half the height of what is glued up. */
export type Span = readonly [bottomMm: number, topMm: number];

/** How far the rim of a hole lies aside, at its ends, where it is drilled through joints that lean, radians; nothing where it is not. */
export function rimRuns({ plug, lean }: Framing, span: Span): readonly [low: number, high: number] {
  if (!plug || !lean) return [0, 0];
  // A plug that is only just as large as its joints move may be a rounding too small.
  const at = (z: number) => {
    const round = runsTo(lean.tiltDeg, z, plug.diameterMm / 2);
    return Number.isNaN(round) ? (Math.sign(z) * Math.PI) / 2 : round;
  };
  return [at(span[0]), at(span[1])];
}

/**
 * Heights above a ring's bottom between which corners go straight: bottom and top, and so many between them where a hole is drilled
 * through joints that lean. They part the way of its rim evenly: a chord of Δ/n dips by r·(Δ/n)²/8.
 */
export function levelsOf(framing: Framing, span: Span): readonly number[] {
  const [bottom, top] = span;
  const [low, high] = rimRuns(framing, span);
  const { plug, lean } = framing;
  if (!plug || !lean || low === high) return [0, top - bottom];
  const radius = plug.diameterMm / 2;
  const parts = Math.ceil((high - low) * Math.sqrt(radius / (8 * DIPS)));
  const between = Array.from({ length: parts - 1 }, (_, i) => {
    const round = low + ((high - low) * (i + 1)) / parts;
    return (Math.sin(round) * radius) / slopeOfJoint(lean.tiltDeg) - bottom;
  });
  return [0, ...between, top - bottom];
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
