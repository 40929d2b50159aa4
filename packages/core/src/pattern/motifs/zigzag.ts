import {
  each,
  type Motif,
  type MotifNumber,
  modulo,
  repeats,
  TWO_TONES,
  triangle,
  within,
} from '../motif.js';

const LINE: readonly MotifNumber[] = [
  { key: 'rise', label: 'Rings from low to high', least: 1, most: 100, start: 4 },
  { key: 'thick', label: 'Rings the line is thick', least: 1, most: 50, start: 2 },
  { key: 'apart', label: 'Rings from line to line', least: 2, most: 200, start: 6 },
];

/** Whether a line of a thickness, repeated every `apart` rings, covers a ring where it has risen to a height (rings). */
const covers = (ring: number, height: number, thick: number, apart: number): boolean =>
  modulo(ring - Math.floor(height + 1e-9), apart) < thick;

const line = (
  kind: string,
  name: string,
  says: string,
  around: number,
  shape: (x: number) => number,
): Motif => ({
  kind,
  name,
  says,
  tones: TWO_TONES,
  mirrors: true,
  numbers: [repeats(around), ...LINE],
  divides: ({ repeats }) => 2 * repeats!,
  ring: (row, { repeats, rise, thick, apart }) =>
    each(row, (middle, at) => (covers(at, shape(within(middle, repeats!)) * rise!, thick!, apart!) ? 1 : 0)),
});

/** A line that goes straight up and down round the piece. */
export const zigzag = line('zigzag', 'Zigzag', 'a line straight up and down round the piece', 6, triangle);

/** A line that swings up and down round the piece. */
export const waves = line(
  'waves',
  'Waves',
  'a line that swings up and down round the piece',
  3,
  (x) => (1 - Math.cos(2 * Math.PI * x)) / 2,
);
