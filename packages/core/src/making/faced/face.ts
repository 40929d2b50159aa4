/**
 * A point of a segment's outer face as it is seen from outside the piece: u to the right of the segment's middle
 * (counter-clockwise round the ring), z up from the ring's bottom, mm.
 */
export interface FacePoint {
  readonly u: number;
  readonly z: number;
}

/**
 * What one piece of wood takes of a segment: loops in the face (even-odd, so that a loop within another is a hole), cut
 * straight in towards the axis from `frontMm` to `backMm` behind the face. `piece` is its number within the segment.
 */
export interface FaceShape {
  readonly piece: number;
  readonly loops: readonly (readonly FacePoint[])[];
  readonly frontMm: number;
  readonly backMm: number;
}

/** All the way in. */
export const THROUGH = Number.POSITIVE_INFINITY;

/** Farther out than any segment (mm). */
export const FAR = 5000;

/** What is left of a segment when all other shapes are taken out of it. */
export const field = (piece: number): FaceShape => throughShape(piece, box(-FAR, FAR, -FAR, FAR));

/** A shape that goes all the way through the segment. */
export const throughShape = (piece: number, ...loops: (readonly FacePoint[])[]): FaceShape => ({
  piece,
  loops,
  frontMm: 0,
  backMm: THROUGH,
});

/** A shape let into the face to a depth. */
export const pocket = (piece: number, depthMm: number, ...loops: (readonly FacePoint[])[]): FaceShape => ({
  piece,
  loops,
  frontMm: 0,
  backMm: depthMm,
});

export const box = (left: number, right: number, low: number, high: number): FacePoint[] => [
  { u: left, z: low },
  { u: right, z: low },
  { u: right, z: high },
  { u: left, z: high },
];

/** Corners on a circle that is drawn with straight sides; its area is kept, its radius grows by a thousandth. */
const ROUND = 32;

/** A circle as a loop with the circle's own area. */
export function round(at: FacePoint, radius: number): FacePoint[] {
  const step = (2 * Math.PI) / ROUND;
  const reach = radius * Math.sqrt(step / Math.sin(step));
  return Array.from({ length: ROUND }, (_, i) => ({
    u: at.u + reach * Math.cos((i + 0.5) * step),
    z: at.z + reach * Math.sin((i + 0.5) * step),
  }));
}

/** Area within a loop, mm², positive where it runs counter-clockwise (shoelace formula). */
export const loopArea = (loop: readonly FacePoint[]): number =>
  loop.reduce((sum, p, i) => {
    const q = loop[(i + 1) % loop.length]!;
    return sum + (p.u * q.z - q.u * p.z) / 2;
  }, 0);

/** The part of a convex loop between two heights; fewer than three corners where nothing is left. */
export function between(loop: readonly FacePoint[], low: number, high: number): FacePoint[] {
  const above = cut(loop, ({ z }) => z - low);
  return cut(above, ({ z }) => high - z);
}

/** The part of a convex loop between two distances from the segment's middle. */
export function betweenSides(loop: readonly FacePoint[], left: number, right: number): FacePoint[] {
  const inside = cut(loop, ({ u }) => u - left);
  return cut(inside, ({ u }) => right - u);
}

/** The part of a convex loop where `side` is not negative (Sutherland and Hodgman, CACM 17, 1974). */
function cut(loop: readonly FacePoint[], side: (p: FacePoint) => number): FacePoint[] {
  return loop.flatMap((p, i) => {
    const q = loop[(i + 1) % loop.length]!;
    const [a, b] = [side(p), side(q)];
    const t = a / (a - b);
    const crossing = { u: p.u + t * (q.u - p.u), z: p.z + t * (q.z - p.z) };
    return [...(a >= 0 ? [p] : []), ...(a >= 0 !== b >= 0 ? [crossing] : [])];
  });
}
