import type { Step } from '../../making/step.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Job, Need } from './job.js';
import { jobsOfPart, type Part } from './partJobs.js';

/** Jobs that are done to the piece itself when it is turned, or finished, as parts beside it ask for: each after the one before. */
export function laterJobs(
  parts: readonly Part[],
  when: NonNullable<Step['when']>,
  workshop: Workshop,
  first: readonly Need[],
): Job[] {
  let needs = first;
  return parts.flatMap((part) => {
    const steps = part.steps.filter((step) => step.when === when);
    const jobs = jobsOfPart({ ...part, steps }, workshop).map(
      ({ job }, i): Job => ({ ...job, stage: when, needs: i === 0 ? needs : job.needs, makes: null }),
    );
    const last = jobs.at(-1);
    if (last) needs = [{ id: last.id, after: 'cure' }];
    return jobs;
  });
}
