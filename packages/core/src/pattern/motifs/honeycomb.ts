import { columnOf, each, type Motif, modulo, repeats } from '../motif.js';

/** Cells of two segments a tier; each tier lies one segment on, so that three tones never meet themselves. */
export const honeycomb: Motif = {
  kind: 'honeycomb',
  name: 'Honeycomb',
  says: 'cells of paired segments, each tier moved by one: three woods that never meet themselves',
  tones: { names: ['First', 'Second', 'Third'], start: ['light', 'middle', 'dark'], least: 3, most: 3 },
  numbers: [repeats(4), { key: 'high', label: 'Rings a cell', least: 1, most: 20, start: 2 }],
  divides: ({ repeats }) => 6 * repeats!,
  ring: (row, { repeats, high }) => {
    const tier = Math.floor(row.row / high!);
    return each(row, (middle) => {
      const column = columnOf(middle, 6 * repeats!);
      return modulo(Math.floor(modulo(column - tier, 6 * repeats!) / 2) - tier, 3);
    });
  },
};
