import { mm, rad } from '../../measure/quantity.js';
import type { Point } from '../../ring/plane.js';
import type { StripStock } from '../stock.js';
import { type Faces, type Wedge, wedgeOutline } from '../wedge.js';

/** What a spacer lies between: a wedge clockwise of it and one counter-clockwise, with their faces. */
export interface Side {
  readonly wedge: Wedge;
  readonly faces: Faces;
}

/**
 * A parallel spacer at the joint in direction `angle`, by height from the middle of the ring: it fills the gap between two
 * wedges and ends where the farther of their outer corners and the nearer of their inner ones come at any height, so that
 * it is sawn square. Where its joint leans it moves aside as it climbs; between staves that lean it leans with them.
 */
export function slabBetween(
  angle: number,
  before: Wedge,
  after: Wedge,
  { beforeFaces, afterFaces }: { readonly beforeFaces: Faces; readonly afterFaces: Faces },
  heightMm: number,
): (dz: number) => Point[] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const along = ({ x, y }: Point) => x * cos + y * sin;
  const across = ({ x, y }: Point) => y * cos - x * sin;
  // Corners of leaning segments slide along their faces; faces that lean take the ends of the slab with them.
  const slope = beforeFaces.lean / Math.cos(before.half);
  const corners = (slope === 0 ? ENDS : ANYWHERE).map((end) => [
    wedgeOutline(before, beforeFaces, end * heightMm),
    wedgeOutline(after, afterFaces, end * heightMm),
  ]);
  const outer = Math.max(...corners.flatMap(([a, b]) => [along(a![1]!), along(b![0]!)]));
  const inner = Math.min(...corners.flatMap(([a, b]) => [along(a![2]!), along(b![3] ?? b![2]!)]));
  const at = (t: number, s: number) => ({ x: t * cos - s * sin, y: t * sin + s * cos });
  return (dz) => {
    const [from, to] = [across(before.shift) + dz * before.tiltTo, across(after.shift) + dz * after.tiltFrom];
    const [far, near] = [outer + slope * dz, inner + slope * dz];
    return [at(far, from), at(far, to), at(near, to), at(near, from)];
  };
}

/** A part of such an outline between two shares of its thickness. */
export function withinSlab(outline: readonly Point[], from: number, to: number): Point[] {
  const [a, b, c, d] = outline as [Point, Point, Point, Point];
  const at = (p: Point, q: Point, share: number) => ({
    x: p.x + share * (q.x - p.x),
    y: p.y + share * (q.y - p.y),
  });
  return [at(a, b, from), at(a, b, to), at(d, c, to), at(d, c, from)];
}

/** The same between upright wedges, where it is one outline. */
export const slabOutline = (angle: number, before: Side, after: Side): Point[] =>
  slabBetween(angle, before.wedge, after.wedge, { beforeFaces: before.faces, afterFaces: after.faces }, 0)(0);

const ENDS = [-0.5, 0.5] as const;
const ANYWHERE = [0] as const;

/**
 * The least ao of a wedge with which a spacer beside it, as long as its joint, reaches the circle of `outerRadiusMm`, which is
 * `spread` larger and smaller at the ends of staves that lean.
 */
export function outerForSlab(
  angle: number,
  { shift, half }: Wedge,
  outerRadiusMm: number,
  spread = 0,
): number {
  const along = shift.x * Math.cos(angle) + shift.y * Math.sin(angle);
  return (outerRadiusMm - along) * Math.cos(half) + spread * (1 - Math.cos(half));
}

/**
 * A spacer's blank, `s × (w / cos θ) × h`: sawn square off a thin strip as thick as the ring, grain along its length. One
 * that leans by τ is cut level `s / cos τ` thick and stands `h / cos τ` high.
 */
export function slabStock(outline: readonly Point[], heightMm: number, tau = 0): StripStock {
  const [a, b, c] = outline as [Point, Point, Point];
  const length = mm(Math.hypot(c.x - b.x, c.y - b.y));
  return {
    from: 'strip',
    longEdgeMm: length,
    shortEdgeMm: length,
    widthMm: mm(Math.hypot(b.x - a.x, b.y - a.y) * Math.cos(tau)),
    thicknessMm: mm(heightMm / Math.cos(tau)),
    cutAngle: rad(0),
    bladeTilt: rad(0),
    cutting: 'turned-over',
  };
}
