import { useEffect, useSyncExternalStore } from 'react';
import { api } from '../../store/api.js';
import { ownedOf, planOf, shopOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { type Running, runner } from './runner.js';

const NONE: never[] = [];
const NOT_YET: Running = { piece: null, state: null, running: true, cancelled: false, trouble: null };

/** The layout of the open piece on the boards on hand and at the yard; laid out anew whenever any of it changes. */
export function useLayout(): Running {
  const { goal, buying } = useApp((state) => state.session.laying);
  const plan = useApp(planOf);
  const shop = useApp(shopOf);
  const { data: boards } = api.useBoardsQuery();
  const running = useSyncExternalStore(runner.subscribe, runner.get);
  const lumber = plan.ok ? plan.value.lumber : null;
  const owned = useApp(ownedOf);
  const piece = useApp((state) => state.piece.id);
  useEffect(() => {
    if (lumber && boards) runner.ask({ piece, lumber, boards: boards ?? NONE, shop, goal, buying, owned });
  }, [piece, lumber, boards, shop, goal, buying, owned]);
  return running.piece === piece ? running : NOT_YET;
}
