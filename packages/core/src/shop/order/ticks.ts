/** So many of a job done, or taken back, at a time on a device: what was counted is added, never written over. */
export interface Tick {
  /** Given by the device that counted, a UUID: sent twice it is the same. */
  readonly id: string;
  readonly job: string;
  readonly amount: number;
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly device: string;
}

/** Steps that had another name when baskets were a way of their own: what was counted of them is done. */
const CALLED_BEFORE: ReadonlyMap<string, string> = new Map([['wafers', 'spacers']]);

/** A job's id as it is called today; it may have been counted under an older name. */
export function jobNow(job: string): string {
  const at = job.lastIndexOf('/') + 1;
  const now = CALLED_BEFORE.get(job.slice(at));
  return now === undefined ? job : job.slice(0, at) + now;
}

/** How many of each job are done. */
export function doneBy(ticks: readonly Tick[]): Map<string, number> {
  const done = new Map<string, number>();
  for (const tick of ticks) {
    const job = jobNow(tick.job);
    done.set(job, (done.get(job) ?? 0) + tick.amount);
  }
  return done;
}

/** When each job was last counted up (ms since 1970), and where. */
export function lastBy(
  ticks: readonly Tick[],
): Map<string, { readonly at: number; readonly device: string }> {
  const last = new Map<string, { at: number; device: string }>();
  for (const { job, amount, at, device } of ticks)
    if (amount > 0) last.set(jobNow(job), { at: Date.parse(at), device });
  return last;
}
