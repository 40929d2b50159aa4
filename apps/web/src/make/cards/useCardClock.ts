import type { Job, WorkKind } from '@fellside/core';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { startClock } from '../../store/journal/writing.js';
import { doneOf } from '../../store/progress/work.js';
import { useActions, useApp } from '../../store/store.js';

/** Where the cards start the clock, it runs for the kind of work of the card that lies open, as long as there is something of it to do. */
export function useCardClock({ id: job, times }: Pick<Job, 'id' | 'times'>, work: WorkKind): void {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const on = useApp((state) => state.journal.byCards);
  const open = useApp((state) => (doneOf(state).get(job) ?? 0) < times);
  useEffect(() => {
    if (on && open) dispatch(startClock(id, work));
  }, [on, open, id, work, dispatch]);
}
