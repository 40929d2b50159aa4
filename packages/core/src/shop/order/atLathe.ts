import type { RingPlan } from '../../lumber/ringPlan.js';
import type { Mm } from '../../measure/quantity.js';
import { type Said, say } from '../../measure/said.js';
import { type Owner, ringOwner } from '../../ring/owner.js';
import type { Finish } from '../../settings/finishes.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Assembly } from './assembly.js';
import type { Bending } from './bending.js';
import type { SeatChoice } from './holding.js';
import type { Job, Need } from './job.js';
import type { LeaningJoint } from './placing.js';

/** What the jobs at the lathe are worked out from. */
export interface Stacked {
  readonly rings: readonly RingPlan[];
  readonly workshop: Workshop;
  readonly assembly: Assembly;
  /** The last job of every ring beside the lathe, by its place. */
  readonly ready: readonly (Job | undefined)[];
  /** How each section is held, in its order, and how its rings give. */
  readonly seats: readonly SeatChoice[];
  readonly bending: readonly Bending[];
  /** Thickness of the spare foot that is glued on first; 0 where there is none. */
  readonly spareMm: Mm;
  /** Of every ring, how its joints meet those of the ring below where both lean. */
  readonly leaning: readonly (LeaningJoint | null)[];
  /** Slanted bands in the order in which they are sawn. */
  readonly bands: readonly BandJobs[];
  /** What the piece is finished with: insides that close get theirs before. */
  readonly finish: Finish;
}

/** A slanted band: the lowest and the highest ring that it meets, and what is done. */
export interface BandJobs {
  readonly meets: readonly [first: number, last: number];
  readonly jobs: readonly Job[];
}

/** Jobs of bands, of which each is cut through what was there before it. */
export function sawnAfter(bands: readonly BandJobs[], last: readonly Need[], stage: string): Job[] {
  let needs = last;
  return bands.flatMap(({ jobs }) => {
    const own = jobs.map((job, i) => ({
      ...job,
      stage,
      needs: i === 0 ? [...job.needs, ...needs] : job.needs,
    }));
    const end = own.at(-1);
    if (end) needs = [{ id: end.id, after: 'cure' }];
    return own;
  });
}

/** What jobs at the lathe have in common. */
export const base = { also: [], because: null, times: 1, makes: null } as const;

export const ownerOf = ({ id }: Pick<RingPlan, 'id'>): Owner => ringOwner(id);
export const ringsSaid = (rings: readonly RingPlan[]): Said => {
  const [low, high] = [
    Math.min(...rings.map(({ index }) => index)),
    Math.max(...rings.map(({ index }) => index)),
  ];
  return low === high ? say`ring ${low + 1}` : say`rings ${low + 1} to ${high + 1}`;
};

/** What waits for the clamps of a job; nothing where there is none. */
export const after = (job: Job | undefined): Need[] => (job ? [{ id: job.id, after: 'clamps' }] : []);

/** Across the corners of the widest of rings (mm). */
export const acrossOf = (rings: readonly Pick<RingPlan, 'cornerMm'>[]): number =>
  2 * Math.max(...rings.map(({ cornerMm }) => cornerMm));
