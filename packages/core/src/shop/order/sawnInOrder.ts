import { type Said, say, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import type { Shop } from '../../settings/shop.js';
import type { Job, JobStage } from './job.js';
import { setFor } from './partJobs.js';
import type { Schools } from './schools.js';
import { handwork } from './takes.js';

/** Thickest first, then widest: the planer and the rip fence are changed least. */
export const millInOrder = (jobs: readonly Job[]): Job[] =>
  needsFirst(
    [...jobs].sort((a, b) => by(b, 'thickness') - by(a, 'thickness') || by(b, 'width') - by(a, 'width')),
  );

/** The same order, but nothing before what it needs of the same list. */
function needsFirst(jobs: readonly Job[]): Job[] {
  const listed = new Map(jobs.map((job) => [job.id, job]));
  const placed = new Set<Job>();
  const place = (job: Job): void => {
    if (placed.has(job)) return;
    for (const { id } of job.needs) if (listed.has(id)) place(listed.get(id)!);
    placed.add(job);
  };
  jobs.forEach(place);
  return [...placed];
}

const by = ({ says }: Job, purpose: Parameters<typeof setFor>[1]): number => setFor(says[0]!, purpose) ?? 0;

/** Settings in the order that changes the saw least, each under a head of its own; or ring by ring. */
export function sawnInOrder(
  jobs: readonly Job[],
  sawing: NonNullable<Schools['sawing']>,
  shop: Shop,
): { jobs: Job[]; stages: JobStage[] } {
  const setting = (job: Job): readonly [number, number] => [by(job, 'blade-tilt'), by(job, 'cut-angle')];
  const same = (a: Job, b: Job): boolean =>
    a.tool === b.tool && setting(a).every((value, i) => Math.abs(value - setting(b)[i]!) < SAME_ANGLE);
  const sorted =
    sawing === 'rings'
      ? [...jobs]
      : needsFirst(
          [...jobs].sort(
            (a, b) =>
              a.tool.localeCompare(b.tool) ||
              setting(a)[0] - setting(b)[0] ||
              setting(a)[1] - setting(b)[1] ||
              by(b, 'stop') - by(a, 'stop'),
          ),
        );
  const stages: JobStage[] = [];
  const staged = sorted.map((job, i): Job => {
    const anew = i === 0 || !same(job, sorted[i - 1]!);
    if (anew && (sawing === 'settings' || stages.length === 0))
      stages.push({
        id: `saw-${stages.length + 1}`,
        title: sawing === 'rings' ? 'Saw, ring by ring' : headOf(job),
        because: null,
      });
    const set = anew && job.tool === 'saw' ? handwork(shop.workshop, { setting: 1 }).hands : 0;
    return { ...job, stage: stages.at(-1)!.id, takes: { ...job.takes, hands: job.takes.hands + set } };
  });
  return { jobs: staged, stages };
}

function headOf(job: Job): Said {
  if (job.tool === 'bandsaw') return 'Bandsaw';
  const [tilt, angle] = [by(job, 'blade-tilt'), by(job, 'cut-angle')];
  const fence = angle < SAME_ANGLE ? 'Saw, square' : say`Saw at ${sayRad(angle)}`;
  return tilt < SAME_ANGLE ? fence : say`${fence}, blade tilted ${sayRad(tilt)}`;
}
