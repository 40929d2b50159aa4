import { edit } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../store/edits.js';
import { useActions, useApp } from '../store/store.js';

/** The name of the open piece, to be typed over. */
export function PieceName() {
  const dispatch = useActions();
  const name = useApp((state) => state.piece.edited?.project.name ?? '');
  const [typed, setTyped] = useState<string | null>(null);
  const settle = () => {
    if (typed !== null && typed.trim() !== name) dispatch(editPiece(edit.rename(typed)));
    setTyped(null);
  };
  return (
    <input
      aria-label="Name of the piece"
      className="field-sizing-content h-8 min-w-12 max-w-80 rounded border border-transparent bg-transparent px-1 text-on-bar hover:border-[#5b6a6c]"
      value={typed ?? name}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
