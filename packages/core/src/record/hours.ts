import type { JournalEntry } from './journalEntry.js';
import { WORK_KIND_IDS, type WorkKind } from './workKind.js';

/** Minutes of work that the journal has. */
export interface Hours {
  readonly minutes: number;
  /** By kind of work, in the order in which they come up; those with nothing left out. */
  readonly byWork: readonly { readonly work: WorkKind; readonly minutes: number }[];
}

export function hoursIn(entries: readonly JournalEntry[]): Hours {
  const sums = new Map<WorkKind, number>();
  for (const entry of entries)
    if (entry.kind === 'hours') sums.set(entry.work, (sums.get(entry.work) ?? 0) + entry.minutes);
  return {
    minutes: [...sums.values()].reduce((all, minutes) => all + minutes, 0),
    byWork: WORK_KIND_IDS.flatMap((work) => {
      const minutes = sums.get(work);
      return minutes === undefined ? [] : [{ work, minutes }];
    }),
  };
}

/** Minutes as hours for a passport, to a quarter; null for none. */
export const hoursTold = ({ minutes }: Hours): number | null =>
  minutes === 0 ? null : Math.max(0.25, Math.round(minutes / 15) / 4);

/** “2 h 05 min”, “12 min”. */
export function spanSaid(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return hours === 0 ? `${rest} min` : `${hours} h ${String(rest).padStart(2, '0')} min`;
}
