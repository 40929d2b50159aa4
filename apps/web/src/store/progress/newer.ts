import { api } from '../api.js';
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
