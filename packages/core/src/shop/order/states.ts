import { type Owner, sameOwner } from '../../ring/owner.js';
import { type Job, type Order, RING_STATES, type RingState } from './job.js';

/** How many of each job are done, by its id. */
export type Done = ReadonlyMap<string, number>;

const STATES = Object.keys(RING_STATES) as RingState[];

export const isDone = ({ id, also, times }: Pick<Job, 'id' | 'also' | 'times'>, done: Done): boolean =>
  [id, ...also].every((each) => (done.get(each) ?? 0) >= times);

/**
 * How far a ring, band or blank has come: the last state to which all jobs that make it so are done, and all before it. Of what nothing
 * makes so, as a ring that is never flattened, nothing is asked.
 */
export function stateOf(owner: Owner, { jobs }: Order, done: Done): RingState {
  const own = jobs.filter(({ makes, owners }) => makes !== null && owners.some((of) => sameOwner(of, owner)));
  let reached: RingState = 'planned';
  for (const state of STATES.slice(1)) {
    const making = own.filter(({ makes }) => makes === state);
    if (making.some((job) => !isDone(job, done))) return reached;
    if (making.length > 0) reached = state;
  }
  return reached;
}

/** Whether a ring has come at least so far. */
export const hasCome = (state: RingState, to: RingState): boolean =>
  STATES.indexOf(state) >= STATES.indexOf(to);
