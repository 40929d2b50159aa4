import { edit } from '@fellside/core';
import { Popover } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';

const FIELDS = [
  ['segment', 'From segment', 1],
  ['segments', 'Segments wide', 4],
  ['times', 'Times round', 1],
] as const;

/** A patch over the rings: within it their two commonest woods are exchanged. */
export function PatchTool({ targets }: { targets: readonly number[] }) {
  const dispatch = useActions();
  const [open, setOpen] = useState(false);
  const lay = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const given = new FormData(event.currentTarget);
    const number = (name: string) => Math.max(1, Math.round(Number(given.get(name)) || 1));
    const patch = { segment: number('segment') - 1, segments: number('segments'), times: number('times') };
    if (dispatch(editPiece(edit.patchRings(targets, patch))).ok) setOpen(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button>Patch…</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          className="z-20 w-64 rounded border border-line bg-raised p-3 shadow-lg"
        >
          <form onSubmit={lay} className="flex flex-col gap-2">
            <p className="text-sm text-quiet">
              In a patch the two woods that a ring has most of change places, spacers and segments alike.
            </p>
            {FIELDS.map(([name, label, usual]) => (
              <Field key={name} label={label}>
                {(control) => (
                  <input
                    {...control}
                    name={name}
                    type="number"
                    min={1}
                    max={360}
                    defaultValue={usual}
                    className={controlClass}
                  />
                )}
              </Field>
            ))}
            <Button kind="main" type="submit">
              Lay the patch
            </Button>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
