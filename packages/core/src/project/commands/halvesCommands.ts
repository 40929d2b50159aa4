import { groupsOf } from '../../making/registry.js';
import { mostUsed } from './carry.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';

/**
 * Gives the second half of rings the woods of the first, swapped: its segments the wood of the first half's spacers, its
 * spacers that of the first half's segments. Rings without spacers in both halves stay as they are.
 */
export const swapSecondHalf = (rings: Rings): Command => ({
  label: `Woods swapped in the second half of ${named(rings)}`,
  apply: each(rings, (ring) => {
    const { making, woods } = ring;
    if (making.way !== 'halves' || making.halves.some(({ spacerMm }) => spacerMm === 0)) return undefined;
    const [a, b] = making.halves;
    const segments = groupsOf(making)[0]!.count;
    const firstSpacers = segments + a.count - 1;
    const segmentWood = mostUsed(woods.slice(0, a.count));
    const spacerWood = mostUsed(woods.slice(segments, firstSpacers));
    for (let i = a.count; i < segments; i++) woods[i] = spacerWood;
    for (let i = 0; i < b.count - 1; i++) woods[firstSpacers + i] = segmentWood;
    return undefined;
  }),
});
