import { current } from 'immer';
import { say } from '../../measure/said.js';
import type { Schools } from '../../shop/order/schools.js';
import { prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { fixSizes } from './fixCommands.js';

/** Rings, by their place, that have come to be cut, and to be on the stack; slanted bands, by theirs, that have come to be cut. */
export interface Made {
  readonly cut: Rings;
  readonly stacked: Rings;
  readonly bands?: Rings;
}

const labelOf = ({ cut, stacked, bands = [] }: Made): string => {
  const rings = [...new Set([...cut, ...stacked])].sort((a, b) => a - b);
  return rings.length > 0 ? named(rings) : `slanted band ${bands.map((band) => band + 1).join(', ')}`;
};

/**
 * Rings as they are made: what is cut keeps the sizes that it has now and the woods that show, whatever the form asks for later; what is on
 * the stack keeps its height and place.
 */
export const keepAsMade = (as: Made): Command => ({
  label: `As made: ${labelOf(as)}`,
  apply(draft, ripping) {
    const { cut, stacked, bands = [] } = as;
    // A ring from the stash is what it is.
    const fresh = cut.filter(
      (index) => !draft.rings[index]!.fixed && draft.rings[index]!.making.way !== 'stock',
    );
    if (fresh.length > 0) {
      const outcome = fixSizes(fresh).apply(draft, ripping);
      if (outcome?.reasons) return outcome;
    }
    const shown = prepare(current(draft as object) as Project, ripping);
    if (!shown.ok) return { reasons: shown.reasons };
    for (const index of cut) {
      const ring = draft.rings[index]!;
      ring.woods = [...shown.value.rings[index]!.ring.woods];
      ring.cut = true;
    }
    for (const index of stacked) draft.rings[index]!.locked = true;
    for (const index of bands) {
      const { lengthMm, widthMm } = shown.value.bands[index]!;
      draft.slants![index]!.made = { lengthMm, widthMm };
    }
    return undefined;
  },
});

/** Rings taken back: off the stack their height is free again, cut anew they follow the form and their motif. */
export const takeBack = (as: Made): Command => ({
  label: `Taken back: ${labelOf(as)}`,
  apply(draft) {
    const { cut, stacked, bands = [] } = as;
    for (const index of bands) delete draft.slants![index]!.made;
    for (const index of stacked) delete draft.rings[index]!.locked;
    for (const index of cut) {
      const ring = draft.rings[index]!;
      delete ring.fixed;
      delete ring.cut;
      delete ring.measured;
    }
    return cut.length > 0
      ? {
          note: say`${cut.length === 1 ? 'The ring follows' : 'The rings follow'} the form again, until cut anew.`,
        }
      : undefined;
  },
});

/** How the piece is built: undefined leaves a choice to what is proposed. */
export const setSchools = (change: { readonly [K in keyof Schools]: Schools[K] | undefined }): Command => ({
  label: 'How it is built',
  apply(draft) {
    const all = { ...draft.schools, ...change };
    const chosen = Object.fromEntries(
      Object.entries(all).filter(([, value]) => value !== undefined),
    ) as Schools;
    if (Object.keys(chosen).length > 0) draft.schools = chosen;
    else delete draft.schools;
    return undefined;
  },
});
