import { type Mm, mm, type Rad, rad } from '../../measure/quantity.js';

/** Sizes of one segment of a flat ring of N equal segments. */
export interface SegmentSizes {
  /** Cut angle from square, θ = π/N. */
  readonly cutAngle: Rad;
  /** Lo = 2·Ro·tan θ. */
  readonly longEdgeMm: Mm;
  /** Li = 2·Ri·sin θ; 0 where the points meet. */
  readonly shortEdgeMm: Mm;
  /** w = Ro − Ri·cos θ, radial. */
  readonly widthMm: Mm;
  /** ai = Ri·cos θ: from the axis to the middle of the short edge. */
  readonly innerApothemMm: Mm;
  /** Ro / cos θ. */
  readonly cornerMm: Mm;
}

/**
 * Segments whose ring holds the round ring Ri..Ro. The outer flats touch the circle Ro, so a flat's middle is the
 * nearest point outside; the corners of the hole touch the circle Ri, since they are its farthest points.
 * Derived in docs/how-it-computes.md, "The flat ring". `count` ≥ 3, 0 ≤ `innerMm` < `outerMm`.
 */
export function segmentSizes(count: number, outerMm: Mm, innerMm: Mm): SegmentSizes {
  const theta = Math.PI / count;
  return {
    cutAngle: rad(theta),
    longEdgeMm: mm(2 * outerMm * Math.tan(theta)),
    shortEdgeMm: mm(2 * innerMm * Math.sin(theta)),
    widthMm: mm(outerMm - innerMm * Math.cos(theta)),
    innerApothemMm: mm(innerMm * Math.cos(theta)),
    cornerMm: mm(outerMm / Math.cos(theta)),
  };
}

/**
 * What given segments make: Ro = Lo / (2 tan θ), Ri = max(0, (Ro − w) / cos θ).
 * The inverse of `segmentSizes`; same source.
 */
export function ringOfSegments(count: number, longEdgeMm: Mm, widthMm: Mm): { outerMm: Mm; innerMm: Mm } {
  const theta = Math.PI / count;
  const outer = longEdgeMm / (2 * Math.tan(theta));
  return { outerMm: mm(outer), innerMm: mm(Math.max(0, (outer - widthMm) / Math.cos(theta))) };
}
