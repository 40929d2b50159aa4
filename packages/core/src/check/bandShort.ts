import { say, sayMm } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { bandOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** The board of a slanted band that was cut, and is too small for what the form asks for since. */
export const bandShortChecks = ({ bands, roll }: Subject): Check[] =>
  bands.flatMap(({ id, lengthMm, widthMm, leastMm }) =>
    leastMm.lengthMm <= lengthMm + SAME_LENGTH && leastMm.widthMm <= widthMm + SAME_LENGTH
      ? []
      : [
          {
            code: 'band-short',
            owners: [bandOwner(id)],
            message: say`The board of ${roll.nameOf(bandOwner(id))} was cut ${sayMm(lengthMm)} × ${sayMm(widthMm)}; the form asks for ${sayMm(leastMm.lengthMm)} × ${sayMm(leastMm.widthMm)} now. Make the form smaller there, or take the cut back and saw a larger board.`,
            remedies: [],
          },
        ],
  );
