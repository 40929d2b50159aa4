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
 * it is sawn square. Where its joint leans it moves aside as it climbs.
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
  // Corners of leaning segments slide along their faces.
  const corners = ENDS.map((end) => [
    wedgeOutline(before, beforeFaces, end * heightMm),
    wedgeOutline(after, afterFaces, end * heightMm),
  ]);
  const outer = Math.max(...corners.flatMap(([a, b]) => [along(a![1]!), along(b![0]!)]));
  const inner = Math.min(...corners.flatMap(([a, b]) => [along(a![2]!), along(b![3] ?? b![2]!)]));
  const at = (t: number, s: number) => ({ x: t * cos - s * sin, y: t * sin + s * cos });
  return (dz) => {
    const [from, to] = [across(before.shift) + dz * before.tiltTo, across(after.shift) + dz * after.tiltFrom];
    return [at(outer, from), at(outer, to), at(inner, to), at(inner, from)];
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

/** The least ao of a wedge with which a spacer beside it, as long as its joint, reaches the circle of `outerRadiusMm`. */
export function outerForSlab(angle: number, { shift, half }: Wedge, outerRadiusMm: number): number {
  return (outerRadiusMm - shift.x * Math.cos(angle) - shift.y * Math.sin(angle)) * Math.cos(half);
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
