import type { LaidPiece, Made } from '../making/contract.js';
import { centreOf, layOut, segmentParts, segmentsIn } from '../making/layOut.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Band } from '../ring/overlap.js';
import { aroundAxis, centroid, type Point, turned } from '../ring/plane.js';
import { areaBetween, common } from './within.js';

/** A ring with the angle that it is turned by, radians. */
export interface Turned {
  readonly made: Made;
  readonly turn: number;
}

/** Direction of the middle of a segment. */
function directionOf(parts: readonly LaidPiece[]): number {
  const { x, y } = centreOf(parts) ?? { x: 1, y: 0 };
  return Math.atan2(y, x);
}

/** Direction of the middle of an outline. */
function middleOf(outline: readonly Point[]): number {
  const { x, y } = centroid(outline);
  return Math.atan2(y, x);
}

/** Segments whose middles lie farther apart than this have nothing in common; the widest take 150°. */
const NEAR = (150 * Math.PI) / 180;

/** Without corners that point inwards, on the rim of a drilled hole: what lies there is the plug's. */
const bulged = (outline: readonly Point[]): Point[] =>
  outline.filter((p, i) => {
    const a = outline[(i + outline.length - 1) % outline.length]!;
    const b = outline[(i + 1) % outline.length]!;
    return (p.x - a.x) * (b.y - p.y) - (p.y - a.y) * (b.x - p.x) >= 0;
  });

/** How far b lies round from a, counter-clockwise, −π to π. */
const round = (a: number, b: number): number => Math.atan2(Math.sin(b - a), Math.cos(b - a));

/**
 * The least area (mm²) by which one end of a segment of `upper` is glued to what lies below it, within the radii that
 * are left after turning: the half of each segment on either side of its middle is one end.
 */
export function leastContact(lower: Turned, upper: Turned, left: Band): number {
  const highest = layOut(lower.made).filter(({ toMm }) => toMm >= lower.made.heightMm - SAME_LENGTH);
  const below = highest.map(({ top }) => {
    const outline = bulged(turned(top, lower.turn));
    return { outline, middle: aroundAxis(outline) ? null : middleOf(outline) };
  });
  const ends = segmentsToLook(lower, upper).flatMap((place) => {
    const parts = segmentParts(upper.made, place);
    const middle = directionOf(parts) + upper.turn;
    const glued = [0, 0];
    for (const { bottom, fromMm } of parts) {
      if (fromMm > SAME_LENGTH) continue;
      const segment = turned(bottom, upper.turn);
      for (const other of below) {
        if (other.middle !== null && Math.abs(round(middle, other.middle)) > NEAR) continue;
        for (const side of [0, 1] as const) {
          const part = common(common(segment, other.outline), halfPlane(middle, side));
          if (part.length > 2) glued[side]! += areaBetween(part, left.innerRadiusMm, left.outerRadiusMm);
        }
      }
    }
    return glued;
  });
  return Math.min(...ends);
}

/** One segment where both rings come to themselves in the same step, else all of them. */
function segmentsToLook(lower: Turned, upper: Turned): number[] {
  const count = segmentsIn(upper.made);
  const one = upper.made.repeats === count && lower.made.repeats % count === 0;
  return Array.from({ length: one ? 1 : count }, (_, place) => place);
}

/** Larger than any ring (mm). */
const FAR = 1e4;

/** All that lies clockwise (0) or counter-clockwise (1) of a direction, on its side of the axis. */
function halfPlane(direction: number, side: 0 | 1): Point[] {
  const [cos, sin] = [FAR * Math.cos(direction), FAR * Math.sin(direction)];
  const ahead = { x: cos, y: sin };
  const back = { x: -cos, y: -sin };
  return side === 1
    ? [back, ahead, { x: cos - sin, y: sin + cos }, { x: -cos - sin, y: -sin + cos }]
    : [ahead, back, { x: -cos + sin, y: -sin - cos }, { x: cos + sin, y: sin - cos }];
}
