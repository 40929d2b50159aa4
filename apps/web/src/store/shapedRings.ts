import type { Ring } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';

const sameShape = (a: readonly Ring[], b: readonly Ring[]): boolean =>
  a.length === b.length &&
  a.every((ring, i) => {
    const other = b[i]!;
    return (
      ring === other ||
      (ring.id === other.id &&
        ring.making === other.making &&
        ring.turn === other.turn &&
        ring.heightMm === other.heightMm &&
        ring.fixed === other.fixed &&
        ring.measured === other.measured)
    );
  });

/** Rings, the same array as long as nothing changes that their shape hangs on. */
export const shapedRings: (rings: Ring[]) => Ring[] = createSelector(
  [(rings: Ring[]) => rings],
  (rings) => rings.slice(),
  { memoizeOptions: { resultEqualityCheck: sameShape } },
);
