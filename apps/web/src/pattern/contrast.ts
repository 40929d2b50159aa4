import { type TouchingPair, touchingPairs } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { preparedOf, speciesOf } from '../store/selectors.js';
import type { State } from '../store/store.js';

/** Woods of the open piece that touch on the outside, the weakest pair first. */
export const pairsOf: (state: State) => readonly TouchingPair[] = createSelector(
  [preparedOf, speciesOf],
  (prepared, species) => (prepared.ok ? touchingPairs(prepared.value, species) : []),
);
