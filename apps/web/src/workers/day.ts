import { type DayPlan, dayPlan, type Named, type Result, type Room, type Workshop } from '@fellside/core';
import { proxy, type Remote, wrap } from 'comlink';

/** What a day plan is asked with. */
export interface DayAsk {
  readonly tasks: readonly Named[];
  readonly room: Room;
  readonly glue: Workshop['glue'];
}

/** Rounds of trying other orders, and after how many a better plan is told. */
export const ROUNDS = 20_000;
const TELL_EACH = 200;

/** Looks for a better plan and tells each one that it finds. */
export function improved(
  { tasks, room, glue }: DayAsk,
  tell: (plan: DayPlan, round: number) => void,
): Result<DayPlan> {
  let told = Number.POSITIVE_INFINITY;
  return dayPlan(tasks, room, glue, ROUNDS, (best, round) => {
    if (round % TELL_EACH === 0 && best.doneAt < told) {
      told = best.doneAt;
      tell(best, round);
    }
    return true;
  });
}

export interface DayService {
  improve(ask: DayAsk, tell: (plan: DayPlan, round: number) => void): Promise<Result<DayPlan>>;
}

/** Looks for a better plan beside the page until it is found to be the best, all rounds are done, or it is stopped. */
export function improveBeside(ask: DayAsk, tell: (plan: DayPlan, ended: boolean) => void): () => void {
  if (typeof Worker === 'undefined') return () => {};
  const worker = new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' });
  const service: Remote<DayService> = wrap(worker);
  const heard = proxy((plan: DayPlan) => tell(plan, false));
  service
    .improve(ask, heard)
    .then((plan) => {
      if (plan.ok) tell(plan.value, true);
    })
    .finally(() => worker.terminate());
  return () => worker.terminate();
}
