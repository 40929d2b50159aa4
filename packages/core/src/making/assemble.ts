import type { LaidPiece, Made } from './contract.js';
import { samplerFor } from './sampler.js';

type Given = Pick<Made, 'heightMm' | 'gives' | 'repeats' | 'cornerMm' | 'groups' | 'kinds' | 'steps'> & {
  /** A piece that goes from the ring's bottom to its top, or the parts of one that is shaped otherwise. */
  lay(place: number): Rising | readonly LaidPiece[];
};

/** A piece that goes from the ring's bottom to its top. */
export type Rising = Omit<LaidPiece, 'fromMm' | 'toMm'>;

/** What most rings are: upright, closed, with joints towards the axis, nothing to mark and nothing to look at. */
const USUAL = {
  lean: 0,
  closed: true,
  radial: true,
  together: [],
  hidesGlue: false,
  reads: null,
  layers: [],
  figures: [],
  warnings: [],
  mark: () => null,
} as const;

/**
 * A ring from its lay-out. Which place is at a point follows from the very outlines that are drawn and counted; they are
 * made ready at the first question.
 */
export function assemble(given: Given & Partial<Omit<Made, 'placeAt' | 'lay'>>): Made {
  let sample: Made['placeAt'] | undefined;
  const made: Made = {
    ...USUAL,
    ...given,
    lay(place) {
      const laid = given.lay(place);
      return 'place' in laid ? [{ ...laid, fromMm: 0, toMm: given.heightMm }] : laid;
    },
    placeAt(x, y, z) {
      sample ??= samplerFor(made);
      return sample(x, y, z);
    },
  };
  return made;
}
