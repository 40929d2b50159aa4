import { edit, stashUsedBy } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { StashTable } from '../stash/StashTable.js';
import { api, type ListedRing } from '../store/api.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';

interface StashDialogProps {
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  /** The ring that one from the stash takes the place of, by index. */
  readonly ring: number;
}

/** The rings that are made already; one of them takes the place of a ring of the piece. */
export function StashDialog({ open, onOpen, ring }: StashDialogProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      {open && (
        <Sheet
          size="plan"
          title="Rings in the stash"
          says={`Made already, with real sizes and woods. Pick one to take the place of ring ${ring + 1}.`}
        >
          <Choose ring={ring} onDone={() => onOpen(false)} />
        </Sheet>
      )}
    </Dialog.Root>
  );
}

function Choose({ ring, onDone }: { ring: number; onDone: () => void }) {
  const dispatch = useActions();
  const { data: rings = [] } = api.useStashQuery();
  const id = useApp((state) => state.piece.id);
  const here = stashUsedBy(useApp(projectOf));
  const use = ({ usedBy: _, ...stashed }: ListedRing) => {
    if (dispatch(editPiece(edit.useStashed(ring, stashed))).ok) onDone();
  };
  return (
    <>
      <StashTable
        rings={rings}
        act={(stashed) => {
          const elsewhere = stashed.usedBy && stashed.usedBy.id !== id ? stashed.usedBy.name : null;
          if (elsewhere) return <span className="text-quiet">in {elsewhere}</span>;
          if (here.has(stashed.item))
            return <span className="text-quiet">is ring {here.get(stashed.item)! + 1}</span>;
          return (
            <Button kind="main" onClick={() => use(stashed)}>
              Use as ring {ring + 1}
            </Button>
          );
        }}
      />
      <div className="mt-4 flex justify-end">
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
      </div>
    </>
  );
}
