import { type JournalEntry, type Shop, type Species, type WorkbookRow, workbookOf } from '@fellside/core';
import { entryOf } from '../journal/entryOf.js';
import { readStored } from '../projects/stored.js';

/** Every piece as it is stored, and what it is planned with. */
export interface WorkbookAsk {
  readonly pieces: readonly { readonly id: string; readonly savedAt: string; readonly document: string }[];
  /** Entries of all pieces, as they are stored. */
  readonly journal: readonly { readonly projectId: string; readonly entry: string }[];
  readonly woods: readonly Species[];
  readonly shop: Shop;
}

/** Rows of the pieces that can be read and planned. */
export const rowsOf = ({ pieces, journal, woods, shop }: WorkbookAsk): WorkbookRow[] => {
  const written = new Map(pieces.map(({ id }) => [id, [] as JournalEntry[]]));
  for (const row of journal) {
    const entry = entryOf(row);
    if (entry) written.get(row.projectId)?.push(entry);
  }
  return workbookOf(
    pieces.flatMap(({ document, ...piece }) => {
      const read = readStored(document);
      return read.ok ? [{ ...piece, document: read.value.document, journal: written.get(piece.id)! }] : [];
    }),
    woods,
    shop,
  );
};
