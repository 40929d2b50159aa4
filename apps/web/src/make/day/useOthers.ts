import { useEffect, useState } from 'react';
import { api } from '../../store/api.js';
import { shopOf, woodsOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { othersBeside } from '../../workers/day.js';
import type { OtherPiece, OtherWork } from '../../workers/others.js';

const NONE: OtherWork = { tasks: [], running: [], without: [] };

/** What is left of the pieces that are planned into the same hours as the open one, as it was at a time (ms since 1970). */
export function useOthers(now: number): OtherWork {
  const dispatch = useActions();
  const open = useApp((state) => state.piece.id);
  const together = useApp((state) => state.look.together);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const [work, setWork] = useState(NONE);
  useEffect(() => {
    const ids = together.filter((id) => id !== open);
    if (ids.length === 0) return setWork(NONE);
    let [left, stop]: [boolean, () => void] = [false, () => {}];
    const asked = { subscribe: false, forceRefetch: true } as const;
    const piece = async (id: string): Promise<OtherPiece[]> => {
      const [saved, progress] = await Promise.all([
        dispatch(api.endpoints.project.initiate(id, asked)),
        dispatch(api.endpoints.ticks.initiate(id, asked)),
      ]);
      // One that was removed meanwhile is left out.
      return saved.data ? [{ id, document: saved.data.document, ticks: progress.data?.ticks ?? [] }] : [];
    };
    void Promise.all(ids.map(piece)).then((pieces) => {
      if (!left) stop = othersBeside(pieces.flat(), shop, woods, now, setWork);
    });
    return () => {
      left = true;
      stop();
    };
  }, [together, open, shop, woods, now, dispatch]);
  return work;
}
