import { useState } from 'react';
import { Link } from 'react-router';
import type { ShelvedProject } from '../store/api.js';
import { dropDraft } from '../store/drafts.js';
import { woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import type { Unsent } from '../store/useUnsent.js';
import { Button } from '../ui/Button.js';
import { ageOf } from '../ui/times.js';

/** Pieces whose edits are in this browser only: to be opened, or, where the piece is gone, saved as a file. */
export function UnsentPieces({ unsent, onShelf }: { unsent: Unsent; onShelf: readonly ShelvedProject[] }) {
  const woods = useApp(woodsOf);
  const [dropped, setDropped] = useState<readonly string[]>([]);
  const lost = [...unsent.pieces].filter(([id]) => !dropped.includes(id));
  if (lost.length === 0) return null;
  const save = async (id: string) => {
    const { saveDraft } = await import('../store/saveProject.js');
    await saveDraft(id, woods);
  };
  const drop = async (id: string) => {
    const { draftsOf } = await import('../store/keptDrafts.js');
    for (const { window } of await draftsOf(id)) await dropDraft(id, window);
    setDropped([...dropped, id]);
  };
  return (
    <section aria-label="Edits that are not saved yet" className="mb-4 rounded bg-rust-wash p-3">
      <p className="font-semibold text-rust">
        {unsent.sending > 0 ? 'Still being saved:' : 'These edits are in this browser only:'}
      </p>
      <ul>
        {lost.map(([id, { name, at }]) => (
          <li key={id} className="flex flex-wrap items-center gap-3 py-1">
            <span className="flex-1">
              {name} {at && <span className="text-quiet">· {ageOf(at)}</span>}
            </span>
            {onShelf.some((piece) => piece.id === id) ? (
              <Link to={`/piece/${id}/form`} className="text-teal underline">
                Open it with them
              </Link>
            ) : (
              <Button onClick={() => drop(id)}>Drop them</Button>
            )}
            <Button onClick={() => save(id)}>Save them as a file</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
