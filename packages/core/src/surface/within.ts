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
  if (isPoint(p, q)) return 0;
  const square = radius * radius;
  const within = chordOf(p, q, radius);
  if (!within) return sector(p.x, p.y, q.x, q.y, square);
  const { from, to } = within;
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const [ux, uy] = [p.x + from * dx, p.y + from * dy];
  const [vx, vy] = [p.x + to * dx, p.y + to * dy];
  let sum = (ux * vy - uy * vx) / 2;
  if (from > 0) sum += sector(p.x, p.y, ux, uy, square);
  if (to < 1) sum += sector(vx, vy, q.x, q.y, square);
  return sum;
}

/** An edge so short that it has no direction. */
const isPoint = (p: Point, q: Point): boolean => (q.x - p.x) ** 2 + (q.y - p.y) ** 2 === 0;

/** Between which shares of an edge it lies within a circle about the axis; null where it does not. */
function chordOf(p: Point, q: Point, radius: number): { readonly from: number; readonly to: number } | null {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const a = dx * dx + dy * dy;
  const b = p.x * dx + p.y * dy;
  const c = p.x * p.x + p.y * p.y - radius * radius;
  const root = b * b - a * c;
  if (root <= 0) return null;
  const from = Math.max(0, (-b - Math.sqrt(root)) / a);
  const to = Math.min(1, (-b + Math.sqrt(root)) / a);
  return from < to ? { from, to } : null;
}

/** First moments of the part of a polygon within a circle about the axis, mm³: ∫ x dA and ∫ y dA, edge by edge as its area. */
export function momentWithin(outline: readonly Point[], radius: number): Point {
  let [x, y] = [0, 0];
  const triangle = (u: Point, v: Point) => {
    const area = (u.x * v.y - u.y * v.x) / 2;
    x += (area * (u.x + v.x)) / 3;
    y += (area * (u.y + v.y)) / 3;
  };
  // ∫∫ r·(cos, sin) r dr dφ between two directions less than half a turn apart.
  const turned = (u: Point, v: Point) => {
    const [from, way] = [Math.atan2(u.y, u.x), Math.atan2(u.x * v.y - u.y * v.x, u.x * v.x + u.y * v.y)];
    x += (radius ** 3 / 3) * (Math.sin(from + way) - Math.sin(from));
    y += (radius ** 3 / 3) * (Math.cos(from) - Math.cos(from + way));
  };
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    if (isPoint(p, q)) return;
    const within = chordOf(p, q, radius);
    const at = (t: number): Point => ({ x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) });
    if (within) {
      const [u, v] = [at(within.from), at(within.to)];
      triangle(u, v);
      if (within.from > 0) turned(p, u);
      if (within.to < 1) turned(v, q);
    } else turned(p, q);
  });
  return { x, y };
}

/** First moments of a polygon between two circles about the axis, mm³. */
export function momentBetween(outline: readonly Point[], inner: number, outer: number): Point {
  const [all, hole] = [
    momentWithin(outline, outer),
    inner > 0 ? momentWithin(outline, inner) : { x: 0, y: 0 },
  ];
  return { x: all.x - hole.x, y: all.y - hole.y };
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
