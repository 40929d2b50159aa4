import { demoBoards, demoJournal, demoProjects, demoStash } from '@fellside/core/demo';
import type { EntityManager } from 'typeorm';
import { insertBoards } from '../boards/boards.service.js';
import { insertEntries } from '../journal/journal.service.js';
import { insertPiece } from '../projects/writing.js';
import { stashRing } from '../stash/stash.service.js';

/** Puts the pieces, rings and boards of the show into a house that has none. */
export async function fillShelf(manager: EntityManager): Promise<void> {
  const journal = demoJournal();
  for (const piece of demoProjects().reverse()) {
    const { id } = await insertPiece(manager, piece);
    if (piece.name === journal.piece) await insertEntries(manager, id, journal.entries);
  }
  for (const ring of demoStash()) await stashRing(manager, ring);
  await insertBoards(manager, demoBoards());
}
