import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';

const Starts = lazy(async () => ({ default: (await import('./Starts.js')).Starts }));

/** A new piece: a shape to start from, or the rings. */
export function NewPiece() {
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <Button kind="main">
          <Plus aria-hidden size={16} /> New piece
        </Button>
      </Dialog.Trigger>
      <Sheet size="plan" title="New piece" says="A start; everything can be changed afterwards.">
        <Suspense fallback={<p className="text-quiet">Opening…</p>}>
          <Starts />
        </Suspense>
      </Sheet>
    </Dialog.Root>
  );
}
