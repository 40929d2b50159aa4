import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useActions, useApp } from '../store/store.js';
import { redo, undo } from '../store/undoing.js';

/** So many edits are listed either way. */
const MOST = 30;

/** The edits of the piece by their names, the last first: one press goes back to before it, or forward again. */
export function EditList() {
  const dispatch = useActions();
  const history = useApp((state) => state.piece.edited?.history);
  if (!history) return null;
  const past = history.past.slice(-MOST).reverse();
  const future = history.future.slice(-MOST);
  const go = (steps: number) => {
    for (let i = 0; i < Math.abs(steps); i++) dispatch(steps < 0 ? undo() : redo());
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="Edits"
        title="Edits by their names"
        disabled={past.length + future.length === 0}
        className="inline-flex h-8 items-center rounded border border-[#5b6a6c] px-1 hover:border-on-bar disabled:opacity-50 max-sm:hidden"
      >
        <ChevronDown aria-hidden size={16} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          aria-label="Edits"
          className="z-20 max-h-[70vh] w-80 overflow-auto rounded border border-line bg-raised p-2 text-ink shadow-lg"
        >
          <ol>
            {future.map(({ label }, i) => (
              <Edit key={`later ${i}`} says={`Redo: ${label}`} quiet onGo={() => go(future.length - i)} />
            ))}
            <li className="border-y border-line px-2 py-1 text-sm text-quiet">The piece as it is</li>
            {past.map(({ label }, i) => (
              <Edit key={`past ${i}`} says={`Undo: ${label}`} onGo={() => go(-(i + 1))} />
            ))}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const Edit = ({ says, quiet = false, onGo }: { says: string; quiet?: boolean; onGo: () => void }) => (
  <li>
    <Popover.Close
      className={`min-h-9 w-full rounded px-2 text-left hover:bg-teal-wash ${quiet ? 'text-quiet' : ''}`}
      onClick={onGo}
    >
      {says}
    </Popover.Close>
  </li>
);
