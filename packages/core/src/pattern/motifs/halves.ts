import { each, type Motif, modulo } from '../motif.js';

/** One half of the piece in one wood and the other half in another. */
export const halfAndHalf: Motif = {
  kind: 'half-and-half',
  name: 'Half and half',
  says: 'one side in one wood, the other side in another, square or on the slant',
  tones: { names: ['One half', 'Other half'], start: ['light', 'dark'], least: 2, most: 2 },
  numbers: [
    { key: 'start', label: 'Begins at, degrees', least: 0, most: 360, start: 0, fraction: true },
    { key: 'lean', label: 'Moves on a ring, degrees', least: -90, most: 90, start: 0, fraction: true },
  ],
  divides: () => 2,
  ring: (row, { start, lean }) =>
    each(row, (middle, at) => (modulo(middle - (start! + at * lean!) / 360 + 1e-6, 1) < 0.5 ? 0 : 1)),
};
