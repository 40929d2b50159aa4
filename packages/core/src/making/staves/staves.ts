import { z } from 'zod';
import { number } from '../../measure/field.js';
import { degrees, fromDegrees, mm, type Rad, rad } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';

/** Segments that stand on end with their grain upright, like the staves of a bucket. */
export const stavesSchema = z.strictObject({
  /** How far they lean out from upright, degrees; less than 0: they lean in. */
  leanDeg: number('Lean of the staves', -75, 75, '°'),
});

export type Staves = z.infer<typeof stavesSchema>;

/** The field that is changed where staves lean too much. */
const LEAN_FIELD = 'staves.leanDeg';

/** How much the radii of staves grow for every mm of height; 0 of upright ones, and where there are none. */
export const slopeOf = (staves: Staves | undefined): number =>
  staves === undefined || staves.leanDeg === 0 ? 0 : Math.tan(fromDegrees(staves.leanDeg));

/** How the segments of a ring stand: how much its radii grow for every mm of height, what the segments are called, and from where they are seen from above. */
export interface Stance {
  readonly slope: number;
  readonly called: 'Segment' | 'Stave';
  readonly seen: 'from above' | 'from its upper end';
}

/** Segments that lie flat. */
export const LYING: Stance = { slope: 0, called: 'Segment', seen: 'from above' };

export const stanceOf = (staves: Staves | undefined): Stance =>
  staves ? { slope: slopeOf(staves), called: 'Stave', seen: 'from its upper end' } : LYING;

/** What the form asks of a ring; of leaning staves it is the wall between cones, by their radii at half height. */
export function heldBy(need: RingNeed, staves: Staves | undefined): RingNeed {
  const slope = slopeOf(staves);
  const band = slope === 0 ? undefined : need.leaning?.(slope);
  if (!band) return need;
  return { ...need, outerRadiusMm: mm(band.outerRadiusMm), innerRadiusMm: mm(band.innerRadiusMm) };
}

/** The setting of the saw for the edges of a stave. */
export interface Compound {
  /** Of the mitre gauge, from the slope line of the face: how much the edge tapers from the grain. */
  readonly mitre: Rad;
  readonly bladeTilt: Rad;
}

/**
 * The edges of a stave that takes 2θ of the circle and leans by t from upright: mitre gauge m = atan(tan θ·sin t), measured
 * on the face from the slope line, and blade tilt b = asin(sin θ·cos t). Derived in docs/how-it-computes.md, “Staves”.
 */
export function compoundOf(half: number, lean: number): Compound {
  const t = Math.abs(lean);
  return {
    mitre: rad(Math.atan(Math.tan(half) * Math.sin(t))),
    bladeTilt: rad(Math.asin(Math.sin(half) * Math.cos(t))),
  };
}

/** The same for `count` equal staves that close a ring; `lean` in radians. */
export const compoundAngles = (count: number, lean: number): Compound => compoundOf(Math.PI / count, lean);

/**
 * The refusal of staves that would meet in the middle at their narrow end; null where they do not. `innerMm` is where their inner
 * faces lie from their apexes at half height, or null where the hole cannot be as small as it is asked for.
 */
export function tooSteep(
  slope: number,
  innerMm: number | null,
  half: number,
  { innerRadiusMm, heightMm }: RingNeed,
): Result<never> | null {
  const spread = (Math.abs(slope) * heightMm) / 2;
  if (slope === 0 || (innerMm !== null && innerMm > spread)) return null;
  return refuse(
    'lean-too-steep',
    LEAN_FIELD,
    say`Leaning by ${sayRad(rad(Math.atan(slope)))} over ${sayMm(heightMm)}, the staves would meet in the middle at their narrow end: the hole at half height is ${sayMm(2 * innerRadiusMm)}, and more than ${sayMm(2 * spread)} is needed. Lean them less or make the ring lower.`,
    { most: degrees(rad(Math.atan((2 * (innerMm ?? innerRadiusMm * Math.cos(half))) / heightMm))) },
  );
}
