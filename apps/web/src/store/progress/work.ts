import {
  atTheLathe,
  type Done,
  doneBy,
  lastBy,
  type OrderedPiece,
  turnedBalance,
  workPlanned,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { projectOf, shopOf, woodsOf } from '../house.js';
import { planOf, preparedOf } from '../selectors.js';
import type { State } from '../store.js';

/** What the lathe has to do with the open piece. */
export const latheOf = createSelector(
  [preparedOf, projectOf, woodsOf, shopOf],
  (prepared, project, woods, shop) => (prepared.ok ? atTheLathe(prepared.value, project, woods, shop) : null),
);

/** How the turned piece is balanced; null while there is none. */
export const turnedBalanceOf = createSelector([preparedOf, projectOf, woodsOf], (prepared, project, woods) =>
  prepared.ok ? turnedBalance(prepared.value, project, woods) : null,
);

/** The order of work of the open piece; null while it has no plan. */
export const workOf: (state: State) => OrderedPiece | null = createSelector(
  [
    preparedOf,
    planOf,
    latheOf,
    shopOf,
    (state: State) => projectOf(state).schools,
    (state: State) => projectOf(state).letIn,
    (state: State) => projectOf(state).finish,
  ],
  (prepared, plan, lathe, shop, schools, letIn, finish) =>
    prepared.ok && plan.ok && lathe
      ? workPlanned(prepared.value, plan.value, lathe, shop, { schools, letIn, finish })
      : null,
);

/** All ticks: those that the server has, and those on their way. */
export const ticksOf = createSelector(
  [(state: State) => state.progress.known, (state: State) => state.progress.pending],
  (known, pending) => [...known, ...pending],
);

/** How many of each job are done. */
export const doneOf: (state: State) => Done = createSelector([ticksOf], doneBy);

/** When each job was last counted up, and where. */
export const lastOf: (state: State) => ReturnType<typeof lastBy> = createSelector([ticksOf], lastBy);
