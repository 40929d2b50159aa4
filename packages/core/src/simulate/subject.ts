import type { Made } from '../making/contract.js';
import type { Rad } from '../measure/quantity.js';
import type { Band } from '../ring/overlap.js';
import type { School } from '../settings/errors.js';
import type { LineOver } from './lines.js';

/** A ring that is to be built, as it is planned. */
export interface RingToBuild {
  readonly made: Made;
  readonly turn: Rad;
  readonly bottomMm: number;
  readonly topMm: number;
  /** Rings that name the same glue-up are sawn from it: its cuts are theirs. */
  readonly body: string | null;
  /** The turned wall that it has to hold, along its lean. */
  readonly wall: Band;
  /** By how much radii of that wall change for every mm that the ring comes to stand higher. */
  readonly risesBy: Band;
  /** What turning leaves over the nearest line between two of its woods, mm; null where there is none. */
  readonly layerLeftMm: number | null;
}

/** A piece that is to be built. */
export interface ToBuild {
  /** Bottom to top. */
  readonly rings: readonly RingToBuild[];
  /** Borders between woods that run on from ring to ring on the turned outside. */
  readonly lines: readonly LineOver[];
  /** Where the hollow begins, and the joint between rings that lies nearest under it; null where it is open, or cut as deep. */
  readonly floor: { readonly fromMm: number; readonly ring: number } | null;
}

/** How a piece is put together: as the shop goes about it, and what is done for this piece alone. */
export interface Method extends School {
  /** Stripes up to this width are let in afterwards as one piece, mm; 0 for none. */
  readonly letInMm: number;
}

/** Of a pin in its hole, one standard deviation (mm; a working value). */
export const PIN_PLAY = 0.1;
