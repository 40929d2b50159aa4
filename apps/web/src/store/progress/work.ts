import { atTheLathe, type Done, type Order, type OrderedPiece, workPlanned } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { planOf, preparedOf, projectOf, shopOf, woodsOf } from '../selectors.js';
import type { State } from '../store.js';

/** What the lathe has to do with the open piece. */
export const latheOf = createSelector(
  [preparedOf, projectOf, woodsOf, shopOf],
  (prepared, project, woods, shop) => (prepared.ok ? atTheLathe(prepared.value, project, woods, shop) : null),
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
  ],
  (prepared, plan, lathe, shop, schools, letIn) =>
    prepared.ok && plan.ok && lathe
      ? workPlanned(prepared.value, plan.value, lathe, shop, { schools, letIn })
      : null,
);

const ticksOf = createSelector(
  [(state: State) => state.progress.known, (state: State) => state.progress.pending],
  (known, pending) => [...known, ...pending],
);

/** How many of each job are done. */
export const doneOf: (state: State) => Done = createSelector([ticksOf], (ticks) => {
  const done = new Map<string, number>();
  for (const { job, amount } of ticks) done.set(job, (done.get(job) ?? 0) + amount);
  return done;
});

/** When each job was last counted up (ms since 1970), and where. */
export const lastOf: (state: State) => ReadonlyMap<string, { readonly at: number; readonly device: string }> =
  createSelector([ticksOf], (ticks) => {
    const last = new Map<string, { at: number; device: string }>();
    for (const { job, amount, at, device } of ticks)
      if (amount > 0) last.set(job, { at: Date.parse(at), device });
    return last;
  });

export type { Order };
