import { sentenceIn } from '@fellside/core';
import { X } from 'lucide-react';
import { unitsOf } from '../store/house.js';
import { piece } from '../store/pieceSlice.js';
import { useActions, useApp } from '../store/store.js';

/** Why the last edit was refused, or what it changed besides; one line above the foot bar. */
export function Messages() {
  const dispatch = useActions();
  const note = useApp((state) => state.piece.note);
  const refused = useApp((state) => state.piece.refused);
  const units = useApp(unitsOf);
  const sentences =
    refused.length > 0 ? refused.slice(0, 3).map(({ message }) => message) : note ? [note] : [];
  return (
    <div aria-live="polite">
      {sentences.length > 0 && (
        <div
          className={`flex items-center gap-3 border-t px-4 py-1.5 ${refused.length > 0 ? 'border-rust bg-rust-wash text-rust' : 'border-line bg-teal-wash text-ink'}`}
        >
          <p className="flex-1">{sentences.map((sentence) => sentenceIn(sentence, units)).join(' ')}</p>
          <button
            type="button"
            aria-label="Dismiss the message"
            className="p-1"
            onClick={() => dispatch(piece.dismissed())}
          >
            <X aria-hidden size={16} />
          </button>
        </div>
      )}
    </div>
  );
}
