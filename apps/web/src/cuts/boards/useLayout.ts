import { useEffect, useSyncExternalStore } from 'react';
import { api } from '../../store/api.js';
import { ownedOf, planOf, shopOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { type Running, runner } from './runner.js';

const NONE: never[] = [];

/** The layout of the open piece on the boards on hand and at the yard; laid out anew whenever any of it changes. */
export function useLayout(): Running {
  const { goal, buying } = useApp((state) => state.session.laying);
  const plan = useApp(planOf);
  const shop = useApp(shopOf);
  const { data: boards } = api.useBoardsQuery();
  const running = useSyncExternalStore(runner.subscribe, runner.get);
  const lumber = plan.ok ? plan.value.lumber : null;
  const owned = useApp(ownedOf);
  useEffect(() => {
    if (lumber && boards) runner.ask({ lumber, boards: boards ?? NONE, shop, goal, buying, owned });
  }, [lumber, boards, shop, goal, buying, owned]);
  return running;
}
