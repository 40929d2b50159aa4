import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { Button } from '../ui/Button.js';
import { AddRing } from './AddRing.js';
import { StashTable } from './StashTable.js';

/** The rings on hand, for all pieces: add one that is made, throw one away. */
export function StashPanel() {
  const { data: rings = [] } = api.useStashQuery();
  const [remove] = api.useRemoveFromStashMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const takeOut = (item: string) =>
    remove(item)
      .unwrap()
      .then(() => setTrouble([]))
      .catch((error) => setTrouble(sentencesOf(error)));
  return (
    <section aria-label="Rings in the stash" className="mb-6">
      <div className="mb-3 flex items-center gap-4">
        <h2 className="text-xl font-semibold">Rings in the stash</h2>
        <p className="text-quiet">Made already, for any piece. A ring is in one piece at a time.</p>
        <div className="flex-1" />
        <AddRing />
      </div>
      {trouble.length > 0 && (
        <p role="alert" className="mb-3 text-rust">
          {trouble.join(' ')}
        </p>
      )}
      <div className="rounded border border-line bg-pane p-2">
        <StashTable
          rings={rings}
          act={({ item, name, usedBy }) =>
            usedBy ? (
              <span className="text-quiet">in {usedBy.name}</span>
            ) : (
              <Button
                className="h-6! px-1.5!"
                aria-label={`Throw away ${name}`}
                onClick={() => takeOut(item)}
              >
                <Trash2 aria-hidden size={12} />
              </Button>
            )
          }
        />
      </div>
    </section>
  );
}
