import type { Vessel } from '../form/vessel.js';
import { remembered } from '../measure/memo.js';
import { SAME_LENGTH } from '../measure/tolerance.js';

/** Whether a shell of panels that stands between two heights closes the hollow all round: it has no mouth, and nobody works at it. */
export const closes = (
  { joined, hollowFromMm, hollowToMm }: Pick<Vessel, 'joined' | 'hollowFromMm' | 'hollowToMm'>,
  { bottomMm, topMm }: { readonly bottomMm: number; readonly topMm: number },
): boolean => joined && bottomMm < hollowFromMm + SAME_LENGTH && topMm > hollowToMm - SAME_LENGTH;

/** A form as turning leaves it whose hollow is never worked at: what is hollow in it are the panels themselves. */
export const unworked = remembered(
  (vessel: Vessel): Vessel => ({
    ...vessel,
    inside: null,
    hollowFromMm: vessel.heightMm,
    hollowToMm: vessel.heightMm,
    lidMm: null,
    joined: false,
  }),
);
