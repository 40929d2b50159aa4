import type { FormPoint } from './shape.js';

/**
 * The outside of a form as radius over height: cubic Hermite pieces between the points. The slopes are those of the
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

/** The curve through points with strictly rising heights; corners end one smooth run and begin the next. */
export function curveThrough(points: readonly FormPoint[]): Curve {
  const pieces: CurvePiece[] = [];
  let start = 0;
  for (let i = 1; i < points.length; i++) {
    if (points[i]!.kind !== 'corner' && i < points.length - 1) continue;
    pieces.push(...smoothRun(points.slice(start, i + 1)));
    start = i;
  }
  return { pieces };
}

function smoothRun(points: readonly FormPoint[]): CurvePiece[] {
  const slopes = monotoneSlopes(points);
  return points.slice(1).map((upper, i) => {
    const lower = points[i]!;
    return {
      z0: lower.heightMm,
      z1: upper.heightMm,
      r0: lower.radiusMm,
      r1: upper.radiusMm,
      d0: slopes[i]!,
      d1: slopes[i + 1]!,
    };
  });
}

function monotoneSlopes(points: readonly FormPoint[]): number[] {
  const n = points.length;
  const step = points.slice(1).map((p, i) => p.heightMm - points[i]!.heightMm);
  const secant = points.slice(1).map((p, i) => (p.radiusMm - points[i]!.radiusMm) / step[i]!);
  if (n === 2) return [secant[0]!, secant[0]!];
  return points.map((_, i) => {
    if (i === 0) return endSlope(step[0]!, step[1]!, secant[0]!, secant[1]!);
    if (i === n - 1) return endSlope(step[n - 2]!, step[n - 3]!, secant[n - 2]!, secant[n - 3]!);
    return innerSlope(step[i - 1]!, step[i]!, secant[i - 1]!, secant[i]!);
  });
}

/** Weighted harmonic mean of the neighbouring secants; level where they disagree in sign. */
function innerSlope(h0: number, h1: number, s0: number, s1: number): number {
  if (s0 * s1 <= 0) return 0;
  const w0 = 2 * h1 + h0;
  const w1 = h1 + 2 * h0;
  return (w0 + w1) / (w0 / s0 + w1 / s1);
}

/** Three-point slope at an end, limited so that the piece stays monotone. */
function endSlope(h0: number, h1: number, s0: number, s1: number): number {
  const slope = ((2 * h0 + h1) * s0 - h0 * s1) / (h0 + h1);
  if (slope * s0 <= 0) return 0;
  if (s0 * s1 <= 0 && Math.abs(slope) > 3 * Math.abs(s0)) return 3 * s0;
  return slope;
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
export function pieceAt(curve: Curve, z: number): CurvePiece {
  let low = 0;
  let high = curve.pieces.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (z > curve.pieces[middle]!.z1) low = middle + 1;
    else high = middle;
  }
  return curve.pieces[low]!;
}

export const topOf = (curve: Curve): number => curve.pieces[curve.pieces.length - 1]!.z1;

/** Outer radius at height z, 0 ≤ z ≤ top (mm). */
export const radiusAt = (curve: Curve, z: number): number => pieceRadius(pieceAt(curve, z), z);

/** Heights in `[z0, z1]` between which every piece is monotone: the ends and the points between them. */
export function knotsBetween(curve: Curve, z0: number, z1: number): number[] {
  const between = curve.pieces.map((p) => p.z0).filter((z) => z > z0 && z < z1);
  return [z0, ...between, z1];
}

/** Least and greatest radius over heights z0..z1, exact because the pieces are monotone. */
export function extremes(curve: Curve, z0: number, z1: number): { least: number; most: number } {
  const radii = knotsBetween(curve, z0, z1).map((z) => radiusAt(curve, z));
  return { least: Math.min(...radii), most: Math.max(...radii) };
}
