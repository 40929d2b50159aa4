/** A point of a curve, mm. */
interface Place {
  readonly radiusMm: number;
  readonly heightMm: number;
}

/** Slopes dr/dz at points of rising heights so that the cubic pieces between them are monotone. */
export function monotoneSlopes(points: readonly Place[]): number[] {
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
