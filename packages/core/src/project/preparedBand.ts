import type { Made } from '../making/contract.js';
import type { Mm } from '../measure/quantity.js';
import type { Reach } from '../ring/reach.js';
import type { Slant } from '../ring/slant.js';

/** A slanted band as it lies in the piece. It is shown behind the rings: band i under the number of rings + i. */
export interface PreparedBand {
  readonly slant: Slant;
  readonly reaches: readonly Reach[];
  /** The board that is glued in: along the slope and level across it. */
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  /** The least that it may be: as far as the turned wall reaches. */
  readonly leastMm: { readonly lengthMm: Mm; readonly widthMm: Mm };
  /** The band as a ring that stands upright round it: wood wherever it is asked. */
  readonly made: Made;
  readonly bottomMm: number;
  /** Its grain runs up the slope. */
  readonly turn: number;
}
