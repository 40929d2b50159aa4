import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from '../../ui/Button.js';

interface JointPanelProps {
  /** What stands on the button that opens it, and what it is called where that says too little. */
  readonly shown: ReactNode;
  readonly name?: string;
  /** What the panel is called. */
  readonly called: string;
  readonly says: string;
  /** Segments of the ring: it has as many joints. */
  readonly count: number;
  readonly joint: (joint: number) => ReactNode;
  readonly children: ReactNode;
}

/** A panel with a button for every joint of a ring, and what is set of them below. */
export function JointPanel({ shown, name, called, says, count, joint, children }: JointPanelProps) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className="self-end" {...(name && { 'aria-label': name })}>
          {shown}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={called}
          className="z-20 flex max-h-[60vh] w-90 max-w-[94vw] flex-col gap-3 overflow-y-auto rounded border border-line bg-raised p-3 shadow-lg"
        >
          <fieldset className="grid grid-cols-8 gap-1">
            <legend className="mb-1 text-xs text-quiet">{says}</legend>
            {Array.from({ length: count }, (_, at) => joint(at))}
          </fieldset>
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
