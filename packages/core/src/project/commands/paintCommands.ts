import type { Spot } from '../../pattern/reach.js';
import type { Command } from './command.js';
import { freezeUnder } from './freeze.js';

/** A place and the palette key that it gets. */
export interface Stroke extends Spot {
  readonly key: string;
}

/** Paints places, each with a wood of the palette: one step, however many. */
export const paint = (strokes: readonly Stroke[], label = painted(strokes.length)): Command => ({
  label,
  apply(draft) {
    const note = freezeUnder(draft, [...new Set(strokes.map(({ ring }) => ring))]);
    for (const { ring, place, key } of strokes) {
      const { woods } = draft.rings[ring]!;
      if (woods[place] !== key && place < woods.length) woods[place] = key;
    }
    return note;
  },
});

const painted = (places: number): string => `Paint ${places} ${places === 1 ? 'place' : 'places'}`;
