import { turnedPoint } from './plane.js';
import {
  cross,
  dot,
  meeting,
  minus,
  type Plane,
  type Point3,
  plus,
  type Solid,
  times,
  unit,
} from './space.js';

/** A point may lie so far outside of a plane by rounding, and corners nearer than this are one, mm. */
const HAIR = 1e-7;

export const within = (planes: readonly Plane[], p: Point3): boolean =>
  planes.every(({ normal, at }) => dot(normal, p) <= at + HAIR);

/** Corners of a convex piece between planes (normals point out of it), each as often as three of them meet there. */
export function cornersBetween(planes: readonly Plane[]): Point3[] {
  const found: Point3[] = [];
  for (let a = 0; a < planes.length; a++)
    for (let b = a + 1; b < planes.length; b++)
      for (let c = b + 1; c < planes.length; c++) {
        const p = meeting(planes[a]!, planes[b]!, planes[c]!);
        if (Number.isFinite(p.z) && within(planes, p)) found.push(p);
      }
  return found;
}

/** A convex piece, and the outward normal of each of its faces. */
export interface Convex extends Solid {
  readonly normals: readonly Point3[];
}

/** A convex piece between planes. Planes that only touch it have no face; of planes that are the same the first has it. */
export function solidBetween(planes: readonly Plane[], place: number): Convex {
  const corners: Point3[] = [];
  for (const p of cornersBetween(planes)) if (!corners.some((q) => near(p, q))) corners.push(p);
  const faced = planes.flatMap(({ normal, at }, i) => {
    const again = planes
      .slice(0, i)
      .some((other) => dot(other.normal, normal) > 1 - HAIR && Math.abs(other.at - at) < HAIR);
    const on = corners.flatMap((p, k) => (Math.abs(dot(normal, p) - at) < 4 * HAIR ? [k] : []));
    return again || on.length < 3 ? [] : [{ normal, face: around(corners, on, normal) }];
  });
  return {
    place,
    corners,
    faces: faced.map(({ face }) => face),
    normals: faced.map(({ normal }) => normal),
  };
}

/** A convex piece turned about the axis (radians) and then moved. */
export function movedSolid(solid: Convex, turn: number, by: Point3): Convex {
  const onward = (p: Point3): Point3 => ({ ...turnedPoint(p, turn), z: p.z });
  return {
    ...solid,
    corners: solid.corners.map((p) => plus(onward(p), by)),
    normals: solid.normals.map(onward),
  };
}

const near = (p: Point3, q: Point3): boolean =>
  Math.max(Math.abs(p.x - q.x), Math.abs(p.y - q.y), Math.abs(p.z - q.z)) < 4 * HAIR;

/** Middle of some of the corners of a solid. */
export const middleOf = (corners: readonly Point3[], of: readonly number[]): Point3 =>
  times(of.map((i) => corners[i]!).reduce(plus), 1 / of.length);

/** Corners of a face in order, counter-clockwise about its normal. */
function around(corners: readonly Point3[], of: readonly number[], normal: Point3): number[] {
  const middle = middleOf(corners, of);
  const first = unit(minus(corners[of[0]!]!, middle));
  const angle = (i: number) => {
    const to = minus(corners[i]!, middle);
    return Math.atan2(dot(normal, cross(first, to)), dot(first, to));
  };
  return [...of].sort((a, b) => angle(a) - angle(b));
}
