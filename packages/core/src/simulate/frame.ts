import type { Made } from '../making/contract.js';
import { laidAt, outlineAtHeight, placesIn } from '../making/layOut.js';
import { mitred } from '../making/stock.js';
import { remembered } from '../measure/memo.js';
import { SAME_ANGLE } from '../measure/tolerance.js';
import { aroundAxis, centroid, fromAxis, type Point, wrapped } from '../ring/plane.js';
import { outlineRound } from './outlineRound.js';
import { cross, crossing, dot, lengthOf, minus, type Quad, toward } from './quad.js';

/** A unit where it lies in its ring at turn 0, at half the ring's height. */
export interface Unit {
  readonly quad: Quad;
  /** The angles that its two joints are cut at, from square to its outer edge: half the angle of a mitred segment, 0 of a spacer. */
  readonly cutFrom: number;
  readonly cutTo: number;
  /** Everything that is in it. */
  readonly places: readonly number[];
}

/** Units that are glued to each other all the way round, counter-clockwise; unit i meets i + 1. */
export interface Frame {
  readonly units: readonly Unit[];
  /** Unit by place; −1 of what is in none of them: a plug. */
  readonly unitOf: readonly number[];
  /** Tilt of the blade that its joints are sawn with, radians: with the angle it makes one setting. */
  readonly tilt: number;
}

/** The units of a ring; null where they do not go all the way round, joint on joint: discs, floors, rings with gaps. */
export const frameOf = remembered((made: Made): Frame | null => {
  if (!made.closed) return null;
  const units = setsOf(made).flatMap((places): Unit[] => {
    const parts = laidAt(
      places.flatMap((place) => made.lay(place)),
      made.heightMm / 2,
    );
    const quad = quadOf(parts.flatMap((part) => outlineAtHeight(part, made.heightMm / 2)));
    return quad ? [{ quad, ...cutsOf(quad), places }] : [];
  });
  const round = units
    .map((unit) => ({ unit, at: directionOf(unit.quad) }))
    .sort((a, b) => a.at - b.at)
    .map(({ unit }) => unit);
  if (round.length < 3 || !round.every((unit, i) => meet(unit.quad, round[(i + 1) % round.length]!.quad)))
    return null;
  const unitOf = new Array<number>(placesIn(made.groups)).fill(-1);
  round.forEach(({ places }, i) => {
    for (const place of places) unitOf[place] = i;
  });
  return { units: round, unitOf, tilt: Math.max(0, ...made.kinds.map(({ stock }) => tiltOf(stock))) };
});

const tiltOf = (stock: Made['kinds'][number]['stock']): number => {
  const cut = mitred(stock);
  return (cut && 'bladeTilt' in cut ? cut.bladeTilt : 'bladeTilt' in stock ? stock.bladeTilt : 0) ?? 0;
};

/** What is sawn together, and every other place by itself. */
function setsOf({ groups, together }: Made): (readonly number[])[] {
  const joined = new Set(together.flat());
  const alone = Array.from({ length: placesIn(groups) }, (_, place) => place).filter(
    (place) => !joined.has(place),
  );
  return [...together, ...alone.map((place) => [place])];
}

const corners = ({ outerFrom, outerTo, innerTo, innerFrom }: Quad) => [
  outerFrom,
  outerTo,
  innerTo,
  innerFrom,
];

function directionOf(quad: Quad): number {
  const sum = corners(quad).reduce((all, p) => ({ x: all.x + p.x, y: all.y + p.y }));
  return wrapped(Math.atan2(sum.y, sum.x));
}

/** The four corners of what looks like a wedge or a slab from the axis; null where it is round the axis, or no such thing. */
function quadOf(points: readonly Point[]): Quad | null {
  const hull = outlineRound(points);
  if (hull.length < 3 || hull.length > MOST_CORNERS || aroundAxis(hull)) return null;
  const middle = centroid(hull);
  const reach = fromAxis(middle);
  if (reach === 0) return null;
  const out = { x: middle.x / reach, y: middle.y / reach };
  const round = { x: -out.y, y: out.x };
  const lines = hull.map((p, i) => ({ p, along: toward(p, hull[(i + 1) % hull.length]!) }));
  /** The edge that faces a direction most: its outward normal is the direction along it, turned clockwise. */
  const facing = (way: Point) =>
    lines.reduce((best, line) =>
      way.x * line.along.y - way.y * line.along.x > way.x * best.along.y - way.y * best.along.x ? line : best,
    );
  const [outer, inner] = [facing(out), facing({ x: -out.x, y: -out.y })];
  const [from, to] = [facing({ x: -round.x, y: -round.y }), facing(round)];
  if (new Set([outer, from, to]).size < 3) return null;
  const meetAt = (a: typeof outer, b: typeof outer) => crossing(a.p, a.along, b.p, b.along);
  const [outerFrom, outerTo] = [meetAt(from, outer), meetAt(outer, to)];
  if (inner === from || inner === to) {
    const point = meetAt(to, from);
    return { outerFrom, outerTo, innerTo: point, innerFrom: point };
  }
  return { outerFrom, outerTo, innerTo: meetAt(to, inner), innerFrom: meetAt(inner, from) };
}

const MOST_CORNERS = 8;

/** From square to the outer edge, so that both of a mitred segment are more than 0. */
function cutsOf({ outerFrom, outerTo, innerTo, innerFrom }: Quad): Pick<Unit, 'cutFrom' | 'cutTo'> {
  const edge = toward(outerFrom, outerTo);
  return {
    cutFrom: Math.asin(dot(edge, toward(outerFrom, innerFrom))),
    cutTo: -Math.asin(dot(edge, toward(outerTo, innerTo))),
  };
}

/** Nearer than this two faces are one (mm): outlines are rounded by far less. */
const ONE_FACE = 1e-4;

/** Whether the one's counter-clockwise face lies on the other's clockwise one. */
function meet(unit: Quad, next: Quad): boolean {
  const [own, its] = [toward(unit.outerTo, unit.innerTo), toward(next.outerFrom, next.innerFrom)];
  if (Math.abs(cross(own, its)) > SAME_ANGLE * 10 || dot(own, its) < 0) return false;
  const apart = minus(next.outerFrom, unit.outerTo);
  return (
    Math.abs(cross(own, apart)) < ONE_FACE &&
    Math.abs(dot(own, apart)) < lengthOf(minus(unit.innerTo, unit.outerTo))
  );
}
