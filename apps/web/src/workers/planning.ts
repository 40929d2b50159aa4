import {
  makeBlank,
  type Plan,
  type Project,
  type Result,
  type Shop,
  type Species,
  vesselOf,
} from '@fellside/core';

/** What a plan is worked out from. */
export interface PlanAsk {
  readonly project: Project;
  readonly shop: Shop;
  readonly woods: readonly Species[];
  /** The document before the gesture that this one belongs to. */
  readonly from: Project;
}

export const canPlanBeside = (): boolean => typeof Worker !== 'undefined';

let worker: Worker | null = null;
let busy = false;
let waiting: { ask: PlanAsk; told: (result: Result<Plan>) => void } | null = null;

/** Works a plan out beside the page; of several asks in a row only the last is answered. */
export function planBeside(ask: PlanAsk, told: (result: Result<Plan>) => void): void {
  waiting = { ask, told };
  next();
}

function next(): void {
  if (busy || !waiting) return;
  const { ask, told } = waiting;
  waiting = null;
  busy = true;
  worker ??= new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<Result<Plan>>) => {
    busy = false;
    if (!waiting) told(whole(data, ask.project));
    next();
  };
  worker.onerror = () => {
    worker?.terminate();
    worker = null;
    busy = false;
    next();
  };
  const { project, shop, woods } = ask;
  worker.postMessage({ project, shop, woods });
}

/** Blanks are made here again: what they are asked later cannot be sent. */
function whole(result: Result<Plan>, { blanks = [], form }: Project): Result<Plan> {
  const vessel = vesselOf(form);
  if (!result.ok || !vessel.ok) return result;
  const made = result.value.blanks.map((blank, i) => ({
    ...blank,
    made: makeBlank(blanks[i]!.making, vessel.value),
  }));
  return { ok: true, value: { ...result.value, blanks: made } };
}
