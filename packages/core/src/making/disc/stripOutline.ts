import { TURN } from '../../measure/quantity.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type Point, polar } from '../../ring/plane.js';

/** Corners of an arc are at most this far apart (radians); the disc is drawn round the circle that it holds. */
export const ARC = TURN / 180;

/** The part of a disc between two lines along x: the strip's two ends are arcs. */
export function stripOutline(radius: number, from: number, to: number): Point[] {
  const [low, high] = [Math.max(-radius, from), Math.min(radius, to)];
  if (high - low <= SAME_LENGTH) return [];
  const [a, b] = [Math.asin(low / radius), Math.asin(high / radius)];
  const corners = Math.max(2, Math.ceil((b - a) / ARC) + 1);
  const at = (i: number) => a + ((b - a) * i) / (corners - 1);
  const right = Array.from({ length: corners }, (_, i) => polar(radius, at(i)));
  const left = Array.from({ length: corners }, (_, i) => polar(radius, Math.PI - at(corners - 1 - i)));
  return [...right, ...left].filter((p, i, all) => {
    const q = all[(i + 1) % all.length]!;
    return Math.hypot(p.x - q.x, p.y - q.y) > 1e-9;
  });
}

/** Where a strip lies across its board, the board's middle at 0, mm. */
export interface Strip {
  readonly from: number;
  readonly to: number;
  readonly widthMm: number;
}

/** Where the strips of a board lie across it. */
export function stripsAcross(stripsMm: readonly number[]): Strip[] {
  let at = -stripsMm.reduce((a, b) => a + b, 0) / 2;
  return stripsMm.map((widthMm) => {
    const from = at;
    at += widthMm;
    return { from, to: at, widthMm };
  });
}

/** Whether a strip comes nearer to the middle than so far. */
export const isWithin = ({ from, to }: Strip, reachMm: number): boolean =>
  from < reachMm - SAME_LENGTH && to > SAME_LENGTH - reachMm;
