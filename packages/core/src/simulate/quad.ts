import { cross, fromAxis as lengthOf, type Point } from '../ring/plane.js';

export { cross, lengthOf };

/**
 * A unit of a ring from above: a segment, a spacer, or what is sawn as one. Corners counter-clockwise: outer at its clockwise
 * joint, outer at the other, inner there, inner at the clockwise one; where it ends in a point the inner two are the same.
 */
export interface Quad {
  readonly outerFrom: Point;
  readonly outerTo: Point;
  readonly innerTo: Point;
  readonly innerFrom: Point;
}

/** A rigid move in plan: turned about the axis by an angle given as cosine and sine, then moved. */
export interface Move {
  readonly cos: number;
  readonly sin: number;
  readonly x: number;
  readonly y: number;
}

export const NO_MOVE: Move = { cos: 1, sin: 0, x: 0, y: 0 };

export const moved = ({ cos, sin, x, y }: Move, p: Point): Point => ({
  x: x + cos * p.x - sin * p.y,
  y: y + sin * p.x + cos * p.y,
});

/** One move after another: `first`, then `then`. (Spreading the moved point takes five times as long as all of the rest.) */
export const after = (first: Move, then: Move): Move => ({
  cos: then.cos * first.cos - then.sin * first.sin,
  sin: then.sin * first.cos + then.cos * first.sin,
  x: then.x + then.cos * first.x - then.sin * first.y,
  y: then.y + then.sin * first.x + then.cos * first.y,
});

/** A turn by an angle about a point. */
export function about(p: Point, angle: number): Move {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { cos, sin, x: p.x - cos * p.x + sin * p.y, y: p.y - sin * p.x - cos * p.y };
}

/** The move that brings one direction onto another, and a point onto a point; directions of length 1. */
export function bringing(from: Point, along: Point, to: Point, onto: Point): Move {
  const cos = along.x * onto.x + along.y * onto.y;
  const sin = along.x * onto.y - along.y * onto.x;
  return { cos, sin, x: to.x - cos * from.x + sin * from.y, y: to.y - sin * from.x - cos * from.y };
}

export const movedQuad = (move: Move, quad: Quad): Quad => ({
  outerFrom: moved(move, quad.outerFrom),
  outerTo: moved(move, quad.outerTo),
  innerTo: moved(move, quad.innerTo),
  innerFrom: moved(move, quad.innerFrom),
});

export const minus = (p: Point, q: Point): Point => ({ x: p.x - q.x, y: p.y - q.y });
export const dot = (p: Point, q: Point): number => p.x * q.x + p.y * q.y;

/** The direction from one point to another, of length 1; to the right where they are the same. */
export function toward(from: Point, to: Point): Point {
  const along = minus(to, from);
  const length = lengthOf(along);
  return length === 0 ? { x: 1, y: 0 } : { x: along.x / length, y: along.y / length };
}

export const along = (from: Point, direction: Point, by: number): Point => ({
  x: from.x + by * direction.x,
  y: from.y + by * direction.y,
});

/** Where two lines meet, each by a point and a direction; they may not be parallel. */
export const crossing = (p: Point, u: Point, q: Point, v: Point): Point =>
  along(p, u, cross(minus(q, p), v) / cross(u, v));

/** Where a point lies in a quad: across from 0 at the clockwise joint to 1, deep from 0 outside to 1. */
export interface Within {
  readonly across: number;
  readonly deep: number;
}

/** The point of a quad that lies so; beyond 0 to 1 it goes on straight. */
export function pointIn({ outerFrom, outerTo, innerTo, innerFrom }: Quad, { across, deep }: Within): Point {
  const [a, b, c, d] = [(1 - across) * (1 - deep), across * (1 - deep), across * deep, (1 - across) * deep];
  return {
    x: a * outerFrom.x + b * outerTo.x + c * innerTo.x + d * innerFrom.x,
    y: a * outerFrom.y + b * outerTo.y + c * innerTo.y + d * innerFrom.y,
  };
}

const STEPS = 12;
const NEAR = 1e-12;

/** The other way round, by Newton's method; in the point of a wedge, where all of `across` is one, its middle. */
export function withinOf(quad: Quad, p: Point): Within {
  const { outerFrom, outerTo, innerTo, innerFrom } = quad;
  let [across, deep] = [0.5, 0.5];
  for (let step = 0; step < STEPS; step++) {
    const off = minus(p, pointIn(quad, { across, deep }));
    const u = {
      x: (1 - deep) * (outerTo.x - outerFrom.x) + deep * (innerTo.x - innerFrom.x),
      y: (1 - deep) * (outerTo.y - outerFrom.y) + deep * (innerTo.y - innerFrom.y),
    };
    const v = {
      x: (1 - across) * (innerFrom.x - outerFrom.x) + across * (innerTo.x - outerTo.x),
      y: (1 - across) * (innerFrom.y - outerFrom.y) + across * (innerTo.y - outerTo.y),
    };
    const area = cross(u, v);
    if (Math.abs(area) < NEAR) return { across: 0.5, deep };
    const [more, deeper] = [cross(off, v) / area, cross(u, off) / area];
    across += more;
    deep += deeper;
    if (Math.abs(more) + Math.abs(deeper) < NEAR) break;
  }
  return { across, deep };
}
