import { say } from '../../measure/said.js';
import { type BandJobs, base, ownerOf, sawnAfter } from './atLathe.js';
import type { Closing } from './closing.js';
import { finishJobs } from './finishJobs.js';
import { footJobs } from './footJobs.js';
import { inlayJobs } from './inlayJobs.js';
import type { Job, JobStage, Need } from './job.js';
import { laterJobs } from './laterJobs.js';
import { outsideJobs } from './outsideJobs.js';
import { jointJob } from './partJobs.js';
import { placingSaid } from './placing.js';
import { gluing } from './takes.js';

/** Joining, outside, finish, foot: what is done once the sections stand. `bands` are those that no section alone was high enough for. */
export function closingJobs(
  of: Closing,
  bands: readonly BandJobs[],
): { readonly jobs: Job[]; readonly stages: JobStage[] } {
  const [lower, upper] = of.assembly.sections;
  const ends = of.ends.flatMap((end): Need[] => (end ? [{ id: end.id, after: 'cure' }] : []));
  const joined =
    of.assembly.stacking === 'halves' && lower && upper ? [joinJob(of, lower.rings.at(-1)!, ends)] : [];
  const sawn = sawnAfter(bands, following(joined, ends), 'bands');
  const outside = outsideJobs(of, following(sawn, following(joined, ends)));
  const inlays = inlayJobs(of.inlays, of.workshop, following(outside, []));
  const foot = footJobs(of, following(inlays, following(outside, [])));
  const halved = laterJobs(of.beside, 'turned', of.workshop, following(foot, []));
  const finish = finishJobs(of.finish, of.workshop, following(halved, following(foot, [])));
  const mounted = laterJobs(of.beside, 'finished', of.workshop, following(finish, following(halved, [])));
  const jobs = [...joined, ...sawn, ...outside, ...inlays, ...foot, ...halved, ...finish, ...mounted];
  return { jobs, stages: stagesOf(jobs) };
}

/** What waits for the last of jobs; where there are none, what they would have waited for. */
const following = (jobs: readonly Job[], needs: readonly Need[]): readonly Need[] => {
  const last = jobs.at(-1);
  return last ? [{ id: last.id, after: 'cure' }] : needs;
};

function joinJob({ rings, workshop, leaning }: Closing, joint: number, needs: readonly Need[]): Job {
  const [lower, upper] = [rings[joint]!, rings[joint + 1]!];
  return {
    ...base,
    id: jointJob(ownerOf(upper), ownerOf(lower)),
    stage: 'join',
    owners: [lower, upper].map(ownerOf),
    title: say`Join the halves, ring ${upper.index + 1} on ring ${lower.index + 1}`,
    says: placingSaid(upper, lower, leaning[joint + 1]),
    tool: 'clamps',
    cautions: ['lathe'],
    needs,
    takes: gluing(workshop, { stack: 1, mount: 1 }, 'lathes'),
    makes: 'stacked',
  };
}

const TITLES: readonly (readonly [id: string, title: string])[] = [
  ['join', 'Join the halves'],
  ['bands', 'Slanted bands'],
  ['outside', 'Outside'],
  ['foot', 'Reverse, foot'],
  ['turned', 'Saw in two'],
  ['finish', 'Finish'],
  ['finished', 'On its rods'],
];

const stagesOf = (jobs: readonly Job[]): JobStage[] =>
  TITLES.filter(([id]) => jobs.some(({ stage }) => stage === id)).map(([id, title]) => ({
    id,
    title,
    because: id === 'join' ? 'The last joint cannot be cleaned inside: use little glue there.' : null,
  }));
