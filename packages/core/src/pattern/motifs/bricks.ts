import { columnOf, each, type Motif, modulo, repeats, TWO_TONES } from '../motif.js';

/** Bricks of which one in so many is marked. */
export const bricks: Motif = {
  kind: 'bricks',
  name: 'Marked bricks',
  says: 'one segment in so many of another wood, moved on from ring to ring',
  tones: TWO_TONES,
  numbers: [
    repeats(6),
    { key: 'every', label: 'Every … segment is marked', least: 2, most: 24, start: 4 },
    { key: 'shift', label: 'Moved a ring, segments', least: -12, most: 12, start: 2 },
  ],
  divides: ({ repeats, every }) => repeats! * every!,
  ring: (row, { repeats, every, shift }) =>
    each(row, (middle, at) =>
      modulo(columnOf(middle, repeats! * every!) - at * shift!, every!) === 0 ? 1 : 0,
    ),
};
