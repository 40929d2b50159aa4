import { demoBoards, demoJournal, demoProjects, demoStash, inMillimetres } from '@fellside/core/demo';
import type { EntityManager } from 'typeorm';
import { insertBoards } from '../boards/boards.service.js';
import { insertEntries } from '../journal/journal.service.js';
import { insertPiece } from '../projects/writing.js';
import { shopIn } from '../shop/shop.controller.js';
import { stashRing } from '../stash/stash.service.js';

/** Puts the pieces, rings and boards of the show into a house that has none, round in the units that it measures in. */
export async function fillShelf(manager: EntityManager): Promise<void> {
  const { units } = await shopIn(manager);
  const round = units === 'mm' ? inMillimetres : <T>(given: T): T => given;
  const journal = demoJournal();
  for (const piece of demoProjects(units).reverse()) {
    const { id } = await insertPiece(manager, piece);
    if (piece.name === journal.piece) await insertEntries(manager, id, journal.entries);
  }
  for (const ring of round(demoStash())) await stashRing(manager, ring);
  await insertBoards(manager, round(demoBoards()));
}
