import type { Equipment } from '../../settings/workshop.js';
import type { Takes } from '../order/job.js';

/** Something to be fitted into the hours: hands, then clamps, then what waits. Minutes. */
export interface Task extends Takes {
  readonly id: string;
  /** Tasks of the list that have to be done before, and how long after their hands' end at the least this may begin. */
  readonly needs: readonly { readonly id: string; readonly wait: number }[];
  /** Not before this, from now: what was done already is still clamped or curing. */
  readonly notBefore: number;
  /** What stands on it from its beginning until the hands of another are done, as a section does on its faceplate. */
  readonly holds?: Holds;
}

/** Equipment that is kept until a task is done. */
export interface Holds {
  readonly of: Equipment;
  readonly until: string;
}

/** A task in its place, minutes from now. */
export interface Placed {
  readonly id: string;
  /** When hands are at it: more than one stretch where it was left overnight. */
  readonly hands: readonly Stretch[];
  /** Which of the bands, presses, plates or lathes it keeps; null where none. */
  readonly unit: { readonly of: Equipment; readonly number: number } | null;
  /** When its clamps come off, and when nothing waits for it any longer. */
  readonly clampedTo: number;
  readonly readyAt: number;
}

/** From … to, minutes from now. */
export type Stretch = readonly [from: number, to: number];

/** What is in clamps now, and until when: minutes from now, or until a task is done. */
export interface Running {
  readonly of: Equipment;
  readonly until: number | string;
}
