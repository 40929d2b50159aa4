import { columnOf, each, type Motif, repeats } from '../motif.js';

/** Strands that go over and under: blocks of lying strands and of standing ones by turns. */
export const basket: Motif = {
  kind: 'basket',
  name: 'Basket weave',
  says: 'strands over and under: blocks of lying and of standing strands by turns',
  tones: {
    names: ['Lying strand', 'Standing strand', 'Between'],
    start: ['light', 'middle', 'dark'],
    least: 3,
    most: 3,
  },
  numbers: [repeats(8), { key: 'block', label: 'Segments and rings a block', least: 2, most: 8, start: 3 }],
  divides: ({ repeats, block }) => 2 * repeats! * block!,
  ring: (row, { repeats, block }) =>
    each(row, (middle, at) => {
      const column = columnOf(middle, 2 * repeats! * block!);
      const standing = (Math.floor(column / block!) + Math.floor(at / block!)) % 2 === 1;
      const along = (standing ? column : at) % block!;
      return along === block! - 1 ? 2 : standing ? 1 : 0;
    }),
};
