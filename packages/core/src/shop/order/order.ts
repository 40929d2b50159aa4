import { radiusAt } from '../../form/curve.js';
import { insideAt, type Vessel } from '../../form/vessel.js';
import type { RingPlan } from '../../lumber/ringPlan.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { blankOwner, ownerKey, ringOwner, rollOf } from '../../ring/owner.js';
import type { FinishId } from '../../settings/finishes.js';
import type { Shop } from '../../settings/shop.js';
import { type Assembly, assemblyOf, hangs, type Section } from './assembly.js';
import { type Bending, bendingOf } from './bending.js';
import type { DiscLetIn } from './closing.js';
import { closingJobs } from './closingJobs.js';
import { finishOf } from './finishJobs.js';
import { type Hold, heldAt, heldOutside, heldReversed } from './held.js';
import { type Held, seatFor, spareThickness } from './holding.js';
import type { PlacedInlay } from './inlayJobs.js';
import { type Order, stageId } from './job.js';
import { type Parts, partsOf } from './parts.js';
import type { LeaningJoint } from './placing.js';
import type { Schools } from './schools.js';
import { stackJobs } from './stackJobs.js';

/** What is put in order: the plan of a piece, its form, and how the work gives and runs at the lathe. */
export interface Ordered {
  readonly vessel: Vessel;
  readonly plan: Parts;
  /** Of each ring: mean density, kg/m³, whether it is so slender that it is turned last, how its joints meet those below where both lean. */
  readonly along: readonly {
    readonly density: number;
    readonly slender: boolean;
    readonly leaning: LeaningJoint | null;
  }[];
  /** How far the centre of gravity of the glue-up lies off the axis (mm). */
  readonly offMm: number;
  /** A disc that is let into the bottom. */
  readonly letIn: DiscLetIn | null;
  readonly finish?: FinishId | undefined;
  /** What is let into the outside, as far as the form takes it. */
  readonly inlays: readonly PlacedInlay[];
}
/** The order of work, how the piece is put together in it, how it gives, and how it is held at each stage at the lathe. */
export interface OrderedPiece extends Order {
  readonly assembly: Assembly;
  /** Of each section, in its order. */
  readonly bending: readonly Bending[];
  /** How it is held, by the id of the stage. */
  readonly holds: ReadonlyMap<string, Hold>;
}

/** Off by more than this (mm) a glue-up is felt to shake: a working value. */
const SHAKES = 0.5;

/**
 * All that is done to make a piece, in an order in which it can be done: wood milled, segments cut with the saw changed least, rings
 * glued and flattened from the bottom up, the stack built and hollowed in stages, the outside, the foot, the finish.
 */
export function orderOf(
  { vessel, plan, along, offMm, letIn, finish, inlays }: Ordered,
  shop: Shop,
  schools: Schools = {},
): OrderedPiece {
  const { workshop } = shop;
  const { rings } = plan;
  const assembly = assemblyOf(vessel, rings, shop, schools);
  const { sections } = assembly;
  const roll = rollOf(plan);
  const parts = partsOf(plan, roll, shop, schools);
  const spareMm = schools.spareFoot ? spareThickness(rings[0]!.need.heightMm, shop) : mm(0);
  const seats = sections.map((section) =>
    seatFor(heldOf(section, vessel, rings, spareMm), shop, schools.seat),
  );
  const bent = rings.map(({ gives, need }, i) => ({ gives, need, density: along[i]!.density }));
  const bending = sections.map((section) => bendingOf(section, bent));
  const leaning = along.map((each) => each.leaning);
  const ready = rings.map(({ id }) => parts.last.get(ownerKey(ringOwner(id))));
  const stacked = stackJobs({
    rings,
    workshop,
    assembly,
    seats,
    bending,
    spareMm,
    ready,
    leaning,
    bands: parts.bands,
    finish: finishOf(finish, workshop),
  });
  const reversed = heldReversed(
    2 * mouthOf(vessel),
    widestOf(rings),
    vessel.inside !== null && !vessel.joined,
    shop,
  );
  const closing = closingJobs(
    {
      rings,
      workshop,
      assembly,
      leaning,
      ends: sections.map(({ id }) => stacked.jobs.findLast(({ stage }) => stage.startsWith(`${id}-`))),
      slender: along.flatMap(({ slender }, ring) => (slender ? [ring] : [])),
      reversed,
      underFootMm: mm(vessel.recess?.depthMm ?? 0),
      spareMm,
      shakes: offMm > SHAKES,
      letIn,
      finish,
      inlays,
      beside: plan.blanks.map(({ id, steps }) => ({
        owner: blankOwner(id),
        title: roll.titleOf(blankOwner(id)),
        steps,
      })),
    },
    stacked.bands,
  );
  const outside = heldOutside(sections[0]!, seats[0]!, shop, vessel.joined);
  const holds = new Map<string, Hold>([
    ...sections.flatMap((section, at) =>
      section.stages.map(
        (stage, i) =>
          [
            stageId(section.id, i),
            heldAt(section, stage, seats[at]!, assembly.stacking, shop, vessel.joined),
          ] as const,
      ),
    ),
    ['join', outside],
    ['outside', outside],
    ['foot', reversed],
  ]);
  const jobs = [...parts.jobs, ...stacked.jobs, ...closing.jobs];
  const stages = [...parts.stages, ...stacked.stages, ...closing.stages];
  return { assembly, bending, holds, jobs, stages };
}

const mouthOf = (vessel: Vessel): number => insideAt(vessel, vessel.hollowToMm) ?? 0;
const widestOf = (rings: readonly RingPlan[]): number =>
  2 * Math.max(0, ...rings.map(({ need }) => need.outerRadiusMm));

/** What a section is held by: its foot, or the rim that hangs down from its plate. */
function heldOf(section: Section, vessel: Vessel, rings: readonly RingPlan[], spareMm: Mm): Held {
  const foot = !hangs(section);
  const face = foot ? radiusAt(vessel.outside, 0) : radiusAt(vessel.outside, vessel.heightMm);
  return {
    faceMm: 2 * face,
    widestMm: widestOf(section.rings.map((ring) => rings[ring]!)),
    solidMm: foot ? vessel.hollowFromMm : 0,
    underFootMm: foot ? (vessel.recess?.depthMm ?? 0) : 0,
    spareMm: foot ? spareMm : 0,
    foot,
  };
}
