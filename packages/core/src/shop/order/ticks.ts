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

/** How many of each job are done. */
export function doneBy(ticks: readonly Tick[]): Map<string, number> {
  const done = new Map<string, number>();
  for (const { job, amount } of ticks) done.set(job, (done.get(job) ?? 0) + amount);
  return done;
}

/** When each job was last counted up (ms since 1970), and where. */
export function lastBy(
  ticks: readonly Tick[],
): Map<string, { readonly at: number; readonly device: string }> {
  const last = new Map<string, { at: number; device: string }>();
  for (const { job, amount, at, device } of ticks)
    if (amount > 0) last.set(job, { at: Date.parse(at), device });
  return last;
}
