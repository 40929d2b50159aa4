import { type Command, done, type Result, recorded, redone, refuse, run, undone } from '@fellside/core';
import { type Offer, piece } from './pieceSlice.js';
import type { Dispatch, State } from './store.js';

/** Carries out a command on the open piece; refused ones change nothing and are told, with what may be done instead. */
export const editPiece =
  (command: Command, offer: Offer | null = null) =>
  (dispatch: Dispatch, getState: () => State): Result<null> => {
    const { edited } = getState().piece;
    if (!edited) return refuse('closed', '', 'No piece is open.');
    const change = run(edited.project, command);
    if (!change.ok) {
      dispatch(piece.refused({ reasons: change.reasons, offer }));
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

export const undo = () => (dispatch: Dispatch, getState: () => State) => {
  const { edited } = getState().piece;
  const step = edited?.history.past.at(-1);
  if (edited && step) dispatch(piece.edited({ edited: undone(edited), note: `Undone: ${step.label}.` }));
};

export const redo = () => (dispatch: Dispatch, getState: () => State) => {
  const { edited } = getState().piece;
  const step = edited?.history.future.at(-1);
  if (edited && step) dispatch(piece.edited({ edited: redone(edited), note: `Done again: ${step.label}.` }));
};

/** Says why something typed could not be read; nothing is changed. */
export const refusedEntry =
  (message: string) =>
  (dispatch: Dispatch): Result<never> => {
    const answer = refuse('not-read', '', message);
    if (!answer.ok) dispatch(piece.refused({ reasons: answer.reasons, offer: null }));
    return answer;
  };
