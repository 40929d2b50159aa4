import { columnOf, each, type Motif, repeats, TWO_TONES } from '../motif.js';

/** Squares of two tones by turns. */
export const chequer: Motif = {
  kind: 'chequer',
  name: 'Chequer',
  says: 'squares of two tones by turns',
  tones: TWO_TONES,
  numbers: [repeats(12), { key: 'high', label: 'Rings a square', least: 1, most: 20, start: 1 }],
  divides: ({ repeats }) => 2 * repeats!,
  ring: (row, { repeats, high }) =>
    each(row, (middle, at) => (columnOf(middle, 2 * repeats!) + Math.floor(at / high!)) % 2),
};
