import {
  type DayPlan,
  dayPlan,
  type Named,
  type Result,
  type Room,
  type Shop,
  type Species,
  type Workshop,
} from '@fellside/core';
import { proxy, type Remote, wrap } from 'comlink';
import { type OtherPiece, type OtherWork, otherWork } from './others.js';

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
  others(
    pieces: readonly OtherPiece[],
    shop: Shop,
    woods: readonly Species[],
    now: number,
  ): Promise<OtherWork>;
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

/** What is left of other pieces, worked out beside the page; nothing where there is no worker. */
export function othersBeside(
  pieces: readonly OtherPiece[],
  shop: Shop,
  woods: readonly Species[],
  now: number,
  tell: (work: OtherWork) => void,
): () => void {
  if (typeof Worker === 'undefined') {
    tell(otherWork(pieces, shop, woods, now));
    return () => {};
  }
  const worker = new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' });
  const service: Remote<DayService> = wrap(worker);
  service
    .others(pieces, shop, woods, now)
    .then(tell)
    .finally(() => worker.terminate());
  return () => worker.terminate();
}
