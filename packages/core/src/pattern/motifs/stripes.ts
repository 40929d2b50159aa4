import { columnOf, each, type Motif, modulo, repeats, TWO_TONES } from '../motif.js';

/** Upright stripes, or level ones. */
export const stripes: Motif = {
  kind: 'stripes',
  name: 'Stripes',
  says: 'bands of one width, upright or lying round the piece',
  tones: TWO_TONES,
  numbers: [
    { key: 'lie', label: 'Stripes', least: 0, most: 1, start: 0, choices: ['upright', 'level'] },
    repeats(6),
    { key: 'columns', label: 'Segments (or rings) a repeat', least: 2, most: 24, start: 4 },
    { key: 'wide', label: 'Of these in the stripe', least: 1, most: 23, start: 1 },
  ],
  divides: ({ lie, repeats, columns }) => (lie === 1 ? 1 : repeats! * columns!),
  ring: (row, { lie, repeats, columns, wide }) =>
    each(row, (middle, at) => {
      const column = lie === 1 ? at : columnOf(middle, repeats! * columns!);
      return modulo(column, columns!) < wide! ? 1 : 0;
    }),
};
