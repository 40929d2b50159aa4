import { radiusAt } from '../../form/curve.js';
import { insideAt, type Vessel } from '../../form/vessel.js';
import type { RingPlan } from '../../lumber/ringPlan.js';
import type { Step } from '../../making/step.js';
import { mm } from '../../measure/quantity.js';
import {
  bandOwner,
  blankOwner,
  type Owner,
  ownerKey,
  type Roll,
  ringOwner,
  rollOf,
} from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import { type Assembly, assemblyOf, type Section } from './assembly.js';
import { closingJobs, type DiscLetIn } from './closingJobs.js';
import { type Held, reversedOn, seatFor } from './holding.js';
import type { Job, JobStage, Order } from './job.js';
import { joiningOf, jointsOf } from './joining.js';
import { joiningJobs } from './joiningJobs.js';
import { flatten, jobsOfPart, type Part } from './partJobs.js';
import { millInOrder, sawnInOrder } from './sawnInOrder.js';
import type { Schools } from './schools.js';
import { stackJobs } from './stackJobs.js';

/** What is put in order: the plan of a piece, its form, and how the work gives and runs at the lathe. */
export interface Ordered {
  readonly vessel: Vessel;
  readonly plan: {
    readonly rings: readonly RingPlan[];
    readonly slants: readonly Glued[];
    readonly blanks: readonly Glued[];
  };
  /** From when on the top of each ring wants a steady. */
  readonly steady: readonly ('none' | 'hollowed' | 'always')[];
  /** How far the centre of gravity of the glue-up lies off the axis (mm). */
  readonly offMm: number;
  /** A disc that is let into the bottom. */
  readonly letIn: DiscLetIn | null;
}
interface Glued {
  readonly id: string;
  readonly steps: readonly Step[];
}

/** The order of work, and how the piece is put together in it. */
export interface OrderedPiece extends Order {
  readonly assembly: Assembly;
}

/** Off by more than this (mm) a glue-up is felt to shake: a working value. */
const SHAKES = 0.5;

/**
 * All that is done to make a piece, in an order in which it can be done: wood milled, segments cut with the saw changed least, rings
 * glued and flattened from the bottom up, the stack built and hollowed in stages, the outside, the foot, the finish.
 */
export function orderOf(
  { vessel, plan, steady, offMm, letIn }: Ordered,
  shop: Shop,
  schools: Schools = {},
): OrderedPiece {
  const { workshop } = shop;
  const roll = rollOf(plan);
  const assembly = assemblyOf(vessel, plan.rings, shop, schools);
  const parts = partsOf(plan, roll, shop, schools);
  const stacked = stackJobs({
    rings: plan.rings,
    workshop,
    assembly,
    steady,
    ready: plan.rings.map(({ id }) => parts.last.get(ownerKey(ringOwner(id)))),
    held: assembly.sections.map(
      (section) => seatFor(heldOf(section, vessel, plan.rings), shop, schools.seat).says,
    ),
  });
  const closing = closingJobs(
    {
      rings: plan.rings,
      workshop,
      assembly,
      ends: assembly.sections.map(({ id }) =>
        stacked.jobs.findLast(({ stage }) => stage.startsWith(`${id}-`)),
      ),
      slender: steady.flatMap((from, ring) => (from === 'always' ? [ring] : [])),
      reversed: reversedOn(2 * mouthOf(vessel), widestOf(plan.rings), vessel.inside !== null, shop),
      underFootMm: mm(vessel.recess?.depthMm ?? 0),
      shakes: offMm > SHAKES,
      letIn,
    },
    parts.bands,
  );
  const jobs = [...parts.jobs, ...stacked.jobs, ...closing.jobs];
  return { assembly, jobs, stages: [...parts.stages, ...stacked.stages, ...closing.stages] };
}

const mouthOf = (vessel: Vessel): number => insideAt(vessel, vessel.hollowToMm) ?? 0;
const widestOf = (rings: readonly RingPlan[]): number =>
  2 * Math.max(0, ...rings.map(({ need }) => need.outerRadiusMm));

/** What a section is held by: its foot, or the rim that hangs down from its plate. */
function heldOf({ id, rings: own }: Section, vessel: Vessel, rings: readonly RingPlan[]): Held {
  const foot = id === 'body' || id === 'lower';
  const face = foot ? radiusAt(vessel.outside, 0) : radiusAt(vessel.outside, vessel.heightMm);
  return {
    faceMm: 2 * face,
    widestMm: widestOf(own.map((ring) => rings[ring]!)),
    solidMm: foot ? vessel.hollowFromMm : 0,
    underFootMm: foot ? (vessel.recess?.depthMm ?? 0) : 0,
    foot,
  };
}

/** Jobs of rings, bands and blanks beside the lathe, and the last job of each. */
function partsOf({ rings, slants, blanks }: Ordered['plan'], roll: Roll, shop: Shop, schools: Schools) {
  const { workshop } = shop;
  const mill: Job[] = [];
  const saw: Job[] = [];
  const glue: Job[] = [];
  const bands: Job[] = [];
  const last = new Map<string, Job>();
  const seen = new Set<string>();
  const take = (part: Part, own: Job[]): Job[] => {
    const jobs = jobsOfPart(part, workshop);
    for (const { bay, job } of jobs) {
      last.set(ownerKey(part.owner), job);
      const known = seen.has(job.id);
      seen.add(job.id);
      const list = bay === 'mill' ? mill : bay === 'saw' ? saw : own;
      // What is done once for several rings stands where the first of them has it, for all of them.
      if (known) for (const into of [mill, saw, glue, own]) widen(into, job);
      else list.push({ ...job, stage: bay === 'part' ? stageOf(part.owner) : bay });
    }
    return own;
  };
  const part = (owner: Owner, { steps }: Glued): Part => ({ owner, title: roll.titleOf(owner), steps });
  for (const ring of rings) {
    const of = part(ringOwner(ring.id), ring);
    const jobs = take(of, []);
    const joints = jointsOf(ring);
    const at = jobs.findIndex(({ id }) => id.endsWith('/glue'));
    if (joints !== null && at >= 0) {
      const joining = joiningOf(ring, workshop, schools.joining);
      jobs.splice(at, 1, ...joiningJobs(jobs[at]!, joints, joining, workshop));
      if (last.get(ownerKey(of.owner))!.id.endsWith('/glue')) last.set(ownerKey(of.owner), jobs.at(-1)!);
    }
    const faces = ring.pieces[0]?.sanded ?? 0;
    const slice = ring.steps.some(({ id, once }) => id === 'stack' && once !== undefined);
    if (faces > 0 && !slice && ring.steps.length > 0) {
      const flat = flatten(of, faces, ring.need.heightMm, last.get(ownerKey(of.owner)), workshop);
      jobs.push({ ...flat, stage: 'rings' });
      last.set(ownerKey(of.owner), flat);
    }
    glue.push(...jobs);
  }
  for (const blank of blanks) glue.push(...take(part(blankOwner(blank.id), blank), []));
  for (const slant of slants) bands.push(...take(part(bandOwner(slant.id), slant), []));
  const sawn = sawnInOrder(saw, schools.sawing ?? 'settings', shop);
  const stages: JobStage[] = [
    { id: 'mill', title: 'Plane and rip', because: null },
    ...sawn.stages,
    { id: 'rings', title: 'Glue and flatten the rings', because: null },
    { id: 'blanks', title: 'Blanks', because: null },
  ];
  const jobs = [...millInOrder(mill), ...sawn.jobs, ...glue];
  return { jobs, bands, last, stages: stages.filter(({ id }) => jobs.some(({ stage }) => stage === id)) };
}

const stageOf = ({ of }: Owner): string => (of === 'ring' ? 'rings' : of === 'band' ? 'bands' : 'blanks');

function widen(list: Job[], { id, owners }: Job): void {
  const at = list.findIndex((job) => job.id === id);
  if (at >= 0) list[at] = { ...list[at]!, owners: [...list[at]!.owners, ...owners] };
}
