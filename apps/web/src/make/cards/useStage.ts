import { type Job, type StageView, stageView } from '@fellside/core';
import { useMemo } from 'react';
import { shopOf } from '../../store/house.js';
import { workOf } from '../../store/progress/work.js';
import { preparedOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';

/** How the work stands at the stage of a job, worked out once for all counts on its card; null where it is not at the lathe. */
export function useStage({ stage }: Pick<Job, 'stage'>): StageView | null {
  const order = useApp(workOf);
  const prepared = useApp(preparedOf);
  const shop = useApp(shopOf);
  const heightMm = prepared.ok ? prepared.value.vessel.heightMm : null;
  return useMemo(
    () => (order && heightMm !== null ? stageView(order, stage, shop, heightMm) : null),
    [order, stage, shop, heightMm],
  );
}
