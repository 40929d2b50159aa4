import { type Mm, mm, type Rad, rad } from '../measure/quantity.js';
import { type Point, polar } from '../ring/plane.js';

/** A ring of equal mitred segments as it is meant: `count` of them, their long edge, the width of the strip; cut at π/count. */
export interface MeantRing {
  readonly count: number;
  readonly longEdgeMm: Mm;
  readonly widthMm: Mm;
}

/** The same cut with every mitre wrong by `error` (positive: cut too steep), as one of its segments lies: mm from its own centre. */
export interface WrongRing extends MeantRing {
  readonly error: Rad;
  /** θ′ = π/N + ε. */
  readonly cutAngle: Rad;
  /** Middles of the outer and the inner flat: Lo/(2 tan θ′), less the width. */
  readonly outerFlatMm: Mm;
  readonly innerFlatMm: Mm;
  /** Along a joint. */
  readonly jointMm: Mm;
}

/** A ring with one wrong angle, repeated in all its 2N cuts. The long edge is kept: it comes from the stop. */
export function cutWrong(ring: MeantRing, error: Rad): WrongRing {
  const cutAngle = rad(Math.PI / ring.count + error);
  const outerFlatMm = mm(ring.longEdgeMm / (2 * Math.tan(cutAngle)));
  return {
    ...ring,
    error,
    cutAngle,
    outerFlatMm,
    innerFlatMm: mm(outerFlatMm - ring.widthMm),
    jointMm: mm(ring.widthMm / Math.cos(cutAngle)),
  };
}

/** Gaps of a ring, mm, and at which end of a joint; none where the angle is right. */
export interface Gapes {
  /** All joints tight but the last: how wide it stands open outside and inside. Closed at the other end where it is negative. */
  readonly last: { readonly outsideMm: Mm; readonly insideMm: Mm };
  /** Clamped so that it spreads: how wide every joint stands open, at the outside where the angle is too small. */
  readonly each: { readonly gapeMm: Mm; readonly at: 'outside' | 'inside' | null };
}

/**
 * What one wrong angle does: with all other joints tight the last one gapes 2·D·sin(N·ε) at distance D from the centre of the
 * segments (2Nε·D for small ε), negative where they overlap; spread over all, every joint turns on the corner that touches and
 * gapes 2·sin ε·w/cos(θ + ε) at its open end.
 */
export function gapesOf({ count, error, cutAngle, outerFlatMm, innerFlatMm, jointMm }: WrongRing): Gapes {
  const at = (flatMm: number) => mm(-2 * (flatMm / Math.cos(cutAngle)) * Math.sin(count * error));
  return {
    last: { outsideMm: at(outerFlatMm), insideMm: at(innerFlatMm) },
    each: {
      gapeMm: mm(2 * Math.sin(Math.abs(error)) * jointMm),
      at: error === 0 ? null : error < 0 ? 'outside' : 'inside',
    },
  };
}

/** The wrong angle at which every joint of a spread ring gapes just so much: what a joint allows. */
export const angleAllowed = (ring: MeantRing, gapeMm: number): Rad =>
  rad(Math.asin(Math.min(1, (gapeMm * Math.cos(Math.PI / ring.count)) / (2 * ring.widthMm))));

/** The segments laid out dry, all joints tight but the last, from above: outer left and right, inner right and left corner, mm. */
export function laidDry({ count, cutAngle, outerFlatMm, innerFlatMm }: WrongRing): Point[][] {
  const [outer, inner] = [outerFlatMm, innerFlatMm].map((flat) => flat / Math.cos(cutAngle));
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [2 * i * cutAngle, 2 * (i + 1) * cutAngle];
    return [polar(outer!, from), polar(outer!, to), polar(inner!, to), polar(inner!, from)];
  });
}
