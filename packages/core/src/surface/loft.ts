import type { Point } from '../ring/plane.js';
import { fromAxis } from '../ring/plane.js';
import { type Chain, type EdgeSide, NO_EDGE } from './sides.js';

/** Points of a chain at one level, in the blank and as turned between two radii. */
export interface ChainPoints {
  readonly blank: readonly Point[];
  readonly turned: readonly Point[];
}

const clampTo = ({ x, y }: Point, inner: number, outer: number): Point => {
  const r = Math.hypot(x, y);
  const want = Math.min(outer, Math.max(inner, r));
  return r < NO_EDGE ? { x: want, y: 0 } : { x: (x * want) / r, y: (y * want) / r };
};

/** Where the way from a corner along a joint to its other end comes between two circles. */
function alongJoint(corner: Point, end: Point, inner: number, outer: number): Point {
  const r = fromAxis(corner);
  const limit = r > outer ? outer : r < inner ? inner : null;
  if (limit === null) return corner;
  const [dx, dy] = [end.x - corner.x, end.y - corner.y];
  const a = dx * dx + dy * dy;
  const b = corner.x * dx + corner.y * dy;
  const root = b * b - a * (r * r - limit * limit);
  if (a > 0 && root >= 0)
    for (const t of [(-b - Math.sqrt(root)) / a, (-b + Math.sqrt(root)) / a])
      if (t >= 0 && t <= 1) return { x: corner.x + t * dx, y: corner.y + t * dy };
  const nearer = Math.abs(r - limit) <= Math.abs(fromAxis(end) - limit) ? corner : end;
  return clampTo(nearer, inner, outer);
}

/** The points of every chain of a piece at one level. Turned corners move along the joints, as the wood does. */
export function pointsOf(
  outline: readonly Point[],
  chains: readonly Chain[],
  inner: number,
  outer: number,
): ChainPoints[] {
  const n = outline.length;
  const joint = new Map<number, Map<string, Point>>();
  const note = (corner: number, end: number, key: string) => {
    const known = joint.get(corner) ?? new Map<string, Point>();
    known.set(key, alongJoint(outline[corner]!, outline[end]!, inner, outer));
    joint.set(corner, known);
  };
  for (const { side, corners } of chains)
    if (side === 'joint') {
      note(corners[0]!, corners[1]!, 'out');
      note(corners[1]!, corners[0]!, 'in');
    }
  /** A corner at the beginning or the end of a chain, moved along the joint that meets it there. */
  const moved = (corner: number, end: 'first' | 'last'): Point => {
    const joints = joint.get(corner);
    const own = joints?.get(end === 'first' ? 'in' : 'out');
    return own ?? (joints ? [...joints.values()][0]! : clampTo(outline[corner]!, inner, outer));
  };
  return chains.map((chain): ChainPoints => {
    const { side, corners, parts, around } = chain;
    if (around) return roundPoints(outline, corners, side, inner, outer);
    if (side === 'joint') {
      const blank = corners.map((corner) => outline[corner % n]!);
      return { blank, turned: [joint.get(corners[0]!)!.get('out')!, joint.get(corners[1]!)!.get('in')!] };
    }
    return arcPoints(outline, corners, Math.max(1, parts), inner, outer, moved);
  });
}

/** A side that goes all round the axis: the outside of a disc, or the hole that is turned into it. */
function roundPoints(
  outline: readonly Point[],
  corners: readonly number[],
  side: EdgeSide,
  inner: number,
  outer: number,
): ChainPoints {
  const points = corners.map((corner) => outline[corner]!);
  if (side === 'outer')
    return { blank: points, turned: points.map((p) => clampTo(p, Math.min(inner, outer), outer)) };
  return {
    blank: points.map(() => ({ x: 0, y: 0 })),
    turned: points.map((p) => clampTo(p, Math.min(inner, outer), Math.min(inner, outer))),
  };
}

/** A side between two joints: its ends move along these, what lies between keeps its share of the way round. */
function arcPoints(
  outline: readonly Point[],
  corners: readonly number[],
  parts: number,
  inner: number,
  outer: number,
  moved: (corner: number, end: 'first' | 'last') => Point,
): ChainPoints {
  const ends = corners.map((corner) => outline[corner]!);
  const blank = ends.slice(1).flatMap((b, e) => {
    const a = ends[e]!;
    const step = (k: number) => ({ x: a.x + (k / parts) * (b.x - a.x), y: a.y + (k / parts) * (b.y - a.y) });
    return Array.from({ length: parts + (e === 0 ? 1 : 0) }, (_, k) => step(e === 0 ? k : k + 1));
  });
  const [from, to] = [moved(corners[0]!, 'first'), moved(corners.at(-1)!, 'last')];
  const ways = roundFrom(blank);
  const whole = ways.at(-1)!;
  const start = Math.atan2(from.y, from.x);
  const open = Math.atan2(to.y, to.x) - start;
  const sweep = open - 2 * Math.PI * Math.round((open - whole) / (2 * Math.PI));
  const edge = ends.length === 2 ? ends : null;
  const turned = blank.map((p, i) => {
    if (i === 0) return from;
    if (i === blank.length - 1) return to;
    const share = Math.abs(whole) > NO_EDGE ? ways[i]! / whole : i / (blank.length - 1);
    const angle = start + share * sweep;
    const on = edge ? radiusOnEdge(edge[0]!, edge[1]!, angle) : fromAxis(p);
    const r = Math.min(outer, Math.max(inner, on));
    return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
  });
  return { blank, turned };
}

/** How far round each point lies from the first, radians. */
function roundFrom(points: readonly Point[]): number[] {
  let sum = 0;
  return points.map((q, i) => {
    const p = points[Math.max(0, i - 1)]!;
    sum += Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y);
    return sum;
  });
}

/** Where a direction from the axis meets the line of an edge; the edge's own distance where it has no length. */
function radiusOnEdge(a: Point, b: Point, angle: number): number {
  const across = Math.cos(angle) * (b.y - a.y) - Math.sin(angle) * (b.x - a.x);
  return Math.abs(across) < NO_EDGE ? fromAxis(a) : (a.x * (b.y - a.y) - a.y * (b.x - a.x)) / across;
}
