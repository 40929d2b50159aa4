import { radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel, vesselOf } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { bodyOf, makeRing, pitchOf, ringAsMeasured } from '../making/registry.js';
import { remembered, rememberedTogether, rememberedWhenFrozen } from '../measure/memo.js';
import { mm, type Rad, rad } from '../measure/quantity.js';
import { done, type Result } from '../measure/reason.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { allowed, needOf, type RingNeed, wallBand } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import { onAxis, type Reach, reachesOf } from '../ring/reach.js';
import { type Cuts, cutOf, NO_CUTS, type Region, type Slant } from '../ring/slant.js';
import { type Course, courses } from '../ring/stack.js';
import { bandsOf, type PreparedBand } from './bands.js';
import { dressed, type Patterned } from './dress.js';
import type { Project, Ring } from './schema.js';

/** A ring with everything that drawings and counts ask of it. */
export interface PreparedRing {
  /** The ring with the woods that show: under a motif they are the motif's. */
  readonly ring: Ring;
  /** Where it is glued, before any band is cut through the stack. */
  readonly course: Course;
  /** Heights of its faces on the axis of the finished blank; those of its course where there are no slanted bands. */
  readonly stands: Course;
  /** Where it lies in the piece, region by region; nowhere when it stands above the form. */
  readonly reaches: readonly Reach[];
  /** The turned wall in this ring, without allowance. */
  readonly wall: Band;
  /** The same between cones that lean as the ring does, by their radii at half its height. */
  readonly wallAlong: Band;
  /** The turned wall where the ring stands on what is below it. */
  readonly foot: Band;
  /** What the form asks of the ring, allowances included. */
  readonly need: RingNeed;
  /** The ring as it is planned, or as it was made. */
  readonly made: Result<Made>;
  /** Turned from the index mark, counter-clockwise from above. */
  readonly turn: Rad;
}

export interface Prepared {
  readonly vessel: Vessel;
  readonly rings: readonly PreparedRing[];
  /** The slanted cuts through the stack, in the order in which they are made, and what is glued into them. */
  readonly cuts: Cuts;
  readonly bands: readonly PreparedBand[];
  /** How far the wall stands over the top of the stack and under its foot where cuts run out there (mm). */
  readonly overTopMm: number;
  readonly underFootMm: number;
}

/** A ring's height as it stands in the stack: as measured, else as planned (mm). */
export const heightOf = (ring: Ring) => ring.measured?.heightMm ?? ring.heightMm;

/** Works out the form and what each ring has to be; the project has been through `readProject` or `run`. */
export function prepare(project: Stacking & Patterned): Result<Prepared> {
  const stack = stackUp(project);
  return stack.ok ? done(dress(stack.value, project)) : stack;
}

/** A ring as it was prepared, in other woods. */
const painted = remembered(
  (each: PreparedRing, ring: Ring): PreparedRing => (ring === each.ring ? each : { ...each, ring }),
);

/** What the shape of a piece hangs on. */
export type Stacking = Pick<Project, 'form' | 'rings' | 'allowances' | 'slants'>;

/** The rings of a stack in the woods that show; `rings` are those it was worked out from, or the same otherwise painted. */
export function dress(stack: Prepared, project: Pick<Project, 'rings' | 'slants'> & Patterned): Prepared {
  const rings = stack.rings.map((each, i) => painted(each, project.rings[i]!));
  const bands = stack.bands.map((band, i) => ({ ...band, slant: project.slants?.[i] ?? band.slant }));
  return { ...stack, rings: dressed(rings, project), bands: bands.length > 0 ? bands : stack.bands };
}

/** The cuts of slanted bands; the same as long as their shapes are. */
const cutsOf = rememberedWhenFrozen((slants: readonly Slant[]): Cuts => slants.map(cutOf));

/** The same with every ring in the woods it was painted with, whatever motif lies over it: shape and sizes only. */
export function stackUp(project: Stacking): Result<Prepared> {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return vessel;
  const stack = courses(project.rings.map(heightOf));
  const { slants = [], allowances } = project;
  const cuts = slants.length > 0 ? cutsOf(slants) : NO_CUTS;
  const { heightMm } = vessel.value;
  const reaches = reachesOf(cuts, stack, heightMm, (z) => {
    const { outerMm, innerMm } = wallAtHeight(vessel.value, z);
    return [outerMm, (outerMm + innerMm) / 2, innerMm];
  });
  const sized = project.rings.map((ring, i) => {
    const course = stack[i]!;
    const stands =
      cuts === NO_CUTS
        ? course
        : {
            ...course,
            bottomMm: mm(onAxis(cuts, course.bottomMm)),
            topMm: mm(onAxis(cuts, course.topMm)),
          };
    return sizeRing(ring, { course, stands, reaches: reaches.rings[i]! }, vessel.value, allowances);
  });
  const bodies = bodiesOf(sized);
  return done({
    vessel: vessel.value,
    rings: sized.map((ring) => prepareRing(ring, membersOf(ring, bodies))),
    cuts,
    bands: bandsOf(slants, cuts, reaches.bands, vessel.value, allowances.outsideMm),
    overTopMm: reaches.overTopMm,
    underFootMm: reaches.underFootMm,
  });
}

/** A ring with the size that it is made to. */
type Standing = Pick<PreparedRing, 'course' | 'stands' | 'reaches'>;

interface SizedRing extends Standing, Pick<PreparedRing, 'ring' | 'wall' | 'foot' | 'need'> {
  readonly size: RingNeed;
  along(slope: number): Band;
}

function sizeRing(
  ring: Ring,
  standing: Standing,
  vessel: Vessel,
  allowances: Project['allowances'],
): SizedRing {
  const last = sizedBefore.get(ring);
  if (last && last.vessel === vessel && sameAllowances(last.allowances, allowances)) {
    if (sameStanding(last.sized, standing)) return last.sized;
  }
  const sized = sizedRing(ring, standing, vessel, allowances);
  if (Object.isFrozen(ring)) sizedBefore.set(ring, { vessel, allowances, sized });
  return sized;
}

/** Sizes that rings had when they were last worked out. */
const sizedBefore = new WeakMap<
  Ring,
  { readonly vessel: Vessel; readonly allowances: Project['allowances']; readonly sized: SizedRing }
>();

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
  const wall = along(0);
  const need: RingNeed = {
    ...needOf(wall, course, allowances),
    leaning: (slope) => allowed(along(slope), allowances),
  };
  return {
    ring,
    ...standing,
    wall,
    foot: wallAtHeight(vessel, stands.bottomMm),
    need,
    size: sizeOf(ring, need),
    along,
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
  return { ring, ...standing, wall, foot: wall, need, size: sizeOf(ring, need), along: () => wall };
}

/**
 * The wall that a ring has to hold, over all regions of the piece in which it lies: where bands have moved it aside it
 * has to be so much wider, and its hole so much smaller.
 */
function wallIn(vessel: Vessel, { course, reaches }: Standing, slope: number): Band {
  const middle = (course.bottomMm + course.topMm) / 2;
  const bands = reaches.map(({ region: { shift }, fromMm, toMm }): Band => {
    const heights = { bottomMm: mm(fromMm), topMm: mm(toMm) };
    const { outerMm, innerMm } = wallBand(vessel, heights, slope, middle + shift.z);
    const aside = Math.hypot(shift.x, shift.y);
    return { outerMm: outerMm + aside, innerMm: Math.max(0, innerMm - aside) };
  });
  return {
    outerMm: Math.max(...bands.map(({ outerMm }) => outerMm)),
    innerMm: Math.min(...bands.map(({ innerMm }) => innerMm)),
  };
}

/** The turned wall at one height, by its radii. */
const wallAtHeight = (vessel: Vessel, z: number): Band => ({
  outerMm: radiusAt(vessel.outside, z),
  innerMm: Math.max(0, insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z)),
});

/** The size a ring is made to: as measured, else as fixed, else what the form asks for. */
function sizeOf({ fixed, measured, making }: Ring, need: RingNeed): RingNeed {
  const planned = fixed ? { heightMm: need.heightMm, ...fixed } : need;
  return measured?.diameterMm === undefined
    ? planned
    : ringAsMeasured(making, planned, mm(measured.diameterMm / 2));
}

/** A ring with all that is sawn from one glue-up with it, itself among them; of most rings only itself. */
const prepareRing = remembered((sized: SizedRing, members: readonly SizedRing[]): PreparedRing => {
  const { ring, course, stands, reaches, wall, foot, need, size, along } = sized;
  const standing = { ring, course, stands, reaches };
  const turn = rad(ring.turn * pitchOf(ring.making));
  const made = makeRing(ring.making, withBody(sized, size, members));
  const wallAlong = made.ok && made.value.lean !== 0 ? along(made.value.lean) : wall;
  return { ...standing, wall, wallAlong, foot, need, made, turn };
});

/** Rings that are sawn from one glue-up, by its name. */
function bodiesOf(all: readonly SizedRing[]): ReadonlyMap<string, readonly SizedRing[]> {
  const bodies = new Map<string, SizedRing[]>();
  for (const each of all) {
    const body = bodyOf(each.ring.making);
    if (body === null) continue;
    const known = bodies.get(body);
    if (known) known.push(each);
    else bodies.set(body, [each]);
  }
  return bodies;
}

const ALONE: readonly SizedRing[] = [];

/** The same list for the same members. */
const together = rememberedTogether((members: readonly SizedRing[]) => members);

function membersOf({ ring }: SizedRing, bodies: ReadonlyMap<string, readonly SizedRing[]>) {
  const body = bodyOf(ring.making);
  const members = body === null ? undefined : bodies.get(body);
  return members ? together(members) : ALONE;
}

/** The size together with those of all rings that are sawn from the same glue-up. */
function withBody(sized: SizedRing, size: RingNeed, members: readonly SizedRing[]): RingNeed {
  if (members.length === 0) return size;
  const sizes = members.map((other) => other.size);
  return { ...size, body: { members: sizes, index: members.indexOf(sized) } };
}
