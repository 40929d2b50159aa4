import { api } from '../api.js';
import { savedFirst } from '../autosave.js';
import { dropDraft } from '../drafts.js';
import { piece } from '../pieceSlice.js';
import type { Dispatch, State } from '../store.js';

/**
 * Takes in what another device saved of the open piece since, as long as nothing of this one is under way: a ring that is cut there changes the document,
 * and an edit on an old one would be at odds with it.
 */
export const takeNewer =
  () =>
  async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const { id, safety } = getState().piece;
    if (!id || safety !== 'saved') return;
    const asked = { subscribe: false, forceRefetch: true } as const;
    const { data } = await dispatch(api.endpoints.project.initiate(id, asked));
    const now = getState().piece;
    if (data && now.id === id && now.safety === 'saved' && data.revision > now.revision)
      dispatch(piece.opened(data));
  };

/** So often an edit is made anew on what another device saved meanwhile. */
const MOST_ANEW = 6;

/**
 * Makes an edit that follows from what was counted on the newest document, and saves it; where another device saved in the same moment, what
 * that saved is taken in and the edit made on it. Where other edits are under way here it goes with them.
 */
export const onNewest =
  (follow: () => void) =>
  async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    for (let tries = 1; ; tries++) {
      await dispatch(takeNewer());
      const { id, safety, edited: was } = getState().piece;
      follow();
      const { edited: mine } = getState().piece;
      if (!id || safety !== 'saved' || mine === was || (await dispatch(savedFirst(id)))) return;
      const { id: open, safety: now, other, edited } = getState().piece;
      if (open !== id || now !== 'stale' || other?.what !== 'changed' || edited !== mine) return;
      // Then they are at odds, and it is told.
      if (tries === MOST_ANEW) return;
      await dropDraft(id);
      dispatch(piece.opened(other.piece));
    }
  };
