import {
  parseLength,
  type Reason,
  reasonsOf,
  type Said,
  STARTS,
  type StashEntry,
  stashedRingSchema,
  type UnitSystem,
} from '@fellside/core';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { Entry, useUnitName } from '../shelf/fields.js';
import { api, sentencesOf } from '../store/api.js';
import { unitsOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { SheetFoot } from '../ui/SheetFoot.js';
import { Wrong } from '../ui/Wrong.js';

/** A ring on hand that was not made for a piece here: flat segments of up to two woods in turn. */
export function AddRing() {
  const units = useApp(unitsOf);
  const unit = useUnitName();
  const woods = useApp(woodsOf);
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState<readonly Said[]>([]);
  const [add] = api.useAddToStashMutation();
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>;
    const read = entryFrom(typed, units);
    if (!read.ok) return setWrong(read.reasons.map(({ message }) => message));
    const answer = await add(read.entry);
    if (answer.error) return setWrong(sentencesOf(answer.error));
    setWrong([]);
    setOpen(false);
  };
  const choice = (name: string, label: string, empty?: string) => (
    <Field label={label}>
      {(control) => (
        <select {...control} name={name} className={controlClass}>
          {empty && <option value="">{empty}</option>}
          {woods.map((wood) => (
            <option key={wood.id} value={wood.id}>
              {wood.name}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>
          <Plus aria-hidden size={14} /> Ring on hand
        </Button>
      </Dialog.Trigger>
      <Sheet
        title="A ring on hand"
        says={`${STARTS.flat.name} of one wood or two in turn, measured as it lies there; lengths in ${unit}. Rings of other kinds go into the stash from a piece.`}
      >
        <form onSubmit={submit} className="grid grid-cols-2 items-end gap-3">
          <div className="col-span-2">
            <Entry name="name" label="What it is called" value="" />
          </div>
          <Entry name="outer" label="Outside diameter, across the flats" value="" />
          <Entry name="inner" label="Hole, corner to corner" value="" />
          <Entry name="height" label="Height" value="" />
          <Entry name="count" label="Segments" value="12" numeric />
          {choice('wood', 'Wood')}
          {choice('second', 'Every other segment', 'the same wood')}
          <Wrong sentences={wrong} />
          <SheetFoot main="Add" />
        </form>
      </Sheet>
    </Dialog.Root>
  );
}

type Read =
  | { readonly ok: true; readonly entry: StashEntry }
  | { readonly ok: false; readonly reasons: readonly Reason[] };

/** What was typed as a ring; judged by the schema of the stash. */
function entryFrom(typed: Record<string, string>, units: UnitSystem): Read {
  const lengths = (['outer', 'inner', 'height'] as const).map((key) =>
    parseLength(typed[key] ?? '', units, key),
  );
  const unread = lengths.flatMap((length) => (length.ok ? [] : length.reasons));
  if (unread.length > 0) return { ok: false, reasons: unread };
  const [outer, inner, height] = lengths.map((length) => Number(length.ok ? length.value : 0)) as [
    number,
    number,
    number,
  ];
  const count = Number(typed.count);
  const many = Number.isInteger(count) && count > 0 && count < 1000 ? count : 1;
  const parsed = stashedRingSchema.safeParse({
    name: typed.name,
    outerRadiusMm: outer / 2,
    innerRadiusMm: inner / 2,
    heightMm: height,
    species: Array.from({ length: many }, (_, i) =>
      i % 2 === 1 && typed.second ? typed.second : typed.wood,
    ),
    of: { way: 'segmented', count },
  });
  return parsed.success ? { ok: true, entry: parsed.data } : { ok: false, reasons: reasonsOf(parsed.error) };
}
