import { type JournalEntry, journalEntrySchema } from '@fellside/core';
import { json } from '../projects/stored.js';

/** An entry as it is stored; null where this Fellside cannot read it. */
export function entryOf({ entry }: { readonly entry: string }): JournalEntry | null {
  const read = journalEntrySchema.safeParse(json(entry));
  return read.success ? read.data : null;
}
