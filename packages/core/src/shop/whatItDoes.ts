import { fromDegrees, type Mm, mm, type Rad } from '../measure/quantity.js';
import { halvesOf } from './halves.js';
import { cutWrong, gapesOf, type MeantRing } from './wrongAngle.js';

/** Angles that a saw is commonly out by, degrees. */
const OUT_BY = [0.02, 0.05, 0.1, 0.2] as const;

/** What an angle that is too small by so much does to a ring. */
export interface Does {
  readonly error: Rad;
  /** The last joint outside, all others tight. */
  readonly lastMm: Mm;
  /** Every joint, where the ring is clamped so that the gap spreads. */
  readonly eachMm: Mm;
  /** When it is trued as two halves; null for an odd count. */
  readonly outOfRoundMm: Mm | null;
}

/** What a little does on this ring: gaps and out-of-round for angles that saws are commonly out by. */
export const whatItDoes = (ring: MeantRing): Does[] =>
  OUT_BY.map((by) => {
    const error = fromDegrees(by);
    const wrong = cutWrong(ring, fromDegrees(-by));
    const { last, each } = gapesOf(wrong);
    return {
      error,
      lastMm: mm(Math.abs(last.outsideMm)),
      eachMm: each.gapeMm,
      outOfRoundMm: halvesOf(wrong)?.outOfRoundMm ?? null,
    };
  });
