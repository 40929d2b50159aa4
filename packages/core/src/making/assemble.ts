import type { LaidPiece, Made } from './contract.js';
import { samplerFor } from './sampler.js';

type Given = Pick<Made, 'heightMm' | 'gives' | 'repeats' | 'cornerMm' | 'groups' | 'kinds' | 'steps'> & {
  /** A piece that goes from the ring's bottom to its top, or the parts of one that is shaped otherwise. */
  lay(place: number): Rising | readonly LaidPiece[];
};

/** A piece that goes from the ring's bottom to its top. */
export type Rising = Omit<LaidPiece, 'fromMm' | 'toMm'>;

const NONE: readonly never[] = [];

/**
 * A ring from its lay-out; most rings are upright, closed, with joints towards the axis, nothing to mark and nothing to look
 * at. Which place is at a point follows from the very outlines that are drawn and counted; they are made ready at the
 * first question. (Field by field: spreading defaults and what is given took as long as all the rest of a flat ring.)
 */
export function assemble(given: Given & Partial<Omit<Made, 'placeAt' | 'lay'>>): Made {
  let sample: Made['placeAt'] | undefined;
  const made: { -readonly [K in keyof Made]: Made[K] } = {
    heightMm: given.heightMm,
    gives: given.gives,
    ball: given.ball ?? null,
    lean: given.lean ?? 0,
    closed: given.closed ?? true,
    radial: given.radial ?? true,
    repeats: given.repeats,
    cornerMm: given.cornerMm,
    groups: given.groups,
    kinds: given.kinds,
    together: given.together ?? NONE,
    hidesGlue: given.hidesGlue ?? false,
    laidOnPlan: given.laidOnPlan ?? false,
    reads: given.reads ?? null,
    layers: given.layers ?? NONE,
    figures: given.figures ?? NONE,
    warnings: given.warnings ?? NONE,
    lay(place) {
      const laid = given.lay(place);
      return 'place' in laid ? [{ ...laid, fromMm: 0, toMm: given.heightMm }] : laid;
    },
    placeAt(x, y, z) {
      sample ??= samplerFor(made);
      return sample(x, y, z);
    },
    mark: given.mark ?? unmarked,
    steps: given.steps,
  };
  if (given.panel) made.panel = given.panel;
  if (given.pictures) made.pictures = given.pictures;
  return made;
}

const unmarked = () => null;
