import { columnOf, each, type Motif, modulo, repeats, TWO_TONES } from '../motif.js';

/** One turn of the fret, top row first: a rail below, and a line that rises from it and winds inwards. */
const FRET = ['#####.', '#...#.', '#.#.#.', '#.###.', '#.....', '######'];
const WIDE = FRET[0]!.length;

/** A fret: a line that winds inwards again and again along a rail. */
export const key: Motif = {
  kind: 'key',
  name: 'Key',
  says: 'a meander: a line that winds inwards again and again along a rail',
  tones: TWO_TONES,
  numbers: [
    repeats(8),
    { key: 'high', label: 'Rings a line is thick', least: 1, most: 10, start: 1 },
    { key: 'hand', label: 'Winds', least: 0, most: 1, start: 0, choices: ['to the right', 'to the left'] },
  ],
  divides: ({ repeats }) => WIDE * repeats!,
  ring: (row, { repeats, high, hand }) => {
    const line = FRET[FRET.length - 1 - modulo(Math.floor(row.row / high!), FRET.length)]!;
    return each(row, (middle) => {
      const column = columnOf(middle, WIDE * repeats!) % WIDE;
      return line[hand === 1 ? WIDE - 1 - column : column] === '#' ? 1 : 0;
    });
  },
};
