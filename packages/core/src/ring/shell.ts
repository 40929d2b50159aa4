import type { Vessel } from '../form/vessel.js';
import { SAME_LENGTH } from '../measure/tolerance.js';

/** A ring of the piece, and whether it is a shell of panels. */
interface Lying {
  readonly shell: boolean;
  readonly bottomMm: number;
  readonly topMm: number;
}

/** Whether the hollow has no mouth because one ring is panels all round it: it is closed as it is glued, and nobody works at it. */
export const closedByShell = (
  { joined, hollowFromMm, hollowToMm }: Pick<Vessel, 'joined' | 'hollowFromMm' | 'hollowToMm'>,
  rings: readonly Lying[],
): boolean =>
  joined &&
  rings.some(
    ({ shell, bottomMm, topMm }) =>
      shell && bottomMm < hollowFromMm + SAME_LENGTH && topMm > hollowToMm - SAME_LENGTH,
  );

/** A form as the lathe meets it whose hollow is never worked at: as if it were solid. */
export const unworked = (vessel: Vessel): Vessel => ({
  ...vessel,
  inside: null,
  hollowFromMm: vessel.heightMm,
  hollowToMm: vessel.heightMm,
  lidMm: null,
  joined: false,
});
