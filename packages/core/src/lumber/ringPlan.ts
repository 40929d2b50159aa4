import type { Mm } from '../measure/quantity.js';
import type { Reason } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { RingPieces } from './wants.js';

/** The figures of one ring. */
export interface RingPlan {
  readonly index: number;
  readonly id: string;
  readonly bottomMm: Mm;
  readonly topMm: Mm;
  readonly need: RingNeed;
  readonly cornerMm: Mm;
  /** Width of the glue joint with the ring below; null for the lowest ring. */
  readonly overlapMm: Mm | null;
  readonly pieces: readonly RingPieces[];
  readonly reasons: readonly Reason[];
}
