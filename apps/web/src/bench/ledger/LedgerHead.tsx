import { Columns3 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { look } from '../../store/lookSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { PaneTitle } from '../PaneTitle.js';
import { LOOKS, visibility } from './looks.js';

/** What the ledger is, and which of its columns are shown. */
export function LedgerHead({ short }: { short: boolean }) {
  return (
    <div className="flex items-start justify-between gap-2">
      <PaneTitle
        title="Ring ledger"
        says={short ? 'type in a cell; Enter to set' : 'Enter on a number opens the ring’s plan'}
      />
      {!short && <ColumnChoice />}
    </div>
  );
}

function ColumnChoice() {
  const dispatch = useActions();
  const chosen = useApp((state) => state.look.columns);
  const shown = visibility(false, chosen);
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="Choose columns"
        title="Choose columns"
        className="rounded border border-line bg-raised p-1 hover:border-quiet"
      >
        <Columns3 aria-hidden size={14} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="bottom"
          align="end"
          aria-label="Columns of the ledger"
          className="z-20 rounded border border-line bg-raised p-3 shadow-lg"
        >
          <fieldset className="flex flex-col gap-1.5">
            <legend className="mb-1 font-semibold">Columns</legend>
            {Object.entries(LOOKS).map(([id, { says }]) => (
              <label key={id} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="accent-teal"
                  checked={shown[id]}
                  onChange={(event) => dispatch(look.column({ id, shown: event.target.checked }))}
                />
                {says}
              </label>
            ))}
          </fieldset>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
