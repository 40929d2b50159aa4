import {
  agedColour,
  bordersIn,
  bordersOf,
  difference,
  INVISIBLE,
  type Species,
  wallOf,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { preparedOf, speciesOf } from '../store/selectors.js';
import type { State } from '../store/store.js';

/** Two woods that touch on the outside: how different they look new, in five and in twenty years (CIEDE2000). */
export interface Pair {
  readonly a: Species;
  readonly b: Species;
  readonly lengthMm: number;
  readonly differences: readonly [fresh: number, five: number, twenty: number];
}

export const AGES = [0, 5, 20] as const;

/** All pairs of different woods that touch, the weakest first. */
export const pairsOf: (state: State) => readonly Pair[] = createSelector(
  [preparedOf, speciesOf],
  (prepared, species) => {
    if (!prepared.ok) return [];
    const { rings } = prepared.value;
    const borders = bordersOf(
      wallOf(prepared.value),
      bordersIn(prepared.value),
      (ring, place) => species.get(rings[ring]!.ring.woods[place] ?? '')?.id ?? '',
    );
    const byId = new Map([...species.values()].map((wood) => [wood.id, wood]));
    return borders
      .flatMap(({ a, b, lengthMm }): Pair[] => {
        const [first, second] = [byId.get(a), byId.get(b)];
        if (!first || !second) return [];
        const at = (years: number) => difference(agedColour(first, years), agedColour(second, years));
        return [{ a: first, b: second, lengthMm, differences: [at(0), at(5), at(20)] }];
      })
      .sort((x, y) => Math.min(...x.differences) - Math.min(...y.differences));
  },
);

/** The share of all borders between different woods where they look nearly alike at some age, 0 to 1. */
export function weakShare(pairs: readonly Pair[], age: number): number {
  const all = pairs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const weak = pairs.reduce(
    (sum, { lengthMm, differences }) => sum + (differences[age]! < INVISIBLE ? lengthMm : 0),
    0,
  );
  return all === 0 ? 0 : weak / all;
}
