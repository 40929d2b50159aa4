import { done as fine, type Result, refuse } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import type { Job, Order } from './job.js';
import { type Done, isDone } from './states.js';

/** Counts at most this many times what a job asks for: more is a slip of the hand. */
const MOST = 4;

/**
 * Whether so many more of a job may be counted, or fewer where `more` is negative: not before what it needs is done, nor taken back
 * from under what was done since. Gives the ids that are counted.
 */
export function counted(
  { jobs }: Pick<Order, 'jobs'>,
  done: Done,
  id: string,
  more: number,
): Result<readonly string[]> {
  const job = jobs.find((each) => each.id === id);
  if (!job)
    return refuse(
      'job-unknown',
      'job',
      'This is not in the order of work any longer: the piece was changed. Look at the list again.',
    );
  const now = done.get(id) ?? 0;
  if (now + more < 0)
    return refuse(
      'more-than-there-are',
      'amount',
      say`Of “${job.title}” ${now} ${now === 1 ? 'is' : 'are'} counted; no more than that can be taken back.`,
      { most: now },
    );
  if (now + more > MOST * job.times)
    return refuse(
      'more-than-there-are',
      'amount',
      say`“${job.title}” asks for ${job.times}; ${now + more} cannot be meant.`,
      { most: MOST * job.times },
    );
  const wrong = more > 0 ? notYet(job, jobs, done) : notBack(job, jobs, done, now + more);
  return wrong ?? fine([job.id, ...job.also]);
}

function notYet(job: Job, jobs: readonly Job[], done: Done): Result<never> | null {
  const first = job.needs
    .map(({ id }) => jobs.find((each) => each.id === id))
    .find((need) => need && !isDone(need, done));
  if (!first) return null;
  const sofar = done.get(first.id) ?? 0;
  const how = first.times > 1 ? say` (${sofar} of ${first.times})` : '';
  return refuse(
    'too-early',
    'job',
    say`“${job.title}” comes after “${first.title}”, which is not done yet${how}.`,
  );
}

function notBack(job: Job, jobs: readonly Job[], done: Done, left: number): Result<never> | null {
  if (left >= job.times) return null;
  const later = jobs.find(
    ({ id, needs }) => needs.some((need) => need.id === job.id) && (done.get(id) ?? 0) > 0,
  );
  return later
    ? refuse('too-early', 'job', say`“${later.title}” was done since; take that back first.`)
    : null;
}

/** The first job that is not done: where the work goes on. Nothing where all is done. */
export const nextJob = ({ jobs }: Pick<Order, 'jobs'>, done: Done): Job | null =>
  jobs.find((job) => !isDone(job, done)) ?? null;

/** All that has to be done for a job and is not, itself last: what is ticked for someone who begins in the middle. */
export function upTo({ jobs }: Pick<Order, 'jobs'>, done: Done, id: string): readonly Job[] {
  const by = new Map(jobs.map((job) => [job.id, job]));
  const wanted = new Set<string>();
  const want = (job: Job | undefined): void => {
    if (!job || wanted.has(job.id)) return;
    wanted.add(job.id);
    for (const need of job.needs) want(by.get(need.id));
  };
  want(by.get(id));
  return jobs.filter((job) => wanted.has(job.id) && !isDone(job, done));
}
