import {
  accountsOf,
  type Board,
  type Lumber,
  lumberTimes,
  type Plan,
  type Roll,
  rollOf,
  type WoodAccount,
  type WoodLayout,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import { api } from '../store/api.js';
import { shopOf } from '../store/house.js';
import { ownedOf, planOf } from '../store/selectors.js';
import type { State } from '../store/store.js';
import { useApp } from '../store/store.js';
import type { LayoutAsk } from '../workers/layout.js';
import { type Running, runner, sameQuestion } from './runner.js';

/** What is laid out is asked for so long after the last change, sooner where it is looked at: nobody waits for it while something is dragged (ms). */
const REST = { inCuts: 250, elsewhere: 700 } as const;

const NO_BOARDS: readonly Board[] = [];

const NOT_YET: Running = {
  piece: null,
  state: null,
  asked: null,
  stale: false,
  running: true,
  cancelled: false,
  trouble: null,
};

const lumberOfOne = (state: State): Lumber | null => {
  const plan = planOf(state);
  return plan.ok ? plan.value.lumber : null;
};

/** All that is sawn for the open piece, as many as are cut together; null where it cannot be planned. */
export const lumberOf: (state: State) => Lumber | null = createSelector(
  [lumberOfOne, (state: State) => state.session.laying.copies],
  (one, copies) => one && lumberTimes(one, copies),
);

/**
 * The layout of the open piece on the boards on hand and at the yard; laid out anew whenever any of it changes, and solved while Cuts
 * is open. Everybody who shows strips, boards or board feet shows these.
 */
export function useLayout(): Running {
  const { goal, buying } = useApp((state) => state.session.laying);
  const shop = useApp(shopOf);
  const { data: boards, isLoading } = api.useBoardsQuery();
  const running = useSyncExternalStore(runner.subscribe, runner.get);
  const lumber = useApp(lumberOf);
  const owned = useApp(ownedOf);
  const one = useApp(lumberOfOne);
  const piece = useApp((state) => state.piece.id);
  const gesture = useApp((state) => state.piece.preview !== null);
  const solve = useLocation().pathname.includes('/cuts');
  const ask = useMemo(
    (): LayoutAsk | null =>
      lumber && one
        ? { piece, lumber, one, boards: boards ?? NO_BOARDS, shop, goal, buying, owned, solve }
        : null,
    [piece, lumber, one, boards, shop, goal, buying, owned, solve],
  );
  useEffect(() => {
    // Not before the boards on hand are known: everything would be bought for a moment.
    if (!ask || gesture || (isLoading && typeof Worker !== 'undefined')) return undefined;
    const now = () => runner.ask(ask);
    if (typeof Worker === 'undefined' || runner.get().piece !== ask.piece) {
      now();
      return undefined;
    }
    const later = setTimeout(now, ask.solve ? REST.inCuts : REST.elsewhere);
    return () => clearTimeout(later);
  }, [ask, gesture, isLoading]);
  // What was asked last is stale at once when anything has changed since, and not only when it is asked again.
  const { asked } = running;
  const fresh = useMemo(() => ask !== null && asked !== null && sameQuestion(asked, ask), [ask, asked]);
  return useMemo(
    () => (running.piece !== piece ? NOT_YET : fresh ? running : { ...running, stale: true }),
    [running, piece, fresh],
  );
}

export interface Cuts extends Running {
  readonly plan: Plan;
  readonly lumber: Lumber;
  readonly layouts: readonly WoodLayout[];
  readonly accounts: readonly WoodAccount[];
  readonly roll: Roll;
}

const NONE: readonly WoodLayout[] = [];

/** The same with all that follows from it; null where the piece cannot be planned. */
export function useCuts(): Cuts | null {
  const running = useLayout();
  const plan = useApp(planOf);
  const lumber = useApp(lumberOf);
  const shop = useApp(shopOf);
  const { state } = running;
  const layouts = useMemo(() => state?.woods.map(({ layout }) => layout) ?? NONE, [state]);
  return useMemo(() => {
    if (!plan.ok || !lumber) return null;
    const accounts = accountsOf(lumber, layouts, shop);
    return { ...running, plan: plan.value, lumber, layouts, accounts, roll: rollOf(plan.value) };
  }, [running, plan, lumber, layouts, shop]);
}
