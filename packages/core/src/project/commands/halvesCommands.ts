import { halvesIn, type InHalves } from '../../making/halves/params.js';
import { mostUsed } from './carry.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { changeParams } from './wayCommands.js';

/** Other values for some of how a ring is made of two halves, and how many segments the second has. */
export type HalvesChange = Partial<InHalves> & { readonly second?: number };

/** The same for rings of two halves, each from what it is; other rings stay as they are. */
export const setHalves = (rings: Rings, change: (now: InHalves) => HalvesChange): Command =>
  changeParams(rings, 'segmented', ({ count, inHalves }) => {
    if (!inHalves) return {};
    const { second = count - inHalves.first, ...of } = change(inHalves);
    const next = { ...inHalves, ...of };
    return { count: next.first + second, inHalves: next };
  });

/**
 * Gives the second half of rings the woods of the first, swapped: its segments the wood of the first half's spacers, its
 * spacers that of the first half's segments. Rings without spacers in both halves, or of several woods within a segment,
 * stay as they are.
 */
export const swapSecondHalf = (rings: Rings): Command => ({
  label: `Woods swapped in the second half of ${named(rings)}`,
  apply: each(rings, ({ making, woods }) => {
    if (making.way !== 'segmented' || !making.inHalves || making.sawnFrom) return undefined;
    const { count } = making;
    const [a, b] = halvesIn(count, making.inHalves);
    if (a.spacerMm === 0 || b.spacerMm === 0) return undefined;
    const firstSpacers = count + a.count - 1;
    const segmentWood = mostUsed(woods.slice(0, a.count));
    const spacerWood = mostUsed(woods.slice(count, firstSpacers));
    for (let i = a.count; i < count; i++) woods[i] = spacerWood;
    for (let i = 0; i < b.count - 1; i++) woods[firstSpacers + i] = segmentWood;
    return undefined;
  }),
});
