import { type Point, wrapped } from '../ring/plane.js';

/** A stretch of a circle, radians, counter-clockwise from `from` to `to`; 0 ≤ from < 2π, from < to ≤ from + 2π. */
export interface Arc {
  readonly from: number;
  readonly to: number;
}

const SAME_PLACE = 1e-9;
/** A circle that dips into an edge's line by less than a chord of this (mm) touches it and does not cross. */
const TOUCH = 2e-3;

/** The parts of the circle of a radius about the axis that lie inside a polygon. */
export function arcsInside(outline: readonly Point[], radius: number): Arc[] {
  const crossings = outline.flatMap((p, i) => crossingsOf(p, outline[(i + 1) % outline.length]!, radius));
  const angles = crossings
    .sort((a, b) => a - b)
    .filter((a, i) => i === 0 || a - crossings[i - 1]! > SAME_PLACE);
  // A circle that only touches lies inside all round, or not at all.
  if (angles.length === 0)
    return [0, 2, 4].every((angle) => inside(outline, radius, angle)) ? [{ from: 0, to: 2 * Math.PI }] : [];
  return angles
    .map((from, i) => ({ from, to: i + 1 < angles.length ? angles[i + 1]! : angles[0]! + 2 * Math.PI }))
    .filter(({ from, to }) => to - from > SAME_PLACE && inside(outline, radius, (from + to) / 2));
}

function crossingsOf(p: Point, q: Point, radius: number): number[] {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const a = dx * dx + dy * dy;
  const b = p.x * dx + p.y * dy;
  const c = p.x * p.x + p.y * p.y - radius * radius;
  const root = b * b - a * c;
  if (a === 0 || root <= (a * TOUCH * TOUCH) / 4) return [];
  const square = Math.sqrt(root);
  return [(-b - square) / a, (-b + square) / a]
    .filter((t) => t >= -SAME_PLACE && t <= 1 + SAME_PLACE)
    .map((t) => wrapped(Math.atan2(p.y + t * dy, p.x + t * dx)));
}

/** A hair inwards, so that a circle that touches an edge from inside counts as inside. */
const INWARDS = 1 - 1e-9;

/** Even-odd rule along a ray in +x. */
function inside(outline: readonly Point[], radius: number, angle: number): boolean {
  const [x, y] = [radius * INWARDS * Math.cos(angle), radius * INWARDS * Math.sin(angle)];
  let within = false;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    if (p.y > y !== q.y > y && x < p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)) within = !within;
  });
  return within;
}
