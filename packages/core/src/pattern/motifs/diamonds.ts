import {
  each,
  type Motif,
  type MotifNumber,
  modulo,
  type Row,
  repeats,
  TWO_TONES,
  within,
} from '../motif.js';

const SIZES: readonly MotifNumber[] = [
  repeats(6),
  { key: 'high', label: 'Rings a diamond', least: 2, most: 100, start: 6 },
  {
    key: 'offset',
    label: 'Every other tier',
    least: 0,
    most: 1,
    start: 0,
    choices: ['in line', 'moved by half'],
  },
];

/** How far a middle is from the heart of its diamond: 0 in the heart, 1 on the edges of one that touches its neighbours. */
function away(middle: number, row: Row, repeats: number, high: number, offset: number): number {
  const tier = Math.floor(row.row / high);
  const x = within(middle + (offset === 1 && tier % 2 === 1 ? 0.5 / repeats : 0), repeats);
  const y = modulo(row.row + 0.5, high) / high;
  return Math.abs(2 * x - 1) + Math.abs(2 * y - 1);
}

/** A middle on the very edge belongs to the diamond, whichever way it was rounded. */
const EDGE = 1e-6;

/** Diamonds standing side by side. */
export const diamonds: Motif = {
  kind: 'diamonds',
  name: 'Diamonds',
  says: 'diamonds standing side by side, tier on tier',
  tones: TWO_TONES,
  mirrors: true,
  numbers: [
    ...SIZES,
    { key: 'size', label: 'Size (1: they touch)', least: 0.2, most: 1.8, start: 1, fraction: true },
  ],
  divides: ({ repeats }) => 2 * repeats!,
  ring: (row, { repeats, high, offset, size }) =>
    each(row, (middle) => (away(middle, row, repeats!, high!, offset!) <= size! + EDGE ? 1 : 0)),
};

/** Diamonds with a heart of a third tone. */
export const lozenges: Motif = {
  kind: 'lozenges',
  name: 'Lozenges with a heart',
  says: 'diamonds with a smaller one of another wood inside',
  tones: { names: ['Ground', 'Lozenge', 'Heart'], start: ['light', 'dark', 'accent'], least: 3, most: 3 },
  mirrors: true,
  numbers: [
    ...SIZES,
    { key: 'size', label: 'Size (1: they touch)', least: 0.2, most: 1.8, start: 1, fraction: true },
    { key: 'heart', label: 'Size of the heart', least: 0.1, most: 1.6, start: 0.5, fraction: true },
  ],
  divides: ({ repeats }) => 2 * repeats!,
  ring: (row, { repeats, high, offset, size, heart }) =>
    each(row, (middle) => {
      const distance = away(middle, row, repeats!, high!, offset!) - EDGE;
      return distance <= heart! ? 2 : distance <= size! ? 1 : 0;
    }),
};
