import { START_IDS, STARTS, type StartId } from '@fellside/core';
import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { StartPicture } from './StartPicture.js';

interface StartChoiceProps {
  /** The starting point that the rings are nearest to; null where they differ. */
  readonly start: StartId | null;
  /** What they are called; null where they differ. */
  readonly called: string | null;
  readonly onChoose: (start: StartId) => void;
}

/** How rings are made, chosen by pictures of what comes out. */
export function StartChoice({ start, called, onChoose }: StartChoiceProps) {
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <span id={id} className="text-xs text-quiet">
        Made as
      </span>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <button
            type="button"
            aria-labelledby={`${id} ${id}-now`}
            className="flex h-8 w-52 items-center gap-2 rounded border border-line bg-raised px-2 text-left"
          >
            {start && <StartPicture start={start} className="h-5 w-9 shrink-0" />}
            <span
              id={`${id}-now`}
              title={called ?? undefined}
              className="line-clamp-2 flex-1 text-[13px] leading-[15px]"
            >
              {called ?? 'various'}
            </span>
            <ChevronDown aria-hidden size={14} />
          </button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            collisionPadding={8}
            aria-label="Starting points of a ring"
            className="z-20 max-h-[78vh] w-190 max-w-[94vw] overflow-y-auto rounded border border-line bg-raised p-2 shadow-lg"
          >
            <div className="grid grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] gap-1">
              {START_IDS.map((each) => (
                <OneStart
                  key={each}
                  start={each}
                  on={each === start}
                  onChoose={() => {
                    setOpen(false);
                    onChoose(each);
                  }}
                />
              ))}
            </div>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

function OneStart({ start, on, onChoose }: { start: StartId; on: boolean; onChoose: () => void }) {
  const { name, says } = STARTS[start];
  return (
    <button
      type="button"
      aria-pressed={on}
      aria-label={name}
      title={says}
      onClick={onChoose}
      className={`flex flex-col items-center gap-1 rounded border p-1.5 text-center text-xs hover:bg-pane ${
        on ? 'border-teal bg-pane font-semibold' : 'border-transparent'
      }`}
    >
      <StartPicture start={start} className="h-13 w-24" />
      {name}
    </button>
  );
}
