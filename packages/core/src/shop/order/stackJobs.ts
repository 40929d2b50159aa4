import { say, sayMm } from '../../measure/said.js';
import { hangs, type Section } from './assembly.js';
import {
  acrossOf,
  after,
  type BandJobs,
  base,
  ownerOf,
  ringsSaid,
  type Stacked,
  sawnAfter,
} from './atLathe.js';
import { stageFlex } from './bending.js';
import { glueJobs } from './glueJobs.js';
import type { SeatChoice } from './holding.js';
import { insideJobs } from './insideJobs.js';
import { type Job, type JobStage, type Need, stageId } from './job.js';
import { jointJob } from './partJobs.js';
import { rodJobs } from './rodJobs.js';
import { gluing } from './takes.js';

const SECTIONS: Readonly<Record<Section['id'], string>> = {
  body: 'The stack',
  lower: 'Lower half',
  upper: 'Upper half, upside down',
  lid: 'Lid, upside down',
};

/** Jobs of all sections, the heads that they stand under, and the slanted bands for which no section alone is high enough. */
export function stackJobs(of: Stacked): {
  readonly jobs: Job[];
  readonly stages: JobStage[];
  readonly bands: readonly BandJobs[];
} {
  const jobs: Job[] = [];
  const stages: JobStage[] = [];
  let waiting = of.bands;
  of.assembly.sections.forEach((section, at) => {
    const mounting = mountJobs(section, of, of.seats[at]!);
    const mount = mounting.at(-1)!;
    const on = new Set([section.rings[0]!]);
    const sawnThrough = (stage: string) => (more: readonly number[], last: Job) => {
      for (const ring of more) on.add(ring);
      const stands = ({ meets: [first, top] }: BandJobs) => on.has(first) && on.has(top);
      const ready = waiting.findIndex((band) => !stands(band));
      const bands = ready < 0 ? waiting : waiting.slice(0, ready);
      waiting = waiting.slice(bands.length);
      return sawnAfter(bands, [{ id: last.id, after: 'cure' }], stage);
    };
    let onto: Need[] = [{ id: mount.id, after: 'clamps' }];
    section.stages.forEach((stage, i) => {
      const id = stageId(section.id, i);
      const rings = stage.rings.map((ring) => of.rings[ring]!);
      stages.push({
        id,
        title: say`${SECTIONS[section.id]}: ${ringsSaid(rings)}`,
        because: stage.because,
      });
      if (i === 0) jobs.push(...mounting.map((job) => ({ ...job, stage: id })));
      if (of.assembly.stacking === 'rod') {
        const rod = rodJobs(stage, of, id);
        jobs.push(...rod);
        onto = after(rod.at(-1));
      }
      const stacked = glueJobs(stage, of, id, onto, sawnThrough(id));
      jobs.push(...stacked.jobs);
      // The widest of all that turns counts, not only of what is hollowed now.
      const onLathe = section.stages
        .slice(0, i + 1)
        .flatMap((each) => each.rings.map((ring) => of.rings[ring]!));
      const flex = stageFlex(section, of.bending[at]!, i);
      const inside = insideJobs(stage, of, id, stacked.onto, acrossOf(onLathe), flex);
      jobs.push(...inside);
      const last = inside.at(-1);
      // Finish inside is dry before the next ring is glued over it.
      onto = last ? [{ id: last.id, after: 'cure' }] : stacked.onto;
    });
  });
  return { jobs, stages, bands: waiting };
}

/** The spare foot where there is one, then the waste block is glued on and the lowest ring with it. */
function mountJobs(
  section: Section,
  { rings, workshop, ready, spareMm, assembly }: Stacked,
  seat: SeatChoice,
): Job[] {
  const first = rings[section.rings[0]!]!;
  const mount: Job = {
    ...base,
    id: `mount/${first.id}`,
    stage: '',
    owners: [ownerOf(first)],
    title: say`Mount ring ${first.index + 1}`,
    says: [
      seat.says,
      'True the face of the block first; a sheet of paper in the joint lets it be split off, a full joint is parted.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'fresh-glue'],
    needs: after(ready[first.index]),
    takes: gluing(workshop, { mount: 1 }, 'lathes'),
    makes: 'stacked',
    ...(seat.seat === 'plate' && { holds: { of: 'plates', until: lettingGo(section, assembly, rings) } }),
  };
  if (spareMm === 0 || hangs(section)) return [mount];
  const across = 2 * (first.gives ?? first.need).outerRadiusMm;
  const spare: Job = {
    ...base,
    id: `spare/${first.id}`,
    stage: '',
    owners: [],
    title: say`Glue a spare foot under ring ${first.index + 1}`,
    says: [
      say`A disc of the same wood, ${sayMm(spareMm, 'thickness')} thick and ${sayMm(across, 'diameter')} across, its grain as that of the foot has it. It is gripped in the foot’s place and parted off at the end; should the foot tear off, it takes its place and the piece keeps its height.`,
    ],
    tool: 'clamps',
    cautions: [],
    needs: after(ready[first.index]),
    takes: gluing(workshop, { step: 1 }, workshop.equipment.presses > 0 ? 'presses' : null),
  };
  return [spare, { ...mount, needs: [{ id: spare.id, after: 'cure' }] }];
}

/** The job with which a section comes off its plate: the upper half when it is joined, all others when they are parted off. */
function lettingGo(
  { id, rings: own }: Section,
  { sections }: Stacked['assembly'],
  rings: Stacked['rings'],
): string {
  const lower = sections[0]!.rings.at(-1)!;
  return id === 'upper' ? jointJob(ownerOf(rings[own.at(-1)!]!), ownerOf(rings[lower]!)) : 'foot';
}
