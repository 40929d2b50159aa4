import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { meantWoods } from './wayCommands.js';

/** Rings as a basket: all but the lowest and the highest woven, each half a segment on; these two as plain dark caps. */
export const basketBand = (rings: Rings): Command => ({
  label: `Basket band of ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const sample = order.map((i) => draft.rings[i]!.making).find((making) => 'woven' in making);
    if (sample?.way !== 'segmented') return undefined;
    const woods = meantWoods(draft, sample)!;
    order.forEach((index, i) => {
      const ring = draft.rings[index]!;
      const cap = i === 0 || i === order.length - 1;
      ring.making = cap ? { way: 'segmented', count: sample.count } : { ...sample };
      ring.woods = cap ? Array.from({ length: sample.count }, () => woods.at(-1)!) : [...woods];
      ring.turn = (i % 2) / 2;
    });
    return undefined;
  },
});
