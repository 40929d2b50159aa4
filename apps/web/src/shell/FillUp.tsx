import { edit } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';

/** Carries out an edit that left the stack short after all, with rings added on top. */
export function FillUp() {
  const dispatch = useActions();
  const offer = useApp((state) => state.piece.offer);
  if (!offer) return null;
  const command =
    offer.edit === 'height'
      ? edit.setRingHeight(offer.rings, offer.heightMm, true)
      : edit.removeRings(offer.rings, true);
  return <Button onClick={() => dispatch(editPiece(command))}>Do it and make up on top</Button>;
}
