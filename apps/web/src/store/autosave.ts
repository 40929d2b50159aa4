import type { Project } from '@fellside/core';
import { createListenerMiddleware } from '@reduxjs/toolkit';
import { api, type SavedProject, sentencesOf } from './api.js';
import { draftOf, dropDraft, keepDraft } from './drafts.js';
import { type PieceState, piece, pieceSlice } from './pieceSlice.js';

/** Pause in editing before a save, and between tries while the server is away (ms). */
const SETTLE = 350;
const RETRY = 2500;

interface Seen {
  readonly piece: PieceState;
}

const sameDocument = (a: Project, b: Project): boolean => JSON.stringify(a) === JSON.stringify(b);

export const autosave = createListenerMiddleware<Seen>();

/** Every edit is first kept in this browser, then, after a short pause, sent; a later edit starts the pause again. */
autosave.startListening({
  actionCreator: pieceSlice.actions.edited,
  effect: async (_, { getState, dispatch, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    const { id, revision, edited, safety } = getState().piece;
    if (!id || !edited) return;
    keepDraft(id, { revision, edited });
    if (safety === 'stale') return;
    await delay(SETTLE);
    await dispatch(saveNow() as never);
  },
});

let running: Promise<void> | null = null;

/** Saves the open piece, one request at a time, until what is on disk is what is shown. */
export const saveNow =
  () =>
  (dispatch: (action: unknown) => unknown, getState: () => Seen): Promise<void> => {
    running ??= drain(dispatch, getState).finally(() => {
      running = null;
    });
    return running;
  };

async function drain(dispatch: (action: unknown) => unknown, getState: () => Seen): Promise<void> {
  for (;;) {
    const { id, revision, edited, safety } = getState().piece;
    if (!id || !edited || (safety !== 'unsaved' && safety !== 'away')) return;
    dispatch(piece.saving());
    const body = { id, revision, document: edited.project, history: edited.history };
    const answer = (await dispatch(api.endpoints.saveProject.initiate(body))) as SaveAnswer;
    if (getState().piece.id !== id) return;
    if (answer.data) {
      dispatch(piece.saved({ revision: answer.data.revision, savedAt: answer.data.savedAt, sent: edited }));
      if (getState().piece.safety === 'saved') dropDraft(id);
      else keepDraft(id, { revision: answer.data.revision, edited: getState().piece.edited! });
      continue;
    }
    const other = answer.error?.status === 409 ? answer.error.data?.current : undefined;
    if (other && sameDocument(other.document, edited.project)) {
      dispatch(piece.saved({ revision: other.revision, savedAt: other.savedAt, sent: edited }));
      continue;
    }
    if (other) {
      dispatch(piece.stale(other));
      return;
    }
    const { status } = answer.error ?? {};
    if (typeof status === 'number' && status >= 400 && status < 500) {
      dispatch(
        piece.turnedDown(
          sentencesOf(answer.error).map((message) => ({ code: 'not-saved', path: '', message })),
        ),
      );
      return;
    }
    dispatch(piece.away());
    await new Promise((resolve) => setTimeout(resolve, RETRY));
  }
}

interface SaveAnswer {
  readonly data?: SavedProject;
  readonly error?: { readonly status: unknown; readonly data?: { readonly current?: SavedProject } };
}

/** Opens a piece as the server has it, and puts edits that never reached the server back on top. */
export const openPiece = (saved: SavedProject) => (dispatch: (action: unknown) => unknown) => {
  const draft = draftOf(saved.id);
  dispatch(piece.opened(saved));
  if (!draft) return;
  if (sameDocument(draft.edited.project, saved.document)) {
    dropDraft(saved.id);
    return;
  }
  dispatch(piece.edited({ edited: draft.edited, note: 'Edits that had not been saved were put back.' }));
  if (draft.revision !== saved.revision) dispatch(piece.stale(saved));
};
