import type { LaidPiece, Made } from '../making/contract.js';
import { aroundAxis, type Point, polar, wrapped } from '../ring/plane.js';
import type { Level } from './levels.js';
import type { EdgeSide } from './sides.js';

/** A part to be lofted; its edges' sides are given where their directions do not tell them. */
export interface LoftPart extends LaidPiece {
  readonly sides?: readonly EdgeSide[];
}

/** Sectors are no wider than this (radians), and pieces seen from the axis under less than this are lofted whole. */
const WIDEST = Math.PI / 6;
const NARROW = (5 * Math.PI) / 12;
/** Angles nearer than this are one. */
const SAME = 1e-9;

/** The sides of a cell between two rays: along the first, outside, along the second, inside. */
const SIDES: readonly EdgeSide[] = ['joint', 'outer', 'joint', 'inner'];

/**
 * Parts of a piece that can each be lofted between outside and inside. A piece that lies across the axis, or is seen from it
 * under a wide angle, is divided by rays from the axis through its corners and where its edges come to a turned wall:
 * turning may take its middle and leave its ends. Between two rays it has one edge outside and one inside, or the axis. Rings whose joints all run to the axis
 * need none of it.
 */
export function sectored(
  made: Pick<Made, 'radial' | 'gives'>,
  part: LaidPiece,
  levels: readonly Level[],
): readonly LoftPart[] {
  const { bottom, top } = part;
  const floor = made.gives.innerRadiusMm === 0;
  const wide = floor || aroundAxis(bottom) || widthFromAxis(bottom) > NARROW;
  if (made.radial || bottom !== top || !wide || !isConvex(bottom)) return [part];
  const rays = raysThrough(bottom, new Set(levels.flatMap(({ outer, inner }) => [outer, inner])));
  return rays.flatMap((from, i): LoftPart[] => {
    const to = i + 1 < rays.length ? rays[i + 1]! : rays[0]! + 2 * Math.PI;
    const met = edgesAt(bottom, (from + to) / 2);
    const far = met.at(-1);
    if (!far) return [];
    const near = met.length < 2 ? null : met[0]!;
    const at = (edge: Edge | null, angle: number) => polar(edge ? reach(edge, angle) : 0, angle);
    const outline = [at(near, from), at(far, from), at(far, to), at(near, to)];
    return [{ ...part, bottom: outline, top: outline, sides: SIDES }];
  });
}

const isConvex = (outline: readonly Point[]): boolean =>
  outline.every((p, i) => {
    const [q, r] = [outline[(i + 1) % outline.length]!, outline[(i + 2) % outline.length]!];
    return (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x) > -1e-6;
  });

/** Where the line between two points meets a circle about the axis. */
function onCircle(p: Point, q: Point, radius: number): Point[] {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const a = dx * dx + dy * dy;
  const b = p.x * dx + p.y * dy;
  const root = b * b - a * (p.x * p.x + p.y * p.y - radius * radius);
  if (a === 0 || root <= 0) return [];
  return [(-b - Math.sqrt(root)) / a, (-b + Math.sqrt(root)) / a]
    .filter((t) => t > 0 && t < 1)
    .map((t) => ({ x: p.x + t * dx, y: p.y + t * dy }));
}

/**
 * Directions of an outline's corners and of where its edges meet circles, and further ones so that none are far apart;
 * growing, from 0 to 2π.
 */
function raysThrough(outline: readonly Point[], circles: ReadonlySet<number>): number[] {
  const steps = Math.ceil((2 * Math.PI) / WIDEST);
  const even = Array.from({ length: steps }, (_, i) => (i * 2 * Math.PI) / steps);
  const met = outline.flatMap((p, i) =>
    [...circles].flatMap((radius) => onCircle(p, outline[(i + 1) % outline.length]!, radius)),
  );
  const corners = [...outline, ...met]
    .filter(({ x, y }) => Math.hypot(x, y) > 1e-9)
    .map(({ x, y }) => wrapped(Math.atan2(y, x)));
  const all = [...even, ...corners].sort((a, b) => a - b);
  return all.filter((angle, i) => i === 0 || angle - all[i - 1]! > SAME);
}

type Edge = readonly [Point, Point];

/** Where the line of an edge is met in a direction. */
function reach([p, q]: Edge, angle: number): number {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  return (p.x * dy - p.y * dx) / (Math.cos(angle) * dy - Math.sin(angle) * dx);
}

/** Edges of a convex outline that a ray meets, nearest first. */
function edgesAt(outline: readonly Point[], angle: number): Edge[] {
  const [x, y] = [Math.cos(angle), Math.sin(angle)];
  return outline
    .map((p, i): Edge => [p, outline[(i + 1) % outline.length]!])
    .filter((edge) => {
      const [a, b] = edge.map((p) => x * p.y - y * p.x) as [number, number];
      return a > 0 !== b > 0 && reach(edge, angle) > 1e-9;
    })
    .sort((a, b) => reach(a, angle) - reach(b, angle));
}

/** Angle under which an outline beside the axis is seen from it; at most 2π. */
function widthFromAxis(outline: readonly Point[]): number {
  let [sum, least, most] = [0, 0, 0];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    sum += Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y);
    least = Math.min(least, sum);
    most = Math.max(most, sum);
  });
  return most - least;
}
