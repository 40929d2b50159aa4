import { each, type Motif, modulo, repeats, within } from '../motif.js';

/** Upright panels of several woods in turn, with a border between. */
export const panels: Motif = {
  kind: 'panels',
  name: 'Panels',
  says: 'sectors of several woods in turn, with or without a border between them',
  tones: {
    names: ['Border', 'First panel', 'Next panel'],
    start: ['dark', 'light', 'middle'],
    least: 2,
    most: 8,
  },
  numbers: [
    repeats(6),
    {
      key: 'border',
      label: 'Border, share of a panel (0: none)',
      least: 0,
      most: 0.9,
      start: 0.25,
      fraction: true,
    },
  ],
  divides: ({ repeats }) => repeats!,
  ring: (row, { repeats, border }, tones) =>
    each(row, (middle) => {
      if (within(middle + 1e-6 / repeats!, repeats!) < border!) return 0;
      return 1 + modulo(Math.floor(middle * repeats! + 1e-6), tones - 1);
    }),
};
