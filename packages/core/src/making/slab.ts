import { mm, rad } from '../measure/quantity.js';
import type { Point } from '../ring/plane.js';
import type { StripStock } from './stock.js';
import type { Faces, Wedge } from './wedge.js';

/** What a spacer lies between: a wedge clockwise of it and one counter-clockwise, with their faces. */
export interface Side {
  readonly wedge: Wedge;
  readonly faces: Faces;
}

/**
 * Outline of a parallel spacer at the joint in direction `angle`: it fills the gap between two wedges and ends where
 * the farther of their outer corners and the nearer of their inner ones lie.
 */
export function slabOutline(angle: number, before: Side, after: Side): Point[] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const along = ({ wedge: { shift } }: Side) => shift.x * cos + shift.y * sin;
  const across = ({ wedge: { shift } }: Side) => shift.y * cos - shift.x * sin;
  const corner = (side: Side, apothem: number) => along(side) + apothem / Math.cos(side.wedge.half);
  const outer = Math.max(
    corner(before, before.faces.outerRadiusMm),
    corner(after, after.faces.outerRadiusMm),
  );
  const inner = Math.min(
    corner(before, before.faces.innerRadiusMm),
    corner(after, after.faces.innerRadiusMm),
  );
  const at = (t: number, s: number) => ({ x: t * cos - s * sin, y: t * sin + s * cos });
  const [from, to] = [across(before), across(after)];
  return [at(outer, from), at(outer, to), at(inner, to), at(inner, from)];
}

/** The least ao of a wedge with which a spacer beside it, as long as its joint, reaches the circle of `outerRadiusMm`. */
export function outerForSlab(angle: number, { shift, half }: Wedge, outerRadiusMm: number): number {
  return (outerRadiusMm - shift.x * Math.cos(angle) - shift.y * Math.sin(angle)) * Math.cos(half);
}

/** A spacer's blank, `s × (w / cos θ) × h`: sawn square off a thin strip as thick as the ring, grain along its length. */
export function slabStock(outline: readonly Point[], heightMm: number): StripStock {
  const [a, b, c] = outline as [Point, Point, Point];
  const length = mm(Math.hypot(c.x - b.x, c.y - b.y));
  return {
    from: 'strip',
    longEdgeMm: length,
    shortEdgeMm: length,
    widthMm: mm(Math.hypot(b.x - a.x, b.y - a.y)),
    thicknessMm: mm(heightMm),
    cutAngle: rad(0),
    bladeTilt: rad(0),
    cutting: 'turned-over',
  };
}
