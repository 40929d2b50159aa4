import { radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, sameBetween, type Vessel } from '../form/vessel.js';
import { ringAsMeasured } from '../making/registry.js';
import { once } from '../measure/memo.js';
import { mm } from '../measure/quantity.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import {
  allowed,
  type Ball,
  neededBall,
  needOf,
  type RingNeed,
  wallBall,
  wallBand,
  withRadii,
} from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Reach } from '../ring/reach.js';
import type { Region } from '../ring/slant.js';
import type { Course } from '../ring/stack.js';
import type { Project, Ring } from './schema.js';

/** Where a ring stands. */
export interface Standing {
  /** Where it is glued, before any band is cut through the stack. */
  readonly course: Course;
  /** Heights of its faces on the axis of the finished blank; those of its course where there are no slanted bands. */
  readonly stands: Course;
  /** Where it lies in the piece, region by region; nowhere when it stands above the form. */
  readonly reaches: readonly Reach[];
}

/** A ring with the size that it is made to. */
export interface SizedRing extends Standing {
  readonly ring: Ring;
  /** A form that is, where the ring lies, the very one of the piece: the one in which the ring was sized. */
  readonly vessel: Vessel;
  /** The turned wall in this ring, without allowance. */
  readonly wall: Band;
  /** The turned wall where the ring stands on what is below it. */
  readonly foot: Band;
  /** What the form asks of the ring, allowances included. */
  readonly need: RingNeed;
  /** The size it is made to: as measured, else as fixed, else what the form asks for. */
  readonly size: RingNeed;
  /** The wall between cones whose radii grow by a slope. */
  along(slope: number): Band;
  /** The wall between spheres about the height at which it is widest. */
  about(): Ball;
}

/** A ring's height as it stands in the stack: as measured, else as planned (mm). */
export const heightOf = (ring: Ring) => ring.measured?.heightMm ?? ring.heightMm;

/** Sizes a ring; the same as before as long as it stands as it did and the form is the same where it lies. */
export function sizeRing(
  ring: Ring,
  standing: Standing,
  vessel: Vessel,
  allowances: Project['allowances'],
): SizedRing {
  const last = sizedBefore.get(ring);
  if (
    last &&
    sameAllowances(last.allowances, allowances) &&
    sameStanding(last.sized, standing) &&
    sameWhereItLies(last.sized, vessel)
  )
    return last.sized;
  const sized = sizedRing(ring, standing, vessel, allowances);
  if (Object.isFrozen(ring)) sizedBefore.set(ring, { allowances, sized });
  return sized;
}

/** Sizes that rings had when they were last worked out. */
const sizedBefore = new WeakMap<
  Ring,
  { readonly allowances: Project['allowances']; readonly sized: SizedRing }
>();

/** Whether a form is, where a ring lies and stands, the one that it was sized in. */
function sameWhereItLies({ vessel: last, stands, reaches }: SizedRing, vessel: Vessel): boolean {
  if (last === vessel) return true;
  let [from, to] = [stands.bottomMm as number, stands.topMm as number];
  for (const { fromMm, toMm } of reaches) {
    from = Math.min(from, fromMm);
    to = Math.max(to, toMm);
  }
  return sameBetween(last, vessel, from, to) && to <= vessel.heightMm;
}

const sameAllowances = (a: Project['allowances'], b: Project['allowances']): boolean =>
  a.outsideMm === b.outsideMm && a.insideMm === b.insideMm;

const sameCourse = (a: Course, b: Course): boolean =>
  a.index === b.index && a.bottomMm === b.bottomMm && a.topMm === b.topMm;

const sameStanding = (a: Standing, b: Standing): boolean =>
  sameCourse(a.course, b.course) &&
  sameCourse(a.stands, b.stands) &&
  a.reaches.length === b.reaches.length &&
  a.reaches.every(({ region, fromMm, toMm }, i) => {
    const other = b.reaches[i]!;
    return fromMm === other.fromMm && toMm === other.toMm && sameRegion(region, other.region);
  });

const sameRegion = (a: Region, b: Region): boolean =>
  a === b ||
  (a.band === b.band &&
    a.above === b.above &&
    a.shift.x === b.shift.x &&
    a.shift.y === b.shift.y &&
    a.shift.z === b.shift.z);

function sizedRing(
  ring: Ring,
  standing: Standing,
  vessel: Vessel,
  allowances: Project['allowances'],
): SizedRing {
  const { stands, course, reaches } = standing;
  if (reaches.every(({ toMm, fromMm }) => toMm - fromMm <= SAME_LENGTH))
    return aboveForm(ring, standing, vessel, allowances);
  const along = (slope: number) => wallIn(vessel, standing, slope);
  const about = once(() => ballIn(vessel, standing));
  const wall = along(0);
  const need: RingNeed = {
    ...needOf(wall, course, allowances),
    leaning: (slope) => allowed(along(slope), allowances),
    round: () => neededBall(about(), allowances),
  };
  return {
    ring,
    vessel,
    ...standing,
    wall,
    foot: wallAtHeight(vessel, stands.bottomMm),
    need,
    size: sizeOf(ring, need),
    along,
    about,
  };
}

/**
 * A ring that stands wholly above the form holds nothing of it. It is told, and counted as a ring of the size of the lip
 * until it is taken away: nobody's rings vanish from a list because they came out thicker than planned.
 */
function aboveForm(
  ring: Ring,
  standing: Standing,
  vessel: Vessel,
  allowances: Project['allowances'],
): SizedRing {
  const wall = wallAtHeight(vessel, vessel.heightMm);
  const need: RingNeed = { ...allowed(wall, allowances), heightMm: heightOf(ring) };
  return {
    ring,
    vessel,
    ...standing,
    wall,
    foot: wall,
    need,
    size: sizeOf(ring, need),
    along: () => wall,
    about: () => ({ ...wall, centreMm: need.heightMm / 2 }),
  };
}

/**
 * The wall that a ring has to hold, over all regions of the piece in which it lies: where bands have moved it aside it
 * has to be so much wider, and its hole so much smaller.
 */
function wallIn(vessel: Vessel, { course, reaches }: Standing, slope: number): Band {
  const middle = (course.bottomMm + course.topMm) / 2;
  const bands = reaches.map(({ region: { shift }, fromMm, toMm }): Band => {
    const heights = { bottomMm: mm(fromMm), topMm: mm(toMm) };
    const { outerRadiusMm, innerRadiusMm } = wallBand(vessel, heights, slope, middle + shift.z);
    const aside = Math.hypot(shift.x, shift.y);
    return { outerRadiusMm: outerRadiusMm + aside, innerRadiusMm: Math.max(0, innerRadiusMm - aside) };
  });
  return {
    outerRadiusMm: Math.max(...bands.map(({ outerRadiusMm }) => outerRadiusMm)),
    innerRadiusMm: Math.min(...bands.map(({ innerRadiusMm }) => innerRadiusMm)),
  };
}

/** The same for a shell: the spheres about the middle of the region that reaches out farthest, so high above the ring's bottom. */
function ballIn(vessel: Vessel, { course, reaches }: Standing): Ball {
  const balls = reaches.map(({ region: { shift }, fromMm, toMm }): Ball => {
    const { centreMm, outerRadiusMm, innerRadiusMm } = wallBall(vessel, {
      bottomMm: mm(fromMm),
      topMm: mm(toMm),
    });
    const aside = Math.hypot(shift.x, shift.y);
    return {
      centreMm: centreMm - shift.z - course.bottomMm,
      outerRadiusMm: outerRadiusMm + aside,
      innerRadiusMm: Math.max(0, innerRadiusMm - aside),
    };
  });
  const widest = balls.reduce((a, b) => (b.outerRadiusMm > a.outerRadiusMm ? b : a));
  /** What another region needs, seen from the middle of the widest. */
  const off = ({ centreMm }: Ball) => Math.abs(centreMm - widest.centreMm);
  return {
    centreMm: widest.centreMm,
    outerRadiusMm: Math.max(...balls.map((ball) => ball.outerRadiusMm + off(ball))),
    innerRadiusMm: Math.max(0, Math.min(...balls.map((ball) => ball.innerRadiusMm - off(ball)))),
  };
}

/** The turned wall at one height, by its radii. */
export const wallAtHeight = (vessel: Vessel, z: number): Band => ({
  outerRadiusMm: radiusAt(vessel.outside, z),
  innerRadiusMm: Math.max(0, insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z)),
});

/** The size a ring is made to: as measured, else as fixed, else what the form asks for. */
function sizeOf({ fixed, measured, making }: Ring, need: RingNeed): RingNeed {
  const planned: RingNeed = fixed
    ? {
        heightMm: need.heightMm,
        ...fixed,
        ...(need.round && { round: () => withRadii(need.round!(), fixed) }),
      }
    : need;
  return measured?.diameterMm === undefined
    ? planned
    : ringAsMeasured(making, planned, mm(measured.diameterMm / 2));
}
