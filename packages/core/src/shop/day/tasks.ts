import type { Job, Need, Order } from '../order/job.js';
import { type Done, isDone } from '../order/states.js';
import { doneBy, lastBy, type Tick } from '../order/ticks.js';
import type { Named } from './schedule.js';
import type { Running } from './task.js';

/** How far the work has come: how many of each job are done, and how many minutes ago the last of each was. */
export interface WorkDone {
  readonly done: Done;
  readonly ago: ReadonlyMap<string, number>;
}

const MINUTE = 60_000;

/** How far ticks have brought the work, as it is at a time (ms since 1970). */
export const workDone = (ticks: readonly Tick[], now: number): WorkDone => ({
  done: doneBy(ticks),
  ago: new Map([...lastBy(ticks)].map(([job, { at }]) => [job, (now - at) / MINUTE])),
});

/** What is left to be done of a piece, and what of it is in clamps now; `piece` tells the jobs of several pieces apart. */
export function tasksOf(
  { jobs }: Pick<Order, 'jobs'>,
  { done, ago }: WorkDone,
  piece = '',
): { readonly tasks: Named[]; readonly running: Running[] } {
  const by = new Map(jobs.map((job) => [job.id, job]));
  const left = jobs.filter((job) => !isDone(job, done));
  const open = new Set(left.map(({ id }) => id));
  const tasks = left.map((job): Named => {
    const share = 1 - Math.min(1, (done.get(job.id) ?? 0) / job.times);
    const waits = job.needs.filter(({ id }) => by.has(id));
    return {
      id: piece + job.id,
      title: job.title,
      ...job.takes,
      ...(job.holds && { holds: { of: job.holds.of, until: piece + job.holds.until } }),
      hands: job.takes.hands * share,
      needs: waits
        .filter(({ id }) => open.has(id))
        .map((need) => ({ id: piece + need.id, wait: waitOf(by.get(need.id)!, need) })),
      notBefore: Math.max(0, ...waits.map((need) => waitLeft(by.get(need.id)!, need, open, ago))),
    };
  });
  const running = jobs.flatMap(({ id, takes, holds }): Running[] => {
    if (open.has(id)) return [];
    const until = takes.clamp - (ago.get(id) ?? Number.POSITIVE_INFINITY);
    return [
      ...(takes.on && until > 0 ? [{ of: takes.on, until }] : []),
      ...(holds && open.has(holds.until) ? [{ of: holds.of, until: piece + holds.until }] : []),
    ];
  });
  return { tasks, running };
}

/** How long after the end of its hands what needs a job may begin. */
export const waitOf = ({ takes }: Pick<Job, 'takes'>, { after }: Pick<Need, 'after'>): number =>
  after === 'clamps' ? takes.clamp : takes.clamp + takes.cure;

const waitLeft = (job: Job, need: Need, open: ReadonlySet<string>, ago: WorkDone['ago']): number =>
  open.has(job.id) ? 0 : waitOf(job, need) - (ago.get(job.id) ?? Number.POSITIVE_INFINITY);
