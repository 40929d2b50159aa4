import { cornersBetween, within } from '../../ring/convex.js';
import { type Point, wrapped } from '../../ring/plane.js';
import type { Plane } from '../../ring/space.js';
import type { LaidPiece } from '../contract.js';

/** Heights nearer than this are one, mm. */
const SAME = 1e-9;
/** Corners nearer than this are one, mm. */
const NEAR = 1e-7;
/** Planes that are so nearly parallel to a common line meet nowhere near. */
const LEVEL = 1e-9;

/** A corner of a level section: where two of the planes meet it. */
interface Corner extends Point {
  /** Planes of the edges that end and begin there. */
  readonly of: readonly [number, number];
}

/**
 * A convex piece between planes (normals point out of it), cut into slabs between two heights: at each height at which it has a corner.
 * Within a slab every corner of its outline runs along an edge of the piece, so outlines at bottom and top say all of it, exactly.
 */
export function slabsOf(planes: readonly Plane[], place: number, fromMm: number, toMm: number): LaidPiece[] {
  const inner = cornersBetween(planes).flatMap(({ z }) => (z > fromMm && z < toMm ? [z] : []));
  const heights = [fromMm, ...inner.sort((a, b) => a - b), toMm];
  const stops = heights.filter((z, i) => i === 0 || z - heights[i - 1]! > SAME);
  return stops.slice(1).flatMap((top, i): LaidPiece[] => {
    const bottom = stops[i]!;
    const middle = sectionOf(planes, (bottom + top) / 2);
    if (middle.length === 0) return [];
    const at = (z: number) => middle.map(({ of: [a, b] }) => onBoth(planes[a]!, planes[b]!, z));
    return [{ place, fromMm: bottom, toMm: top, bottom: at(bottom), top: at(top) }];
  });
}

/** Where two planes meet a level one. */
function onBoth(a: Plane, b: Plane, z: number): Point {
  const [u, v] = [a.at - a.normal.z * z, b.at - b.normal.z * z];
  const across = a.normal.x * b.normal.y - b.normal.x * a.normal.y;
  return { x: (u * b.normal.y - v * a.normal.y) / across, y: (v * a.normal.x - u * b.normal.x) / across };
}

/** The outline at a height, counter-clockwise, each corner with the two planes that it lies on. */
function sectionOf(planes: readonly Plane[], z: number): Corner[] {
  const met: Corner[] = [];
  for (let a = 0; a < planes.length; a++)
    for (let b = a + 1; b < planes.length; b++) {
      const [p, q] = [planes[a]!.normal, planes[b]!.normal];
      if (Math.abs(p.x * q.y - q.x * p.y) < LEVEL) continue;
      const at = onBoth(planes[a]!, planes[b]!, z);
      const known = met.some(({ x, y }) => Math.hypot(x - at.x, y - at.y) < NEAR);
      if (!known && within(planes, { ...at, z })) met.push({ ...at, of: [a, b] });
    }
  if (met.length < 3) return [];
  const [x, y] = (['x', 'y'] as const).map((axis) => met.reduce((sum, p) => sum + p[axis], 0) / met.length);
  const angle = (p: Point) => Math.atan2(p.y - y!, p.x - x!);
  // Begun at the same planes in every piece of a kind, however it is turned.
  const first = angle(met[0]!);
  const from = new Map(met.map((p) => [p, p === met[0] ? 0 : wrapped(angle(p) - first)]));
  return met.sort((p, q) => from.get(p)! - from.get(q)!);
}
