import { pendingOf, type Seen, type Tell } from './autosave.js';
import { outbox } from './outboxSlice.js';
import { piece } from './pieceSlice.js';

/** Puts the open piece away; what of it is not saved yet goes on being saved. */
export const leavePiece = () => (dispatch: Tell, getState: () => Seen) => {
  const { piece: open } = getState();
  const pending = open.id === null ? null : pendingOf(getState(), open.id);
  if (pending) dispatch(outbox.left(pending));
  if (open.id !== null) dispatch(piece.closed());
};
