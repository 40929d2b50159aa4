import { type Vessel, vesselOf } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { makeRing } from '../making/registry.js';
import { turnOf } from '../making/turnOf.js';
import { remembered, rememberedWhenFrozen } from '../measure/memo.js';
import { mm, type Rad } from '../measure/quantity.js';
import { done, type Result } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import { onAxis, reachesOf } from '../ring/reach.js';
import { closes, unworked } from '../ring/shell.js';
import { type Cuts, cutOf, NO_CUTS, type Slant } from '../ring/slant.js';
import { courses } from '../ring/stack.js';
import { bandsOf } from './bands.js';
import { type Body, bodiesOf, bodyAmong, withBody } from './bodies.js';
import { dressed, type Patterned } from './dress.js';
import type { PreparedBand } from './preparedBand.js';
import { type PreparedInlay, preparedInlays } from './preparedInlays.js';
import { AS_DRAWN, type Ripping, rippedTogether } from './ripping.js';
import type { Project, Ring } from './schema.js';
import { heightOf, type SizedRing, sizeRing, wallAtHeight } from './sizing.js';

/**
 * A ring with everything that drawings and counts ask of it; its `ring` has the woods that show: under a motif they are
 * the motif's.
 */
export interface PreparedRing extends Omit<SizedRing, 'vessel' | 'along' | 'about'> {
  /** What it is made for, with the sizes of all that is sawn from one glue-up with it. */
  readonly size: RingNeed;
  /** A form that is, where the ring lies, the turned one of the piece. */
  readonly vessel: Vessel;
  /** The wall between cones that lean as the ring does, by their radii at half its height, or between the spheres of a shell. */
  readonly wallAlong: Band;
  /** The ring as it is planned, or as it was made. */
  readonly made: Result<Made>;
  /** Turned from the index mark, counter-clockwise from above. */
  readonly turn: Rad;
}

export interface Prepared {
  readonly vessel: Vessel;
  /** Whether panels close the hollow all round. */
  readonly shut: boolean;
  /** The form as turning leaves it: without a hollow that is shut. */
  readonly turned: Vessel;
  readonly rings: readonly PreparedRing[];
  /** The slanted cuts through the stack, in the order in which they are made, and what is glued into them. */
  readonly cuts: Cuts;
  readonly bands: readonly PreparedBand[];
  /** What is let into the turned outside, in the order of the document. */
  readonly inlays: readonly PreparedInlay[];
  /** How far the wall stands over the top of the stack and under its foot where cuts run out there (mm). */
  readonly overTopMm: number;
  readonly underFootMm: number;
}

/** Works out the form and what each ring has to be, its strips ripped as the shop does (else as drawn); the project has been through `readProject` or `run`. */
export function prepare(project: Stacking & Patterned, ripping?: Ripping): Result<Prepared> {
  const stack = stackUp(project, ripping);
  return stack.ok ? done(dress(stack.value, project)) : stack;
}

/** A ring as it was prepared, in other woods. */
const painted = remembered(
  (each: PreparedRing, ring: Ring): PreparedRing => (ring === each.ring ? each : { ...each, ring }),
);

/** A band as it was prepared, in another wood. */
const veneered = remembered(
  (band: PreparedBand, slant: Slant): PreparedBand => (slant === band.slant ? band : { ...band, slant }),
);

/** What the shape of a piece hangs on. */
export type Stacking = Pick<Project, 'form' | 'rings' | 'allowances' | 'slants' | 'inlays'>;

/** The rings of a stack in the woods that show; `rings` are those it was worked out from, or the same otherwise painted. */
export function dress(stack: Prepared, project: Pick<Project, 'rings' | 'slants'> & Patterned): Prepared {
  const rings = stack.rings.map((each, i) => painted(each, project.rings[i]!));
  const bands = stack.bands.map((band, i) => veneered(band, project.slants?.[i] ?? band.slant));
  return { ...stack, rings: dressed(rings, project), bands: bands.length > 0 ? bands : stack.bands };
}

/** The cuts of slanted bands; the same as long as their shapes are. */
const cutsOf = rememberedWhenFrozen((slants: readonly Slant[]): Cuts => slants.map(cutOf));

/** The same with every ring in the woods it was painted with, whatever motif lies over it: shape and sizes only, strips ripped as given. */
export function stackUp(project: Stacking, ripping = AS_DRAWN): Result<Prepared> {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return vessel;
  const stack = courses(project.rings.map(heightOf));
  const { slants = [], allowances } = project;
  const cuts = slants.length > 0 ? cutsOf(slants) : NO_CUTS;
  const { heightMm } = vessel.value;
  const reaches = reachesOf(cuts, stack, heightMm, (z) => {
    const { outerRadiusMm, innerRadiusMm } = wallAtHeight(vessel.value, z);
    return [outerRadiusMm, (outerRadiusMm + innerRadiusMm) / 2, innerRadiusMm];
  });
  const asked = project.rings.map((ring, i) => {
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
  const sized = rippedTogether(asked, ripping);
  const bodies = bodiesOf(sized);
  const rings = sized.map((ring) => prepareRing(ring, bodyAmong(ring, bodies)));
  const shut = rings.some((ring) => isShut(vessel.value, ring));
  return done({
    vessel: vessel.value,
    shut,
    turned: shut ? unworked(vessel.value) : vessel.value,
    rings,
    cuts,
    bands: bandsOf(slants, cuts, reaches.bands, vessel.value, allowances.outsideMm),
    inlays: preparedInlays(project.inlays, vessel.value),
    overTopMm: reaches.overTopMm,
    underFootMm: reaches.underFootMm,
  });
}

/** The wall by radii of the same sort as those that a ring gives. */
const wallOf = ({ wall, along, about }: SizedRing, { ball, lean }: Made): Band =>
  ball !== null ? about() : lean !== 0 ? along(lean) : wall;

/** Whether a ring is panels that close the hollow all round. */
const isShut = (vessel: Vessel, { made, stands }: Pick<PreparedRing, 'made' | 'stands'>): boolean =>
  made.ok && made.value.ball !== null && closes(vessel, stands);

/** A ring with all that is sawn from one glue-up with it; of most rings only itself. */
const prepareRing = remembered((sized: SizedRing, body: Body | null): PreparedRing => {
  const { ring, course, stands, reaches, wall, foot, need } = sized;
  const size = withBody(sized, sized.size, body);
  const turn = turnOf(ring).angle;
  const made = makeRing(ring.making, size);
  const wallAlong = made.ok ? wallOf(sized, made.value) : wall;
  const vessel = isShut(sized.vessel, { made, stands }) ? unworked(sized.vessel) : sized.vessel;
  return { ring, vessel, course, stands, reaches, wall, wallAlong, foot, need, size, made, turn };
});
