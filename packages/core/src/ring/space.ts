/** A point in space, mm: x and y level, z up. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const NO_MOVE: Point3 = { x: 0, y: 0, z: 0 };

export const plus = (p: Point3, q: Point3): Point3 => ({ x: p.x + q.x, y: p.y + q.y, z: p.z + q.z });
export const minus = (p: Point3, q: Point3): Point3 => ({ x: p.x - q.x, y: p.y - q.y, z: p.z - q.z });
export const times = (p: Point3, by: number): Point3 => ({ x: p.x * by, y: p.y * by, z: p.z * by });
export const dot = (p: Point3, q: Point3): number => p.x * q.x + p.y * q.y + p.z * q.z;
export const cross = (p: Point3, q: Point3): Point3 => ({
  x: p.y * q.z - p.z * q.y,
  y: p.z * q.x - p.x * q.z,
  z: p.x * q.y - p.y * q.x,
});
export const lengthOf = (p: Point3): number => Math.hypot(p.x, p.y, p.z);
export const unit = (p: Point3): Point3 => times(p, 1 / lengthOf(p));

/** A plane: all points with n · p = at; n is of length 1. */
export interface Plane {
  readonly normal: Point3;
  readonly at: number;
}

/** Where three planes meet; they must not be parallel to a common line (Cramer's rule). */
export function meeting(a: Plane, b: Plane, c: Plane): Point3 {
  const bc = cross(b.normal, c.normal);
  const sum = plus(
    plus(times(bc, a.at), times(cross(c.normal, a.normal), b.at)),
    times(cross(a.normal, b.normal), c.at),
  );
  return times(sum, 1 / dot(a.normal, bc));
}

/** A piece bounded by flat faces: corners, and faces by their numbers, counter-clockwise from outside. */
export interface Solid {
  readonly place: number;
  readonly corners: readonly Point3[];
  readonly faces: readonly (readonly number[])[];
}

/** Volume of a solid, mm³: the sum of the pyramids from the origin to its faces (divergence theorem). */
export function volumeOfSolid({ corners, faces }: Solid): number {
  let six = 0;
  for (const face of faces)
    for (let i = 2; i < face.length; i++) {
      const [a, b, c] = [corners[face[0]!]!, corners[face[i - 1]!]!, corners[face[i]!]!];
      six += dot(a, cross(b, c));
    }
  return six / 6;
}

/** Whether a point lies in a convex solid. */
export function holdsPoint({ corners, faces }: Solid, p: Point3): boolean {
  return faces.every((face) => dot(areaOf(corners, face), minus(p, corners[face[0]!]!)) <= 1e-9);
}

/** Twice the area of a face as a vector, whatever of its corners coincide (Newell's method). */
function areaOf(corners: readonly Point3[], face: readonly number[]): Point3 {
  let sum: Point3 = { x: 0, y: 0, z: 0 };
  face.forEach((i, k) => {
    sum = plus(sum, cross(corners[i]!, corners[face[(k + 1) % face.length]!]!));
  });
  return sum;
}
