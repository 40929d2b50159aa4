import { formatLength, type Mm, parseLength, sentenceIn } from '@fellside/core';
import { Layers } from 'lucide-react';
import { Dialog, RadioGroup } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { api } from '../store/api.js';
import { editPiece } from '../store/edits.js';
import { projectOf, shopOf, unitsOf } from '../store/house.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { SheetFoot } from '../ui/SheetFoot.js';
import { commandFor, LABELS, type SliceWay, WAYS } from './slice.js';

/** Slices the whole form into rings; locked ones keep their height and place. */
export function SliceDialog() {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>
          <Layers aria-hidden size={14} /> Slice…
        </Button>
      </Dialog.Trigger>
      <Sheet
        title="Slice the form into rings"
        says="Colours and ways of making are kept height by height; locked rings stay."
      >
        <SliceForm onDone={() => setOpen(false)} />
      </Sheet>
    </Dialog.Root>
  );
}

function SliceForm({ onDone }: { onDone: () => void }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const shop = useApp(shopOf);
  const rings = useApp((state) => projectOf(state).rings);
  const [setShop] = api.useSetShopMutation();
  const [way, setWay] = useState<SliceWay>('height');
  const [wrong, setWrong] = useState<string>();
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const text = String(new FormData(event.currentTarget).get(way) ?? '');
    const asked = commandFor(way, text, (part) => parseLength(part, units, 'Height'));
    const answer = asked.ok ? dispatch(editPiece(asked.value.command)) : asked;
    if (!answer.ok) return setWrong(sentenceIn(answer.reasons[0]!.message, units));
    if (asked.ok && asked.value.stock) setShop({ ...shop, thicknesses: [...asked.value.stock] });
    dispatch(session.selected([]));
    onDone();
  };
  const say = (height: Mm) => formatLength(height, units).replace(/["+−]|\s?mm/g, '');
  const usual: Record<SliceWay, string> = {
    height: say(rings[rings.length - 1]!.heightMm),
    boards: shop.thicknesses.map(({ heightMm, rings: n }) => `${say(heightMm)} × ${n}`).join('; '),
    hand: rings.map(({ heightMm }) => say(heightMm)).join('; '),
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-4">
      <RadioGroup.Root
        aria-label="How to slice"
        value={way}
        onValueChange={(next) => setWay(next as SliceWay)}
        className="flex flex-col gap-1.5"
      >
        {(Object.keys(WAYS) as SliceWay[]).map((key) => (
          <label key={key} htmlFor={`slice-${key}`} className="flex items-baseline gap-2">
            <RadioGroup.Item
              id={`slice-${key}`}
              value={key}
              className="size-4 translate-y-0.5 rounded-full border border-quiet bg-raised data-[state=checked]:border-5 data-[state=checked]:border-teal"
            />
            <b className="font-semibold">{WAYS[key][0]}</b>
            <span className="text-quiet">{WAYS[key][1]}</span>
          </label>
        ))}
      </RadioGroup.Root>
      <Field
        label={LABELS[way]}
        problem={wrong}
        hint={way === 'height' ? undefined : 'Put semicolons between them.'}
      >
        {(control) => (
          <input
            {...control}
            key={way}
            name={way}
            defaultValue={usual[way]}
            autoComplete="off"
            className={controlClass}
            onChange={() => setWrong(undefined)}
          />
        )}
      </Field>
      <SheetFoot main="Slice" />
    </form>
  );
}
