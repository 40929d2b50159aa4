import type { Vessel } from '../form/vessel.js';
import type { Lumber } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { Shop } from '../settings/shop.js';

/** Something to look at: a sentence with its numbers, lengths in mm, and the ring (by index) it is about, if any. */
export interface Check {
  readonly code: string;
  readonly ring: number | null;
  readonly message: string;
}

/** What a check may look at. */
export interface Subject {
  readonly shop: Shop;
  readonly vessel: Vessel;
  readonly rings: readonly RingPlan[];
  readonly lumber: Lumber;
}
