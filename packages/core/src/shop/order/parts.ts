import type { RingPlan } from '../../lumber/ringPlan.js';
import type { Step } from '../../making/step.js';
import { bandOwner, blankOwner, type Owner, ownerKey, type Roll, ringOwner } from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import type { BandJobs } from './atLathe.js';
import type { Job, JobStage } from './job.js';
import { joiningOf, jointsOf } from './joining.js';
import { joiningJobs } from './joiningJobs.js';
import { flatten, jobsOfPart, type Part } from './partJobs.js';
import { millInOrder, sawnInOrder } from './sawnInOrder.js';
import type { Schools } from './schools.js';

/** What is made beside the lathe: rings, slanted bands, blanks. */
export interface Parts {
  readonly rings: readonly RingPlan[];
  readonly slants: readonly SlantedBand[];
  readonly blanks: readonly Glued[];
}
interface Glued {
  readonly id: string;
  readonly steps: readonly Step[];
}
interface SlantedBand extends Glued {
  readonly meets: BandJobs['meets'];
}

/** Jobs of rings, bands and blanks beside the lathe, and the last job of each. */
export function partsOf({ rings, slants, blanks }: Parts, roll: Roll, shop: Shop, schools: Schools) {
  const { workshop } = shop;
  const mill: Job[] = [];
  const saw: Job[] = [];
  const glue: Job[] = [];
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
  const part = (owner: Owner, { steps }: Glued): Part => ({
    owner,
    title: roll.titleOf(owner),
    steps: steps.filter(({ when }) => when === undefined),
  });
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
  const bands = slants.map(
    (slant): BandJobs => ({
      meets: slant.meets,
      jobs: take(part(bandOwner(slant.id), slant), []),
    }),
  );
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
