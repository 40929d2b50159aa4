import type { Point } from '../ring/plane.js';

/**
 * Area of the part of a polygon that lies within a circle about the axis, mm²; corners counter-clockwise. Summed edge by
 * edge over the triangle from the axis: inside the circle it counts as it is, ½·(p × q), outside as a sector, ½·r²·angle.
 * Derived in docs/how-it-computes.md, “Wood in the turned piece”.
 */
export function areaWithin(outline: readonly Point[], radius: number): number {
  let sum = 0;
  for (let i = 0; i < outline.length; i++)
    sum += overEdge(outline[i]!, outline[(i + 1) % outline.length]!, radius);
  return sum;
}

const sector = (px: number, py: number, qx: number, qy: number, square: number): number =>
  (square / 2) * Math.atan2(px * qy - py * qx, px * qx + py * qy);

function overEdge(p: Point, q: Point, radius: number): number {
  const square = radius * radius;
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const a = dx * dx + dy * dy;
  if (a === 0) return 0;
  const b = p.x * dx + p.y * dy;
  const c = p.x * p.x + p.y * p.y - square;
  const root = b * b - a * c;
  if (root <= 0) return sector(p.x, p.y, q.x, q.y, square);
  const from = Math.max(0, (-b - Math.sqrt(root)) / a);
  const to = Math.min(1, (-b + Math.sqrt(root)) / a);
  if (from >= to) return sector(p.x, p.y, q.x, q.y, square);
  const [ux, uy] = [p.x + from * dx, p.y + from * dy];
  const [vx, vy] = [p.x + to * dx, p.y + to * dy];
  let sum = (ux * vy - uy * vx) / 2;
  if (from > 0) sum += sector(p.x, p.y, ux, uy, square);
  if (to < 1) sum += sector(vx, vy, q.x, q.y, square);
  return sum;
}

/** Area of a polygon between two circles about the axis, mm². */
export const areaBetween = (outline: readonly Point[], inner: number, outer: number): number =>
  areaWithin(outline, outer) - (inner > 0 ? areaWithin(outline, inner) : 0);

/** The part of a convex polygon that lies in another one (Sutherland and Hodgman, CACM 17, 1974); both counter-clockwise. */
export function common(given: readonly Point[], within: readonly Point[]): Point[] {
  let kept = [...given];
  within.forEach((p, i) => {
    const q = within[(i + 1) % within.length]!;
    const side = ({ x, y }: Point) => (q.x - p.x) * (y - p.y) - (q.y - p.y) * (x - p.x);
    kept = kept.flatMap((a, k) => {
      const b = kept[(k + 1) % kept.length]!;
      const [sa, sb] = [side(a), side(b)];
      const t = sa / (sa - sb);
      const crossing = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      return [...(sa >= 0 ? [a] : []), ...(sa >= 0 !== sb >= 0 ? [crossing] : [])];
    });
  });
  return kept;
}
