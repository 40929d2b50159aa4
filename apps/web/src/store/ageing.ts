import {
  ageingChecks,
  type Check,
  type ColourNote,
  colourNotes,
  type Moving,
  moistureRange,
  movingOf,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { pairsOf } from '../pattern/contrast.js';
import { projectOf, shopOf, woodsOf } from './house.js';
import { planOf, preparedOf } from './selectors.js';
import type { State } from './store.js';

const NONE: readonly never[] = [];

/** The piece as it stands while no gesture runs: what years do to it is looked at when the hand rests. */
const resting = (state: State): State =>
  state.piece.preview === null ? state : { ...state, piece: { ...state.piece, preview: null } };

/** What years and air do to the open piece, to note beside the checks of its plan. */
export const ageingChecksOf: (state: State) => readonly Check[] = createSelector(
  [
    (state: State) => projectOf(resting(state)).palette,
    (state: State) => projectOf(resting(state)).finish,
    (state: State) => preparedOf(resting(state)),
    (state: State) => planOf(resting(state)),
    woodsOf,
    shopOf,
  ],
  (palette, finish, prepared, plan, woods, shop) =>
    prepared.ok && plan.ok
      ? ageingChecks({ palette, ...(finish && { finish }) }, prepared.value, plan.value, woods, shop)
      : NONE,
);

/** Everything in the open piece that is glued across the grain, the worst first, over the year of its room. */
export const movesOf: (state: State) => readonly Moving[] = createSelector(
  [planOf, woodsOf, (state: State) => shopOf(state).workshop.climate],
  (plan, woods, climate) =>
    plan.ok
      ? movingOf(plan.value.rings, new Map(woods.map((wood) => [wood.id, wood])), moistureRange(climate).most)
      : NONE,
);

export const colourNotesOf: (state: State) => readonly ColourNote[] = createSelector([pairsOf], colourNotes);
