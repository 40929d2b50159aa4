import type { Ring, Slant } from '@fellside/core';
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

type Slants = Slant[] | undefined;

/** Slanted bands, the same array as long as nothing changes but their woods. */
export const shapedSlants: (slants: Slants) => Slants = createSelector(
  [(slants: Slants) => slants],
  (slants) => slants?.slice(),
  {
    memoizeOptions: {
      resultEqualityCheck: (a: Slants, b: Slants) =>
        a?.length === b?.length &&
        (a ?? []).every((slant, i) => {
          const { wood: _, ...shape } = slant;
          const { wood: __, ...other } = b![i]!;
          return Object.entries(shape).every(([key, value]) => other[key as keyof typeof other] === value);
        }),
    },
  },
);
