import { columnOf, type Motif, modulo } from '../motif.js';

/** Order in which places of a four by four square change over, Bayer's matrix (1973), from memory. */
const ORDER = [0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5];

/** From the first wood to the last through all between, up the wall or round it. */
export const gradient: Motif = {
  kind: 'gradient',
  name: 'Gradient',
  says: 'from light to dark through as many woods as you like, up the wall or round it',
  tones: { names: ['First', 'Next'], start: ['light', 'middle', 'dark'], least: 2, most: 8 },
  numbers: [
    {
      key: 'run',
      label: 'Runs',
      least: 0,
      most: 2,
      start: 0,
      choices: ['up the wall', 'round', 'round and back'],
    },
    { key: 'blend', label: 'Where two woods meet', least: 0, most: 1, start: 1, choices: ['sharp', 'mixed'] },
  ],
  divides: ({ run }, tones) => (run === 0 ? 1 : run === 1 ? tones : 2 * tones),
  ring: ({ row, rows, middles }, { run, blend }, tones) =>
    middles.map((middle) => {
      const back = 1 - Math.abs(1 - 2 * middle);
      const share = run === 0 ? (row + 0.5) / rows : run === 1 ? middle : back;
      const cell = columnOf(middle, middles.length);
      const order = (ORDER[4 * modulo(row, 4) + modulo(cell, 4)]! + 0.5) / 16;
      const at = blend === 1 ? share * (tones - 1) + order : share * tones + 1e-9;
      return Math.min(tones - 1, Math.floor(at));
    }),
};
