import type { RingPlan } from '../../lumber/ringPlan.js';
import { type Said, say, sayList } from '../../measure/said.js';
import { type Owner, ringOwner } from '../../ring/owner.js';
import type { Workshop } from '../../settings/workshop.js';
import { speedSaid } from '../speeds.js';
import type { Assembly, Section, Stage } from './assembly.js';
import type { GlueUp } from './glueUps.js';
import type { Job, JobStage, Need } from './job.js';
import { isStacking, jointJob } from './partJobs.js';
import { placingSaid } from './placing.js';
import { stageId } from './stageView.js';
import { gluing, handwork } from './takes.js';

/** What the jobs at the lathe are worked out from. */
export interface Stacked {
  readonly rings: readonly RingPlan[];
  readonly workshop: Workshop;
  readonly assembly: Assembly;
  /** The last job of every ring beside the lathe, by its place. */
  readonly ready: readonly (Job | undefined)[];
  /** How each section is held, in its order. */
  readonly held: readonly Said[];
  /** From when on the top of a ring wants a steady. */
  readonly steady: readonly ('none' | 'hollowed' | 'always')[];
}

const SECTIONS: Readonly<Record<Section['id'], string>> = {
  body: 'The stack',
  lower: 'Lower half',
  upper: 'Upper half, upside down',
  lid: 'Lid, upside down',
};

export const ownerOf = ({ id }: Pick<RingPlan, 'id'>): Owner => ringOwner(id);
export const ringsSaid = (rings: readonly RingPlan[]): Said => {
  const [low, high] = [
    Math.min(...rings.map(({ index }) => index)),
    Math.max(...rings.map(({ index }) => index)),
  ];
  return low === high ? say`ring ${low + 1}` : say`rings ${low + 1} to ${high + 1}`;
};

/** Jobs of all sections, and the heads that they stand under. */
export function stackJobs(of: Stacked): { readonly jobs: Job[]; readonly stages: JobStage[] } {
  const jobs: Job[] = [];
  const stages: JobStage[] = [];
  of.assembly.sections.forEach((section, at) => {
    const mount = mountJob(section, of, of.held[at]!);
    let onto: Need[] = [{ id: mount.id, after: 'clamps' }];
    section.stages.forEach((stage, i) => {
      const id = stageId(section.id, i);
      const rings = stage.rings.map((ring) => of.rings[ring]!);
      stages.push({
        id,
        title: say`${SECTIONS[section.id]}: ${ringsSaid(rings)}`,
        because: stage.because,
      });
      if (i === 0) jobs.push({ ...mount, stage: id });
      if (of.assembly.stacking === 'rod') {
        const rod = rodJobs(stage, of, id);
        jobs.push(...rod);
        onto = after(rod.at(-1));
      }
      const stacked = glueJobs(stage, of, id, onto);
      jobs.push(...stacked.jobs);
      // The widest of all that turns counts, not only of what is hollowed now.
      const onLathe = section.stages
        .slice(0, i + 1)
        .flatMap((each) => each.rings.map((ring) => of.rings[ring]!));
      const inside = insideJobs(stage, of, id, stacked.onto, acrossOf(onLathe));
      jobs.push(...inside);
      const last = inside.at(-1);
      onto = last ? [{ id: last.id, after: 'clamps' }] : stacked.onto;
    });
  });
  return { jobs, stages };
}

const base = { also: [], because: null, times: 1, makes: null } as const;

/** The waste block is glued on, and the lowest ring with it. */
function mountJob(section: Section, { rings, workshop, ready }: Stacked, held: Said): Job {
  const first = rings[section.rings[0]!]!;
  return {
    ...base,
    id: `mount/${first.id}`,
    stage: '',
    owners: [ownerOf(first)],
    title: say`Mount ring ${first.index + 1}`,
    says: [
      held,
      'True the face of the block first; a sheet of paper in the joint lets it be split off, a full joint is parted.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'fresh-glue'],
    needs: after(ready[first.index]),
    takes: gluing(workshop, { mount: 1 }, 'lathes'),
    makes: 'stacked',
  };
}

export const after = (job: Job | undefined): Need[] => (job ? [{ id: job.id, after: 'clamps' }] : []);

/** Glue-ups of a stage in their order, and what the next thing done to the stack has to wait for. */
function glueJobs(
  stage: Stage,
  of: Stacked,
  id: string,
  onto: readonly Need[],
): { jobs: Job[]; onto: Need[] } {
  const jobs: Job[] = [];
  // The glue-up that a ring came out of last.
  const cameFrom = new Map<number, Job>();
  let stack = [...onto];
  for (const glueUp of stage.glueUps) {
    const parts = glueUp.rings.flatMap((ring) => after(cameFrom.get(ring) ?? of.ready[ring]));
    const needs = [
      ...new Map([...parts, ...(glueUp.ontoStack ? stack : [])].map((need) => [need.id, need])).values(),
    ];
    const job = glueJob(glueUp, of, id, needs);
    if (!job) continue;
    jobs.push(job);
    for (const ring of glueUp.rings) cameFrom.set(ring, job);
    if (glueUp.ontoStack) stack = after(job);
  }
  if (!stage.glueUps.some(({ ontoStack }) => ontoStack)) stack.push(...jobs.flatMap(after));
  return { jobs, onto: stack };
}

/** Rings set dry on a rod through discs in their holes, turned outside and only then glued. */
function rodJobs(stage: Stage, { rings, workshop, ready }: Stacked, id: string): Job[] {
  const all = stage.rings.map((ring) => rings[ring]!);
  const discs: Job = {
    ...base,
    id: 'rod/discs',
    stage: id,
    owners: all.map(ownerOf),
    title: 'Discs for the rod',
    says: [
      'Saw a disc that fits the hole of every ring, as thick as the ring or a little less, and drill all of them alike in the middle for the rod.',
      'Thread rings and discs on the rod, marks in line as the turns have them, and draw the stack together with the nut.',
    ],
    tool: 'drill',
    cautions: ['drill', 'bandsaw', 'dust'],
    needs: all.flatMap(({ index }) => after(ready[index])),
    takes: handwork(workshop, { step: Math.ceil(all.length / 3) }),
  };
  const turned: Job = {
    ...base,
    id: 'rod/outside',
    stage: id,
    owners: all.map(ownerOf),
    title: 'Turn the outside on the rod, unglued',
    says: [
      'Turn the outside with light cuts, the nut tight; number the rings and draw a line up the side before they come apart.',
      'Take it apart, turn the inside of each ring while it is open on both faces, and sand it.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs: after(discs),
    takes: handwork(workshop, { mount: 1, turn: all.length, hollow: all.length }, 'lathes'),
    makes: 'inside',
  };
  return [discs, turned];
}

/** Null where the joint is closed by a step of the glue-up that both rings are sawn from. */
function glueJob(
  { joints, rings: made, on, ontoStack }: GlueUp,
  of: Stacked,
  stage: string,
  needs: readonly Need[],
): Job | null {
  const { rings, workshop } = of;
  const open = joints.filter((joint) => !sawnTogether(rings[joint]!, rings[joint - 1]!));
  const [first, ...others] = open.map((joint) =>
    jointJob(ownerOf(rings[joint]!), ownerOf(rings[joint - 1]!)),
  );
  if (!first) return null;
  const all = made.map((ring) => rings[ring]!);
  const says = open.flatMap((joint) => {
    const own = rings[joint]!.steps.filter(isStacking).map(({ says }) => says);
    const lines = [...own, ...placingSaid(rings[joint]!, rings[joint - 1]!)];
    return open.length > 1 ? [sayList([say`Ring ${joint + 1}:`, ...lines.slice(0, -1)], ' ')] : lines;
  });
  return {
    ...base,
    id: first,
    also: others,
    stage,
    owners: all.map(ownerOf),
    title: ontoStack ? say`Glue ${ringsSaid(all)} on` : say`Glue ${ringsSaid(all)} to one`,
    says,
    tool: 'clamps',
    cautions: ontoStack ? ['lathe'] : [],
    needs,
    takes: gluing(
      workshop,
      { stack: open.length },
      on === 'presses' && workshop.equipment.presses === 0 ? 'lathes' : on,
    ),
    makes: 'stacked',
  };
}

/** Rings that are slices of one glue-up are put back together in a step of it. */
const sawnTogether = (upper: RingPlan, lower: RingPlan): boolean => {
  const body = upper.steps.find(({ id, once }) => id === 'stack' && once !== undefined)?.once;
  return body !== undefined && lower.steps.some(({ once }) => once === body);
};

/** Across the corners of the widest of rings (mm). */
export const acrossOf = (rings: readonly Pick<RingPlan, 'cornerMm'>[]): number =>
  2 * Math.max(...rings.map(({ cornerMm }) => cornerMm));

/** Hollowing of a stage, and what is done inside before it closes. */
function insideJobs(
  stage: Stage,
  { rings, workshop, steady }: Stacked,
  id: string,
  onto: readonly Need[],
  acrossMm: number,
): Job[] {
  const all = stage.hollow.map((ring) => rings[ring]!);
  const last = all.at(-1);
  if (!last) return [];
  const wants = stage.rings.some((ring) => steady[ring] === 'always')
    ? ['Put a steady to the work before it is hollowed: it gives too much at its top.']
    : stage.rings.some((ring) => steady[ring] === 'hollowed')
      ? [
          'Once it is hollow it gives too much at its top: a steady, or leave the wall below thicker until the top is done.',
        ]
      : [];
  const hollow: Job = {
    ...base,
    id: `hollow/${last.id}`,
    stage: id,
    owners: all.map(ownerOf),
    title: say`Hollow ${ringsSaid(all)}`,
    says: [
      say`True it first: ${speedSaid('fresh', acrossMm)}`,
      say`Then to hollow: ${speedSaid('turning', acrossMm)}`,
      ...wants,
      'Measure the wall at every joint with callipers before you go on; what goes on next is best left uncut until then.',
    ],
    because: stage.because,
    tool: 'lathe',
    cautions: ['lathe', 'fresh-glue', 'dust'],
    needs: [...onto].map(({ id }): Need => ({ id, after: 'cure' })),
    takes: handwork(workshop, { mount: 0.25, hollow: all.length }, 'lathes'),
    makes: 'inside',
  };
  const sand: Job = {
    ...base,
    id: `inside/${last.id}`,
    stage: id,
    owners: [],
    title: say`Sand and seal ${ringsSaid(all)} inside`,
    says: [
      speedSaid('sanding', acrossMm),
      stage.sanded
        ? 'Sand through the grits with the lathe slow or off, then seal: later nobody gets at it.'
        : 'Neither hand nor fingers get at all of it: sand with paper on a stick, lathe off, as far as it goes, then seal.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs: after(hollow),
    takes: handwork(workshop, { sand: all.length }, 'lathes'),
  };
  return [hollow, sand];
}
