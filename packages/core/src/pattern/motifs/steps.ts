import { columnOf, each, type Motif, modulo, repeats, TWO_TONES } from '../motif.js';

/** Stairs that climb round the piece without end. */
export const steps: Motif = {
  kind: 'steps',
  name: 'Steps',
  says: 'stairs that climb round the piece, tread and riser as wide as you like',
  tones: TWO_TONES,
  numbers: [
    repeats(4),
    { key: 'treads', label: 'Treads a repeat', least: 2, most: 24, start: 4 },
    { key: 'riser', label: 'Rings a riser', least: 1, most: 20, start: 1 },
    { key: 'thick', label: 'Rings the stair is thick', least: 1, most: 50, start: 2 },
  ],
  divides: ({ repeats, treads }) => repeats! * treads!,
  ring: (row, { repeats, treads, riser, thick }) =>
    each(row, (middle, at) => {
      const tread = columnOf(middle, repeats! * treads!) % treads!;
      return modulo(at - tread * riser!, treads! * riser!) < thick! ? 1 : 0;
    }),
};
