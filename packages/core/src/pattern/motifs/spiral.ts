import { columnOf, each, type Motif, modulo, repeats, TWO_TONES } from '../motif.js';

/** Stripes that climb: by the same step at every ring, or by one that grows from ring to ring. */
export const spiral: Motif = {
  kind: 'spiral',
  name: 'Spiral',
  says: 'stripes that climb, with a step that stays or grows from ring to ring',
  tones: TWO_TONES,
  numbers: [
    repeats(6),
    { key: 'columns', label: 'Segments a repeat', least: 2, most: 24, start: 4 },
    { key: 'wide', label: 'Of these in the stripe', least: 1, most: 23, start: 2 },
    {
      key: 'step',
      label: 'Step a ring, segments (less than 0: to the left)',
      least: -12,
      most: 12,
      start: 1,
      fraction: true,
    },
    { key: 'change', label: 'Step grows by', least: -4, most: 4, start: 0, fraction: true },
  ],
  divides: ({ repeats, columns }) => repeats! * columns!,
  ring: (row, { repeats, columns, wide, step, change }) => {
    const all = repeats! * columns!;
    const moved = row.row * step! + (change! * row.row * (row.row - 1)) / 2;
    return each(row, (middle) =>
      modulo(columnOf(middle - moved / all + 1e-9, all), columns!) < wide! ? 1 : 0,
    );
  },
};
