import { monotoneSlopes } from './monotone.js';
import type { FormPoint } from './shape.js';

/**
 * Radius over height: cubic Hermite pieces. Through the points of a form (`curveThrough`) the slopes are those of the
 * monotone interpolant of Fritsch and Butland (SIAM J. Sci. Stat. Comput. 5, 1984; the rule known as PCHIP), so the
 * curve never swings past a point: its extremes over any range lie at the range's ends or at points, and it can never
 * reach the axis between two points that do not.
 */
export interface Curve {
  readonly pieces: readonly CurvePiece[];
}

/** One piece: heights z0..z1, radii r0..r1, slopes dr/dz d0, d1 at its ends. All mm, slopes without unit. */
export interface CurvePiece {
  readonly z0: number;
  readonly z1: number;
  readonly r0: number;
  readonly r1: number;
  readonly d0: number;
  readonly d1: number;
}

/** A point of a curve, mm. */
export type CurvePoint = Pick<FormPoint, 'radiusMm' | 'heightMm' | 'kind' | 'slope'>;

/** The curve through points with strictly rising heights; corners end one smooth run and begin the next. */
export function curveThrough(points: readonly CurvePoint[]): Curve {
  const pieces: CurvePiece[] = [];
  let start = 0;
  for (let i = 1; i < points.length; i++) {
    if (points[i]!.kind !== 'corner' && i < points.length - 1) continue;
    pieces.push(...smoothRun(points.slice(start, i + 1)));
    start = i;
  }
  return { pieces };
}

function smoothRun(points: readonly CurvePoint[]): CurvePiece[] {
  const slopes = monotoneSlopes(points);
  return points.slice(1).map((upper, i) => {
    const lower = points[i]!;
    return {
      z0: lower.heightMm,
      z1: upper.heightMm,
      r0: lower.radiusMm,
      r1: upper.radiusMm,
      d0: lower.slope?.above ?? slopes[i]!,
      d1: upper.slope?.below ?? slopes[i + 1]!,
    };
  });
}

/** Slope dr/dz of one piece at height z. */
export function pieceSlope({ z0, z1, r0, r1, d0, d1 }: CurvePiece, z: number): number {
  const h = z1 - z0;
  const t = (z - z0) / h;
  const secant = (r1 - r0) / h;
  return d0 + t * (6 * secant - 4 * d0 - 2 * d1) + 3 * t * t * (d0 + d1 - 2 * secant);
}

/** Radius of one piece at height z (mm). */
export function pieceRadius(piece: CurvePiece, z: number): number {
  const h = piece.z1 - piece.z0;
  const t = (z - piece.z0) / h;
  const u = 1 - t;
  return (
    piece.r0 * u * u * (1 + 2 * t) +
    piece.d0 * h * t * u * u +
    piece.r1 * t * t * (1 + 2 * u) -
    piece.d1 * h * u * t * t
  );
}

/** The piece that holds height z; the first or last for heights beyond the ends. */
export const pieceAt = (curve: Curve, z: number): CurvePiece => curve.pieces[indexAt(curve, z)]!;

function indexAt(curve: Curve, z: number): number {
  let low = 0;
  let high = curve.pieces.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (z > curve.pieces[middle]!.z1) low = middle + 1;
    else high = middle;
  }
  return low;
}

export const topOf = (curve: Curve): number => curve.pieces[curve.pieces.length - 1]!.z1;

/** Outer radius at height z, 0 ≤ z ≤ top (mm). */
export const radiusAt = (curve: Curve, z: number): number => pieceRadius(pieceAt(curve, z), z);

/** Heights in `[z0, z1]` between which the curve is one cubic: the ends and the points between them. */
export function knotsBetween(curve: Curve, z0: number, z1: number): number[] {
  const between = piecesBetween(curve, z0, z1).flatMap((p) => (p.z0 > z0 && p.z0 < z1 ? [p.z0] : []));
  return [z0, ...between, z1];
}

/** What radii are measured from: a line that grows by `slope` for every mm and is 0 at height `about`. */
export interface Lean {
  readonly slope: number;
  readonly about: number;
}

const UPRIGHT: Lean = { slope: 0, about: 0 };

/**
 * Least and greatest radius over heights z0..z1, less a leaning line: at the ends, at points, and where a piece runs
 * alongside that line inside them.
 */
export function extremes(
  curve: Curve,
  z0: number,
  z1: number,
  { slope, about }: Lean = UPRIGHT,
): { least: number; most: number } {
  let [least, most] = [Infinity, -Infinity];
  const see = (piece: CurvePiece, z: number) => {
    const radius = pieceRadius(piece, z) - slope * (z - about);
    if (radius < least) least = radius;
    if (radius > most) most = radius;
  };
  for (const piece of piecesBetween(curve, z0, z1)) {
    const [from, to] = [Math.max(z0, piece.z0), Math.min(z1, piece.z1)];
    see(piece, from);
    see(piece, to);
    for (const z of turningHeights(piece, slope)) if (z > from && z < to) see(piece, z);
  }
  return { least, most };
}

/** The pieces that have a part of z0..z1, at least one. */
export function piecesBetween(curve: Curve, z0: number, z1: number): readonly CurvePiece[] {
  const first = indexAt(curve, z0);
  let end = first + 1;
  while (end < curve.pieces.length && curve.pieces[end]!.z0 < z1) end++;
  return curve.pieces.slice(first, end);
}

/** Whether two curves are the very same between two heights. */
export function sameCurve(a: Curve, b: Curve, z0: number, z1: number): boolean {
  const [these, those] = [piecesBetween(a, z0, z1), piecesBetween(b, z0, z1)];
  return these.length === those.length && these.every((piece, i) => samePiece(piece, those[i]!));
}

/** The stretches of heights over which two curves are the very same, from the lowest; pieces of one stretch follow each other. */
export function alikeBetween(a: Curve, b: Curve): (readonly [number, number])[] {
  const stretches: [number, number][] = [];
  for (const piece of b.pieces) {
    if (!a.pieces.some((other) => samePiece(piece, other))) continue;
    const last = stretches.at(-1);
    if (last && last[1] === piece.z0) last[1] = piece.z1;
    else stretches.push([piece.z0, piece.z1]);
  }
  return stretches;
}

const samePiece = (a: CurvePiece, b: CurvePiece): boolean =>
  a === b ||
  (a.z0 === b.z0 && a.z1 === b.z1 && a.r0 === b.r0 && a.r1 === b.r1 && a.d0 === b.d0 && a.d1 === b.d1);

/** Heights where a piece has a slope: the roots of a quadratic. A monotone piece is nowhere level inside it. */
export function turningHeights(piece: CurvePiece, slope: number): number[] {
  const { z0, z1 } = piece;
  const h = z1 - z0;
  const secant = (piece.r1 - piece.r0) / h - slope;
  const [d0, d1] = [piece.d0 - slope, piece.d1 - slope];
  const a = 3 * (d0 + d1 - 2 * secant);
  const b = 2 * (3 * secant - 2 * d0 - d1);
  if (d0 * d1 > 0 && d0 * secant > 0 && Math.abs(a) <= 3 * Math.abs(secant)) return [];
  if (a === 0) return b === 0 ? [] : [z0 - (d0 / b) * h];
  const root = b * b - 4 * a * d0;
  if (root < 0) return [];
  const square = Math.sqrt(root);
  return [z0 + ((-b - square) / (2 * a)) * h, z0 + ((-b + square) / (2 * a)) * h];
}
