import { broughtTogether, type Prevails, plain, recorded, type Said, sayList } from '@fellside/core';
import type { SavedProject } from './api.js';
import { type PieceState, piece } from './pieceSlice.js';

interface Seen {
  readonly piece: PieceState;
}

/**
 * Brings what another device saved together with what was edited here since both were the same. Where both changed the same and
 * nobody prevails nothing is done, and it says what that is; null where it is done.
 */
export function bringTogether(
  found: SavedProject,
  dispatch: (action: unknown) => unknown,
  getState: () => Seen,
  prevails: Prevails = null,
): Said | null {
  const { id, base, edited } = getState().piece;
  if (id !== found.id || !edited || !base) return 'What was edited here cannot be told from it.';
  const both = broughtTogether(base, edited.project, found.document, prevails);
  if (!both.ok) return both.reasons[0]!.message;
  const theirs = { project: found.document, history: found.history };
  const told = plain(sayList(both.value.both));
  const whose = prevails === 'mine' ? 'yours' : 'the other’s';
  const note = `Brought together with what another device saved${told ? `; ${whose} stands in ${told}` : ''}.`;
  dispatch(piece.merged({ found, edited: recorded(theirs, both.value.change), note }));
  return null;
}
