import { edit } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { projectOf } from '../store/house.js';
import { planOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { SheetFoot } from '../ui/SheetFoot.js';

interface PutInStashProps {
  readonly ring: number;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

/** Puts a ring like one of the piece into the stash: made too many of, or left over. */
export function PutInStash({ ring, open, onOpen }: PutInStashProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      {open && (
        <Sheet
          title="Put a ring in the stash"
          says={`A ring like ring ${ring + 1}, made and left over: its sizes as measured or planned, its woods as they are now.`}
        >
          <Form ring={ring} onDone={() => onOpen(false)} />
        </Sheet>
      )}
    </Dialog.Root>
  );
}

function Form({ ring, onDone }: { ring: number; onDone: () => void }) {
  const project = useApp(projectOf);
  const plan = useApp(planOf);
  const [add] = api.useAddToStashMutation();
  const [name, setName] = useState(`${project.name}, ring ${ring + 1}`.slice(0, 60));
  const [trouble, setTrouble] = useState<string[]>([]);
  const gives = plan.ok ? plan.value.rings[ring]?.gives : null;
  const stashed = gives && edit.asStashed(project, ring, gives, 'new', name);
  const put = async () => {
    if (!stashed) return;
    const { item: _, ...entry } = stashed;
    try {
      await add({ ...entry, species: [...entry.species] }).unwrap();
      onDone();
    } catch (error) {
      setTrouble(sentencesOf(error));
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
    >
      <Field label="What it is called" problem={trouble.join(' ') || undefined}>
        {(control) => (
          <input
            {...control}
            className={`${controlClass} w-full`}
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
          />
        )}
      </Field>
      <div className="mt-4">
        <SheetFoot main="Put it in the stash" />
      </div>
    </form>
  );
}
