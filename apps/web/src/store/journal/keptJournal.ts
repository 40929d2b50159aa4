import { handEntrySchema, WORK_KINDS } from '@fellside/core';
import { z } from 'zod';
import { type JournalState, journal, NOTHING_WRITTEN } from './journalSlice.js';

const KEY = 'fellside.journal';

const work = z.enum(Object.keys(WORK_KINDS) as [keyof typeof WORK_KINDS]);
const schema = z.object({
  unsent: z.record(z.string(), z.array(handEntrySchema)),
  running: z.object({ piece: z.string(), work, since: z.number() }).nullable(),
  asked: z.object({ piece: z.string(), work, minutes: z.number() }).nullable(),
  byCards: z.boolean(),
});

/** What this browser kept: a reload or a flat battery loses neither entries nor the clock. */
export function keptJournal(): JournalState {
  try {
    const read = schema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    return read.success ? { ...read.data, refused: null } : NOTHING_WRITTEN;
  } catch {
    return NOTHING_WRITTEN;
  }
}

export function keepJournal({ refused: _, ...state }: JournalState): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(state));
  } catch {
    // Without a store it lives in this page until it is sent.
  }
}

/** Follows what another window of this browser wrote: one clock for all of them. */
export function followOtherWindows(store: {
  dispatch(action: ReturnType<typeof journal.restored>): unknown;
}): void {
  addEventListener('storage', ({ key }) => {
    if (key === KEY) store.dispatch(journal.restored(keptJournal()));
  });
}
