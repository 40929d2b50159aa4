import { thicker } from '../../making/registry.js';
import { lots } from '../../measure/lots.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';

/** Rings turned each by a share of a segment drawn by lot, so that no line is looked for over them. */
export const scatterTurns = (rings: Rings, seed: number): Command => ({
  label: `Turns by lot for ${named(rings)}`,
  apply(draft) {
    const lot = lots(seed);
    for (const index of rings) {
      const ring = draft.rings[index];
      if (ring) ring.turn = Math.round(lot() * LOT_STEPS) / LOT_STEPS;
    }
    return undefined;
  },
});

/** Turns drawn by lot are twentieths of a segment: they can be set by hand. */
const LOT_STEPS = 20;

/** What lies in the joints of rings so many times as thick; rings with nothing in them stay as they are. */
export const thickenSpacers = (rings: Rings, times: number): Command => ({
  label: `Wider stripes in ${named(rings)}`,
  apply: each(rings, (ring) => {
    const making = thicker(ring.making, times);
    if (making) ring.making = making;
    return undefined;
  }),
});
