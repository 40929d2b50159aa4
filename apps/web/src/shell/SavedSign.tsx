import { woodsOf } from '../store/house.js';
import type { Safety } from '../store/saving.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';

const SAYS: Record<Exclude<Safety, 'saved' | 'away'>, string> = {
  unsaved: 'saving…',
  saving: 'saving…',
  stale: 'not saved: changed elsewhere',
  refused: 'not saved: the server refused it.',
};
const LOUD: readonly Safety[] = ['away', 'stale', 'refused'];

/** Whether the piece is on disk, in plain words, and where its edits are while it is not. */
export function SavedSign() {
  const safety = useApp((state) => state.piece.safety);
  const savedAt = useApp((state) => state.piece.savedAt);
  const trouble = useApp((state) => state.piece.trouble);
  const kept = useApp((state) => state.piece.kept);
  const edited = useApp((state) => state.piece.edited);
  const woods = useApp(woodsOf);
  const time = savedAt && new Date(savedAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  const loud = LOUD.includes(safety);
  const says =
    safety === 'saved'
      ? `saved ${time}`
      : safety === 'away'
        ? `not saved: ${trouble ?? 'the server does not answer'}.`
        : SAYS[safety];
  const where =
    kept === 'nowhere'
      ? 'Not kept anywhere: this browser has no room for your edits. Save them as a file.'
      : 'Your edits are kept in this browser and tried again.';
  // It came with the piece (Conflict.tsx): there is no server to fetch it from now.
  const save = async () => {
    const { saveProject } = await import('../store/saveProject.js');
    if (edited) saveProject(edited.project, woods);
  };
  return (
    <>
      <span
        role="status"
        data-safety={safety}
        data-kept={kept}
        className={`truncate text-sm ${loud ? 'text-[#ffb38f]' : 'text-bar-quiet'}`}
        title={loud ? `${says} ${where}` : undefined}
      >
        {loud ? `${says} ${where}` : says}
      </span>
      {loud && kept === 'nowhere' && (
        <Button kind="bar" onClick={save}>
          Save as a file
        </Button>
      )}
    </>
  );
}
