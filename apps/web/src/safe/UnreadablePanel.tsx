import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { houseApi, type UnreadableRow } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { momentOf } from '../ui/times.js';
import { Panel } from './Panel.js';

const SORTS: Record<UnreadableRow['sort'], string> = {
  wood: 'A wood of your own',
  board: 'A board on hand',
  stash: 'A ring of the stash',
  pattern: 'A kept pattern',
  shop: 'The shop’s figures (the usual ones are used)',
};

/** What lies beside the pieces and cannot be read; nothing is shown where all of it can. */
export function UnreadablePanel() {
  const { data: rows = [] } = houseApi.useUnreadableQuery();
  const [remove] = houseApi.useRemoveUnreadableMutation();
  const [said, setSaid] = useState('');
  const [asked, setAsked] = useState<UnreadableRow | null>(null);
  if (rows.length === 0 && !said) return null;
  const take = async (row: UnreadableRow) => {
    setAsked(null);
    const { error } = await remove(row);
    setSaid(error ? sentencesOf(error).join(' ') : 'It was taken away for good.');
  };
  return (
    <Panel title="What cannot be read">
      <p className="text-sm text-quiet">
        It is left out of its list and stays as it is, in backups too. Save its text before you take it away.
      </p>
      <ul className="mt-2 flex flex-col gap-2">
        {rows.map((row) => (
          <li key={`${row.sort} ${row.id}`} className="flex flex-wrap items-center gap-2">
            <span className="flex-1">
              {SORTS[row.sort]}
              {row.savedAt && <span className="text-quiet">, {momentOf(row.savedAt)}</span>}
            </span>
            <a
              className="underline"
              href={`/api/unreadable/${row.sort}/${encodeURIComponent(row.id)}`}
              download
            >
              Save its text
            </a>
            <Button onClick={() => setAsked(row)}>Take away for good…</Button>
          </li>
        ))}
      </ul>
      <p role="status" className="mt-1 text-sm">
        {said}
      </p>
      {asked && (
        <Dialog.Root open onOpenChange={(now) => !now && setAsked(null)}>
          <Sheet
            title={`${SORTS[asked.sort]}: take it away for good?`}
            says="What is stored of it is deleted. Its text, if you saved it, or a backup can bring it back."
          >
            <div className="flex justify-end gap-2">
              <Button onClick={() => setAsked(null)}>Leave it here</Button>
              <Button kind="main" onClick={() => void take(asked)}>
                Take it away for good
              </Button>
            </div>
          </Sheet>
        </Dialog.Root>
      )}
    </Panel>
  );
}
