import { redone, undone } from '@fellside/core';
import { piece } from './pieceSlice.js';
import type { Dispatch, State } from './store.js';

/** Takes the last step back. */
export const undo = () => (dispatch: Dispatch, getState: () => State) => {
  const { edited } = getState().piece;
  const step = edited?.history.past.at(-1);
  if (edited && step) dispatch(piece.edited({ edited: undone(edited), note: `Undone: ${step.label}.` }));
};

/** Does it again. */
export const redo = () => (dispatch: Dispatch, getState: () => State) => {
  const { edited } = getState().piece;
  const step = edited?.history.future.at(-1);
  if (edited && step) dispatch(piece.edited({ edited: redone(edited), note: `Done again: ${step.label}.` }));
};
