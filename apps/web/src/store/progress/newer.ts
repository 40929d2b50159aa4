import { api } from '../api.js';
import { piece } from '../pieceSlice.js';
import type { Dispatch, State } from '../store.js';

/**
 * Takes in what another device saved of the open piece since, as long as nothing of this one is under way; what is under way is
 * brought together with it when it is saved. `revision` is the one that was heard of, where one was: what is known is not asked for again.
 */
export const takeNewer =
  (revision = Number.POSITIVE_INFINITY) =>
  async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const { id, revision: known } = getState().piece;
    if (!id || revision <= known || !isAtRest(getState())) return;
    const asked = { subscribe: false, forceRefetch: true } as const;
    const { data } = await dispatch(api.endpoints.project.initiate(id, asked));
    const now = getState();
    if (data && now.piece.id === id && isAtRest(now) && data.revision > now.piece.revision)
      dispatch(piece.opened(data));
  };

const isAtRest = ({ piece: { safety, preview } }: State): boolean => safety === 'saved' && preview === null;
