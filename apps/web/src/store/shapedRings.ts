import { type Ring, type Slant, sameRingShapes, sameSlantShapes } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';

/** Rings, the same array as long as nothing changes that their shape hangs on. */
export const shapedRings: (rings: Ring[]) => Ring[] = createSelector(
  [(rings: Ring[]) => rings],
  (rings) => rings.slice(),
  { memoizeOptions: { resultEqualityCheck: sameRingShapes } },
);

type Slants = Slant[] | undefined;

/** Slanted bands, the same array as long as nothing changes but their woods. */
export const shapedSlants: (slants: Slants) => Slants = createSelector(
  [(slants: Slants) => slants],
  (slants) => slants?.slice(),
  { memoizeOptions: { resultEqualityCheck: (a: Slants, b: Slants) => !a === !b && sameSlantShapes(a, b) } },
);
