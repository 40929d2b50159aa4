import type { Jointing } from './jointing.js';
import type { SpacerLayers } from './spacers.js';

/** Wood in a joint as it is planed: a spacer, or one layer of it. Places follow each other in this order. */
export interface Strip {
  readonly joint: number;
  /** Which layer it is, from 0. */
  readonly layer: number;
  readonly thicknessMm: number;
  /** Where it lies in the spacer, as shares of its thickness, counter-clockwise. */
  readonly from: number;
  readonly to: number;
}

/** The strips of spacers of these thicknesses, layer by layer, each in the order of the joints. */
export function stripsOf(thicknesses: readonly number[], layers: SpacerLayers | undefined): Strip[] {
  const joints = thicknesses.flatMap((s, joint) => (s > 0 ? [joint] : []));
  const sizes = layers?.layersMm ?? [];
  return Array.from({ length: sizes.length + 1 }, (_, layer) => layer).flatMap((layer) =>
    joints.map((joint, i): Strip => {
      const whole = thicknesses[joint]!;
      const start = sizes.slice(0, layer).reduce((sum, size) => sum + size, 0);
      const end = layer < sizes.length ? start + sizes[layer]! : whole;
      const over = layers !== undefined && isTurned(layers.turned, i);
      return {
        joint,
        layer,
        thicknessMm: end - start,
        from: (over ? whole - end : start) / whole,
        to: (over ? whole - start : end) / whole,
      };
    }),
  );
}

/** Whether the i-th spacer from the index mark goes in turned over. */
const isTurned = (turned: SpacerLayers['turned'], i: number): boolean =>
  turned === 'all' || (turned === 'first' && i % 2 === 0) || (turned === 'second' && i % 2 === 1);

/** What every joint holds, in a word that is the same only where the same lies there; for how often it repeats. */
export const heldIn = ({ thicknesses, wood, layers }: Jointing): string[] => {
  let i = -1;
  return thicknesses.map((s, joint) => {
    if (wood[joint] === 0) return `air ${s}`;
    i++;
    return `wood ${s}${layers && isTurned(layers.turned, i) ? ' turned' : ''}`;
  });
};
