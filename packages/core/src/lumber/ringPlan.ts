import type { Mm } from '../measure/quantity.js';
import type { Reason } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { RingPieces } from './wants.js';

/** The figures of one ring. */
export interface RingPlan {
  readonly index: number;
  readonly id: string;
  readonly bottomMm: Mm;
  readonly topMm: Mm;
  /** The turned wall, what the form asks for round it, and what the ring gives; null where it cannot be made. */
  readonly wall: Band;
  readonly need: RingNeed;
  readonly gives: Band | null;
  /** Whether its size stands, whatever the form asks for: pieces cut, or the ring made and measured. */
  readonly fixed: boolean;
  readonly cornerMm: Mm;
  /** Width of the glue joint with the ring below; null for the lowest ring. */
  readonly overlapMm: Mm | null;
  readonly pieces: readonly RingPieces[];
  readonly reasons: readonly Reason[];
}
