import type { Made } from './contract.js';
import { layOut } from './layOut.js';
import { samplerOf } from './sampler.js';

type Given = Pick<
  Made,
  'heightMm' | 'gives' | 'repeats' | 'cornerMm' | 'groups' | 'kinds' | 'lay' | 'steps' | 'cautions'
>;

/** What most rings are: upright, closed, with joints towards the axis, nothing to mark and nothing to look at. */
const USUAL = {
  lean: 0,
  closed: true,
  radial: true,
  layers: [],
  figures: [],
  warnings: [],
  mark: () => null,
} as const;

/**
 * A ring from its lay-out. Which place is at a point follows from the very outlines that are drawn and counted; they are
 * made ready at the first question.
 */
export function assemble(given: Given & Partial<Omit<Made, 'placeAt'>>): Made {
  let sample: Made['placeAt'] | undefined;
  const made: Made = {
    ...USUAL,
    ...given,
    placeAt(x, y, z) {
      sample ??= samplerOf(layOut(made), made.heightMm);
      return sample(x, y, z);
    },
  };
  return made;
}
