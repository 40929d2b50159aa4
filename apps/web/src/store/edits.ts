import { type Command, done, type Result, recorded, refuse, run, type Said } from '@fellside/core';
import { piece } from './pieceSlice.js';
import { rippedOf } from './selectors.js';
import type { Dispatch, State } from './store.js';

/** Carries out a command on the open piece; refused ones change nothing and are told. */
export const editPiece =
  (command: Command) =>
  (dispatch: Dispatch, getState: () => State): Result<null> => {
    const { edited } = getState().piece;
    if (!edited) return refuse('web:closed', '', 'No piece is open.');
    const change = run(edited.project, command, rippedOf(getState()));
    if (!change.ok) {
      dispatch(piece.refused(change.reasons));
      return change;
    }
    dispatch(
      piece.edited({
        edited: recorded(edited, change.value),
        ...(change.value.note && { note: change.value.note }),
      }),
    );
    return done(null);
  };

/** A step of a gesture: shown at once everywhere, but neither saved nor a step to undo before it ends. */
export const previewPiece = (command: Command) => (dispatch: Dispatch, getState: () => State) => {
  const { edited } = getState().piece;
  if (!edited) return;
  const change = run(edited.project, command, rippedOf(getState()));
  dispatch(change.ok ? piece.previewed(change.value) : piece.heldBack(change.reasons));
};

/** The gesture has ended: what it last led to is one edit. */
export const settlePreview = () => (dispatch: Dispatch, getState: () => State) => {
  const { edited, preview } = getState().piece;
  if (!edited || !preview) return;
  const { note } = preview;
  dispatch(piece.edited({ edited: recorded(edited, preview), ...(note && { note }) }));
};

/** Says why something typed could not be read; nothing is changed. */
export const refusedEntry =
  (message: Said) =>
  (dispatch: Dispatch): Result<never> => {
    const answer = refuse('web:not-read', '', message);
    if (!answer.ok) dispatch(piece.refused(answer.reasons));
    return answer;
  };
