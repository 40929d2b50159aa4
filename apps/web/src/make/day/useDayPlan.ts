import {
  type DayPlan,
  dayPlan,
  type Moment,
  type OneMore,
  oneMore,
  type Result,
  tasksOf,
  workDone,
} from '@fellside/core';
import { useEffect, useMemo, useState } from 'react';
import { shopOf } from '../../store/house.js';
import { ticksOf, workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';
import { type DayAsk, improveBeside } from '../../workers/day.js';
import { useOthers } from './useOthers.js';

const MINUTE = 60_000;
/** The plan is made anew as time goes by, so often. */
const ANEW = 5 * MINUTE;

/** What the hours and clamps make of the work that is left: the plan, from when on, and what it was asked with. */
export interface PlannedDay {
  readonly ask: DayAsk;
  readonly plan: Result<DayPlan>;
  /** Milliseconds since 1970. */
  readonly from: number;
  /** A better plan may still be found. */
  readonly looking: boolean;
  /** What one more of something would save. */
  readonly more: readonly OneMore[];
  /** Names of other pieces that were to be planned with it and have no plan. */
  readonly without: readonly string[];
}

/** The moment of the week of a time, in this browser's time zone. */
export function momentOf(at: number): Moment {
  const date = new Date(at);
  return {
    day: (date.getDay() + 6) % 7,
    minute: date.getHours() * 60 + date.getMinutes() + date.getSeconds() / 60,
  };
}

/** The day plan of the open piece: at once, and better ones as they are found beside the page. Null while it has no order of work. */
export function useDayPlan(): PlannedDay | null {
  const order = useApp(workOf);
  const ticks = useApp(ticksOf);
  const { equipment, hours, glue } = useApp(shopOf).workshop;
  const from = useFrom();
  const others = useOthers(from);
  const ask = useMemo((): DayAsk | null => {
    if (!order) return null;
    const { tasks, running } = tasksOf(order, workDone(ticks, from));
    const room = { equipment, hours, now: momentOf(from), running: [...running, ...others.running] };
    return { tasks: [...tasks, ...others.tasks], room, glue };
  }, [order, ticks, equipment, hours, glue, from, others]);
  const atOnce = useMemo(() => ask && dayPlan(ask.tasks, ask.room, ask.glue), [ask]);
  const [better, setBetter] = useState<{
    readonly of: DayAsk;
    readonly plan: DayPlan;
    readonly ended: boolean;
  } | null>(null);
  const open = atOnce?.ok === true && atOnce.value.doneAt > atOnce.value.bound.atLeast + 1;
  useEffect(
    () =>
      ask && open ? improveBeside(ask, (plan, ended) => setBetter({ of: ask, plan, ended })) : undefined,
    [ask, open],
  );
  const found = better?.of === ask ? better : null;
  const plan = found ? found.plan : atOnce?.ok ? atOnce.value : null;
  const more = useMemo(() => (ask && plan ? oneMore(ask.tasks, ask.room, ask.glue, plan) : []), [ask, plan]);
  if (!ask || !atOnce) return null;
  const answer = plan ? ({ ok: true, value: plan } as const) : atOnce;
  return { ask, plan: answer, from, looking: open && !found?.ended, more, without: others.without };
}

function useFrom(): number {
  const [from, setFrom] = useState(Date.now);
  useEffect(() => {
    const ticking = setInterval(() => setFrom(Date.now()), ANEW);
    return () => clearInterval(ticking);
  }, []);
  return from;
}
