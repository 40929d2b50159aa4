import { extremes } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { insideRadius } from '../form/wall.js';
import { type Mm, mm } from '../measure/quantity.js';
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
 * What the form needs of a ring over `course`: `Ro = max r + outside allowance`, `Ri = max(0, min inside − inside
 * allowance)`, extremes over the whole height and not just its two faces. A part of the top ring that stands above the
 * lip is turned away and needs nothing. The course has to begin below the lip.
 */
export function ringNeed(vessel: Vessel, course: Course, allowances: Allowances): RingNeed {
  const top = Math.min(course.topMm, vessel.heightMm);
  const outer = extremes(vessel.outside, course.bottomMm, top).most + allowances.outsideMm;
  return {
    outerMm: mm(outer),
    innerMm: mm(innerNeed(vessel, course.bottomMm, top, allowances.insideMm)),
    heightMm: mm(course.topMm - course.bottomMm),
  };
}

function innerNeed(vessel: Vessel, bottom: number, top: number, allowance: number): number {
  if (bottom < vessel.hollowFromMm) return 0;
  return Math.max(0, insideRadius(vessel.outside, vessel.wallMm, bottom, top) - allowance);
}
