import type { Safety } from '../store/pieceSlice.js';
import { useApp } from '../store/store.js';

const SAYS: Record<Exclude<Safety, 'saved'>, string> = {
  unsaved: 'saving…',
  saving: 'saving…',
  away: 'not saved: the server does not answer. Your edits are kept in this browser and tried again.',
  stale: 'not saved: changed in another window',
  refused: 'not saved: the server refused it. Your edits are kept in this browser.',
};

/** Whether the piece is on disk, in plain words. */
export function SavedSign() {
  const { safety, savedAt } = useApp((state) => state.piece);
  const time = savedAt && new Date(savedAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  return (
    <span
      role="status"
      data-safety={safety}
      className={`truncate text-sm ${['away', 'stale', 'refused'].includes(safety) ? 'text-[#ffb38f]' : 'text-bar-quiet'}`}
    >
      {safety === 'saved' ? `saved ${time}` : SAYS[safety]}
    </span>
  );
}
