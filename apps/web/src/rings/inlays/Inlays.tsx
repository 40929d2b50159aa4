import { edit, type Inlay, MOST_INLAYS, mm } from '@fellside/core';
import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { preparedOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Cautions } from '../../ui/Cautions.js';
import { InlayFields } from './InlayFields.js';
import { useMiddle } from './useMiddle.js';

/** A patch is begun so large that it covers a knot or a tear-out, and shows as meant. */
const PATCH = { shape: 'capsule', widthMm: mm(8), heightMm: mm(18) } as const;

/** Outlines let into the turned outside, and patches, in the order in which they are let in. */
export function Inlays() {
  const dispatch = useActions();
  const { inlays = [] } = useApp(projectOf);
  const prepared = useApp(preparedOf);
  const middle = useMiddle();
  const add = (change: Partial<Omit<Inlay, 'id'>>) =>
    dispatch(editPiece(edit.addInlay({ ...middle, ...change })));
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>Inlays{inlays.length > 0 ? ` (${inlays.length})` : ''}…</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label="Inlays"
          className="z-20 flex max-h-[70vh] w-190 max-w-[94vw] flex-col gap-3 overflow-y-auto rounded border border-line bg-raised p-3 shadow-lg"
        >
          <p className="text-sm text-quiet">
            When the outside is turned and sanded, a pocket is routed square to it, an insert of another wood
            is glued in and turned flush. A patch does the same over a knot or a chip; with a twin on the far
            side it looks meant.
          </p>
          {inlays.length > 0 && (
            <ol className="flex flex-col gap-4">
              {inlays.map((inlay, index) => (
                <InlayFields
                  key={inlay.id}
                  {...{ inlay, index }}
                  placed={prepared.ok ? prepared.value.inlays[index]?.placed : undefined}
                />
              ))}
            </ol>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <Button kind="main" disabled={inlays.length >= MOST_INLAYS} onClick={() => add({})}>
              <Plus aria-hidden size={14} /> Inlay
            </Button>
            <Button
              disabled={inlays.length >= MOST_INLAYS}
              onClick={() => add({ outline: PATCH, patch: true })}
            >
              <Plus aria-hidden size={14} /> Patch over a fault
            </Button>
            <span className="text-sm text-quiet">
              It is placed in the middle of the ring that is selected, where you look at it.
            </span>
          </div>
          {inlays.length > 0 && <Cautions ids={['router', 'lathe']} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
