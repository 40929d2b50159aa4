import type { Point } from '../ring/plane.js';

/** Corners that turn by less than this lie on one edge (sine). */
const STRAIGHT = 1e-7;
/** Corners nearer to each other than this are one (mm). */
const ONE = 1e-6;

const turning = (o: Point, a: Point, b: Point): number =>
  (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);
const apart = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** The convex outline round points, counter-clockwise, without corners along its edges (Andrew's monotone chain). */
export function outlineRound(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((p, q) => p.x - q.x || p.y - q.y);
  // Told exactly which way it turns: points that lie on a line but for rounding go back and forth along it.
  const half = (row: readonly Point[]): Point[] => {
    const kept: Point[] = [];
    for (const p of row) {
      while (kept.length > 1 && turning(kept.at(-2)!, kept.at(-1)!, p) <= 0) kept.pop();
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  const all = [...half(sorted), ...half(sorted.toReversed())];
  const round = all.filter((p, i) => apart(p, all[(i + 1) % all.length]!) > ONE);
  return round.filter((p, i) => {
    const [before, next] = [round[(i + round.length - 1) % round.length]!, round[(i + 1) % round.length]!];
    return turning(before, p, next) > STRAIGHT * apart(before, p) * apart(p, next);
  });
}
