import { distances, widestBetween } from '../form/ball.js';
import { extremes, type Lean } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { solidSomewhere, type Vessel } from '../form/vessel.js';
import { type Mm, mm } from '../measure/quantity.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Band } from './overlap.js';
import type { Course } from './stack.js';

/** Wood left on each side for truing and for rings glued a little off centre, mm. */
export interface Allowances {
  readonly outsideMm: Mm;
  readonly insideMm: Mm;
}

/** Spheres about a point of the axis, so high above the ring's bottom (mm). */
export interface Ball extends Band {
  readonly centreMm: number;
}

/** The spheres that a shell has to hold, allowances included, and the turned wall without. */
export interface NeededBall extends Ball {
  readonly turned: Band;
}

/** The size of a ring that is sawn from a glue-up. */
export type Member = Band & { readonly heightMm: number };

/** The round ring that must survive turning: outer and inner radius over the ring's whole height, mm. */
export interface RingNeed {
  readonly outerRadiusMm: Mm;
  /** 0 where any height in the ring is solid: a disc, or segments whose points meet. */
  readonly innerRadiusMm: Mm;
  readonly heightMm: Mm;
  /**
   * The same for a ring whose radii grow by `slope` for every mm of height: the cones that hold it, by their radii at
   * half its height. Left out where a size is given that does not follow the form.
   */
  leaning?(slope: number): Band;
  /** The same for a ring that is a shell round a point of the axis: the spheres that hold it. Left out likewise. */
  round?(): NeededBall;
  /** Sizes of all rings that are sawn from one glue-up with this one, bottom to top, and which of them this is. */
  readonly body?: {
    readonly members: readonly Member[];
    readonly index: number;
    /** All glue-ups that are marked out on one board with this one, in the order of the work, and which of them this is. */
    readonly board?: {
      readonly bodies: readonly (readonly Member[])[];
      readonly names: readonly string[];
      readonly index: number;
    };
  };
}

/**
 * The turned wall over `course`, without allowance: `max r` and `min inside` over the whole height and not just its two
 * faces. A part of the top ring that stands above the lip is turned away. The course has to begin below the lip. With a
 * `slope` it is the wall between cones that widen by it per mm, by their radii at a height `about`, usually half the
 * course's.
 */
export function wallBand(
  vessel: Vessel,
  course: Pick<Course, 'bottomMm' | 'topMm'>,
  slope = 0,
  about = (course.bottomMm + course.topMm) / 2,
): Band {
  const top = Math.min(course.topMm, vessel.heightMm);
  const lean = { slope, about };
  return {
    outerRadiusMm: extremes(vessel.outside, course.bottomMm, top, lean).most,
    innerRadiusMm: innermost(vessel, course.bottomMm, top, lean),
  };
}

/**
 * The turned wall over a course between spheres about the height at which the outside is widest in it (mm, from the bench): how far
 * it reaches out, and how near to that point its wood comes, its floor and its roof included; 0 where wood is there.
 */
export function wallBall(vessel: Vessel, { bottomMm, topMm }: Pick<Course, 'bottomMm' | 'topMm'>): Ball {
  const top = Math.min(topMm, vessel.heightMm);
  const centreMm = widestBetween(vessel.outside, bottomMm, top);
  const { inside, hollowFromMm, hollowToMm, outside } = vessel;
  const [from, to] = [Math.max(hollowFromMm, bottomMm), Math.min(hollowToMm, top)];
  const hollow = inside !== null && from < centreMm + SAME_LENGTH && to > centreMm - SAME_LENGTH;
  const ends = [
    ...(from > bottomMm + SAME_LENGTH ? [centreMm - from] : []),
    ...(to < top - SAME_LENGTH ? [to - centreMm] : []),
  ];
  return {
    centreMm,
    outerRadiusMm: distances(outside, bottomMm, top, centreMm).most,
    innerRadiusMm: hollow ? Math.max(0, Math.min(distances(inside, from, to, centreMm).least, ...ends)) : 0,
  };
}

function innermost(vessel: Vessel, from: number, to: number, lean: Lean): number {
  const { inside, hollowFromMm, hollowToMm, recess } = vessel;
  if (to <= hollowFromMm) return recessAt(recess, to);
  if (inside === null || solidSomewhere(vessel, from, to)) return 0;
  return Math.max(0, extremes(inside, Math.max(from, hollowFromMm), Math.min(to, hollowToMm), lean).least);
}

/** What the form needs of a ring: `Ro = wall's outer + outside allowance`, `Ri = max(0, wall's inner − inside allowance)`. */
export const needOf = (wall: Band, course: Course, allowances: Allowances): RingNeed => ({
  ...allowed(wall, allowances),
  heightMm: mm(course.topMm - course.bottomMm),
});

/** The same of a shell. */
export const neededBall = (ball: Ball, allowances: Allowances): NeededBall => ({
  ...ball,
  ...allowed(ball, allowances),
  turned: ball,
});

/** A shell of other radii about the same point, which stand whatever the form asks for. */
export const withRadii = ({ centreMm }: NeededBall, radii: Band): NeededBall => ({
  ...radii,
  turned: radii,
  centreMm,
});

/** A wall with the allowances round it. */
export const allowed = (wall: Band, { outsideMm, insideMm }: Allowances) => ({
  outerRadiusMm: mm(wall.outerRadiusMm + outsideMm),
  innerRadiusMm: mm(Math.max(0, wall.innerRadiusMm - insideMm)),
});

/** By how much a ring fails to hold the wall: too small outside, its hole too large inside; 0 where it holds it (mm). */
export const shortfall = (
  gives: Band,
  wall: Band,
): { readonly outsideMm: number; readonly insideMm: number } => ({
  outsideMm: Math.max(0, wall.outerRadiusMm - gives.outerRadiusMm),
  insideMm: Math.max(0, gives.innerRadiusMm - wall.innerRadiusMm),
});
