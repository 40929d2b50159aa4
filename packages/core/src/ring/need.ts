import { extremes } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { solidSomewhere, type Vessel } from '../form/vessel.js';
import { type Mm, mm } from '../measure/quantity.js';
import type { Band } from './overlap.js';
import type { Course } from './stack.js';

/** Wood left on each side for truing and for rings glued a little off centre, mm. */
export interface Allowances {
  readonly outsideMm: Mm;
  readonly insideMm: Mm;
}

/** The round ring that must survive turning: outer and inner radius over the ring's whole height, mm. */
export interface RingNeed {
  readonly outerMm: Mm;
  /** 0 where any height in the ring is solid: a disc, or segments whose points meet. */
  readonly innerMm: Mm;
  readonly heightMm: Mm;
}

/**
 * The turned wall over `course`, without allowance: `max r` and `min inside` over the whole height and not just its two
 * faces. A part of the top ring that stands above the lip is turned away. The course has to begin below the lip.
 */
export function wallBand(vessel: Vessel, course: Course): Band {
  const top = Math.min(course.topMm, vessel.heightMm);
  return {
    outerMm: extremes(vessel.outside, course.bottomMm, top).most,
    innerMm: innermost(vessel, course.bottomMm, top),
  };
}

function innermost(vessel: Vessel, from: number, to: number): number {
  const { inside, hollowFromMm, hollowToMm, recess } = vessel;
  if (to <= hollowFromMm) return recessAt(recess, to);
  if (inside === null || solidSomewhere(vessel, from, to)) return 0;
  return Math.max(0, extremes(inside, Math.max(from, hollowFromMm), Math.min(to, hollowToMm)).least);
}

/** What the form needs of a ring: `Ro = wall's outer + outside allowance`, `Ri = max(0, wall's inner − inside allowance)`. */
export const needOf = (wall: Band, course: Course, allowances: Allowances): RingNeed => ({
  outerMm: mm(wall.outerMm + allowances.outsideMm),
  innerMm: mm(Math.max(0, wall.innerMm - allowances.insideMm)),
  heightMm: mm(course.topMm - course.bottomMm),
});

/** By how much a ring fails to hold the wall: too small outside, its hole too large inside; 0 where it holds it (mm). */
export const shortfall = (
  gives: Band,
  wall: Band,
): { readonly outsideMm: number; readonly insideMm: number } => ({
  outsideMm: Math.max(0, wall.outerMm - gives.outerMm),
  insideMm: Math.max(0, gives.innerMm - wall.innerMm),
});
