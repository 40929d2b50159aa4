import { say } from '../../measure/said.js';
import { type BandJobs, base, ownerOf, sawnAfter } from './atLathe.js';
import type { Closing } from './closing.js';
import { footJobs } from './footJobs.js';
import type { Job, JobStage, Need } from './job.js';
import { outsideJobs } from './outsideJobs.js';
import { jointJob } from './partJobs.js';
import { placingSaid } from './placing.js';
import { gluing, handwork } from './takes.js';

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
  const foot = footJobs(of, following(outside, []));
  const jobs = [...joined, ...sawn, ...outside, ...foot, ...coats(of, following(foot, []))];
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

/** Coats of finish, each after the one before has dried. */
function coats({ workshop }: Closing, first: readonly Need[]): Job[] {
  const { coats: many, coatHours } = workshop.finish;
  return Array.from({ length: many }, (_, i) => ({
    ...base,
    id: `coat-${i + 1}`,
    stage: 'finish',
    owners: [],
    title: say`Coat ${i + 1} of ${many}`,
    says: [
      i === 0
        ? 'Wipe the dust off dry, without spirits where a strongly coloured wood lies beside a pale one.'
        : 'Rub down lightly when the last coat is dry, then the next.',
    ],
    tool: 'bench',
    cautions: ['finishing'],
    needs: i === 0 ? first : [{ id: `coat-${i}`, after: 'cure' }],
    takes: { ...handwork(workshop, { coat: 1 }), cure: coatHours * 60, breaks: false },
  }));
}

const TITLES: readonly (readonly [id: string, title: string])[] = [
  ['join', 'Join the halves'],
  ['bands', 'Slanted bands'],
  ['outside', 'Outside'],
  ['foot', 'Reverse, foot'],
  ['finish', 'Finish'],
];

const stagesOf = (jobs: readonly Job[]): JobStage[] =>
  TITLES.filter(([id]) => jobs.some(({ stage }) => stage === id)).map(([id, title]) => ({
    id,
    title,
    because: id === 'join' ? 'The last joint cannot be cleaned inside: use little glue there.' : null,
  }));
