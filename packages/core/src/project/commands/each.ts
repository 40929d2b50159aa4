import type { Ring } from '../schema.js';
import type { Command, Outcome } from './command.js';

/** Which rings an edit goes to, by index. */
export type Rings = readonly number[];

export const named = (rings: Rings): string =>
  rings.length === 1 ? `ring ${rings[0]! + 1}` : `${rings.length} rings`;

/** The same edit for every ring that there is; the first that cannot be done ends it. */
export const each =
  (rings: Rings, edit: (ring: Ring, index: number) => Outcome | undefined): Command['apply'] =>
  (draft) => {
    for (const index of rings) {
      const ring = draft.rings[index];
      const outcome = ring && edit(ring, index);
      if (outcome) return outcome;
    }
    return undefined;
  };
