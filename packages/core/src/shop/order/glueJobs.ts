import type { RingPlan } from '../../lumber/ringPlan.js';
import { say, sayList } from '../../measure/said.js';
import type { Stage } from './assembly.js';
import { after, base, ownerOf, ringsSaid, type Stacked } from './atLathe.js';
import type { GlueUp } from './glueUps.js';
import type { Job, Need } from './job.js';
import { isStacking, jointJob } from './partJobs.js';
import { placingSaid } from './placing.js';
import { gluing } from './takes.js';

/**
 * Glue-ups of a stage in their order, and what the next thing done to the stack has to wait for. `sawnThrough` are the jobs of slanted bands
 * for which the stack is high enough once rings are on.
 */
export function glueJobs(
  stage: Stage,
  of: Stacked,
  id: string,
  onto: readonly Need[],
  sawnThrough: (on: readonly number[], last: Job) => readonly Job[],
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
    if (!glueUp.ontoStack) continue;
    const bands = sawnThrough(glueUp.rings, job);
    jobs.push(...bands);
    stack = after(bands.at(-1) ?? job);
  }
  if (!stage.glueUps.some(({ ontoStack }) => ontoStack)) stack.push(...jobs.flatMap(after));
  return { jobs, onto: stack };
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
    const lines = [...own, ...placingSaid(rings[joint]!, rings[joint - 1]!, of.leaning[joint])];
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
