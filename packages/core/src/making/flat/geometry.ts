import { type Mm, mm, type Rad, rad } from '../../measure/quantity.js';

/** Sizes of one segment of a flat ring, as it is sawn off its strip. */
export interface SegmentSizes {
  /** Cut angle from square, half the included angle: β/2; π/N in a ring of equal segments. */
  readonly cutAngle: Rad;
  /** Lo = 2·Ro·tan(β/2). */
  readonly longEdgeMm: Mm;
  /** Li = 2·ai·tan(β/2); 0 where the points meet. */
  readonly shortEdgeMm: Mm;
  /** w = Ro − ai, radial, one for all segments of a ring. */
  readonly widthMm: Mm;
}

/** A flat ring's sizes: of each of its segments by included angle, and of the ring. */
export interface RingSizes {
  readonly segments: readonly SegmentSizes[];
  /** ai = Ri·cos(βmax/2): from the axis to the middle of every short edge. */
  readonly innerApothemMm: Mm;
  /** Ro / cos(βmax/2). */
  readonly cornerMm: Mm;
}

/**
 * Segments of the included angles `angles` whose ring holds the round ring Ri..Ro. All outer flats touch the circle Ro,
 * so a flat's middle is the nearest point outside; the farthest corners of the hole, those of the widest segment, touch
 * the circle Ri. With β = 2π/N for all it is the ring of N equal segments: Lo = 2·Ro·tan(π/N), Li = 2·Ri·sin(π/N).
 * Derived in docs/how-it-computes.md, "The flat ring". Each angle < π, 0 ≤ `innerMm` < `outerMm`.
 */
export function ringSizes(angles: readonly number[], outerMm: Mm, innerMm: Mm): RingSizes {
  const widest = Math.max(...angles) / 2;
  const inner = innerMm * Math.cos(widest);
  return {
    segments: angles.map((angle) => ({
      cutAngle: rad(angle / 2),
      longEdgeMm: mm(2 * outerMm * Math.tan(angle / 2)),
      shortEdgeMm: mm(2 * inner * Math.tan(angle / 2)),
      widthMm: mm(outerMm - inner),
    })),
    innerApothemMm: mm(inner),
    cornerMm: mm(outerMm / Math.cos(widest)),
  };
}

/**
 * What strips of width w make when the ring comes out with an outer radius Ro: Ri = max(0, (Ro − w) / cos(βmax/2)).
 * The inverse of `ringSizes`; same source.
 */
export const innerOfWidth = (widestAngle: number, outerMm: Mm, widthMm: Mm): Mm =>
  mm(Math.max(0, (outerMm - widthMm) / Math.cos(widestAngle / 2)));
