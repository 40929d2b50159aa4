import { CircleHelp } from 'lucide-react';
import { Popover } from 'radix-ui';
import { termIn } from './terms.js';

/** What a label's term of the trade means, by a press on the mark behind it; nothing where it has none. */
export function Explain({ label }: { readonly label: string }) {
  const term = termIn(label);
  if (!term) return null;
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`What is meant by ${term.name}?`}
        className="-my-4 inline-flex items-center justify-center rounded px-0.5 text-quiet opacity-60 hover:opacity-100 focus-visible:opacity-100"
      >
        <CircleHelp aria-hidden size={12} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          aria-label={term.name}
          className="z-40 w-64 rounded border border-line bg-raised p-3 text-sm text-ink shadow-lg"
        >
          <b className="first-letter:uppercase">{term.name}</b>
          <p>{term.means}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
