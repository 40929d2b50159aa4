import { INCH } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import type { StashEntry } from '../project/stash.js';

const inches = (value: number) => mm(value * INCH);

/** Rings left over from pieces of the show, for any other. */
export const demoStash = (): StashEntry[] => [
  {
    name: 'One too many of the fleece curls',
    outerRadiusMm: inches(4.25),
    innerRadiusMm: inches(3.375),
    heightMm: inches(0.75),
    species: Array.from({ length: 18 }, (_, i) => (i % 3 === 0 ? 'american-holly' : 'american-sycamore')),
    of: { way: 'segmented', count: 18 },
  },
  {
    name: 'Rim ring with wenge lines',
    outerRadiusMm: inches(3),
    innerRadiusMm: inches(2.375),
    heightMm: inches(0.5),
    species: [
      ...Array.from({ length: 12 }, () => 'black-cherry'),
      ...Array.from({ length: 6 }, () => 'wenge'),
    ],
    of: {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'even', number: 6, thicknessMm: inches(0.0625) } },
    },
  },
];
