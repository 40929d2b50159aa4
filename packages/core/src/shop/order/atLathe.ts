import type { RingPlan } from '../../lumber/ringPlan.js';
import { type Said, say } from '../../measure/said.js';
import { type Owner, ringOwner } from '../../ring/owner.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Assembly } from './assembly.js';
import type { Job, Need } from './job.js';

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
