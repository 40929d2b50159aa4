import {
  type Command,
  edit,
  formatLength,
  type Mm,
  mm,
  parseLength,
  type Result,
  refuse,
  sentenceIn,
  type Thickness,
} from '@fellside/core';
import { Layers } from 'lucide-react';
import { Dialog, RadioGroup } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { api } from '../store/api.js';
import { editPiece } from '../store/edits.js';
import { projectOf, shopOf, unitsOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';

const WAYS = {
  height: ['By one height', 'every ring as thick as the boards you plane'],
  boards: ['By the boards on hand', 'in the order that takes the least wood'],
  hand: ['By hand', 'heights from the bottom up, the last one repeated'],
} as const;
type SliceWay = keyof typeof WAYS;

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
  const { rings } = useApp(projectOf);
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
      <div className="flex justify-end gap-2">
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
        <Button kind="main" type="submit">
          Slice
        </Button>
      </div>
    </form>
  );
}

const LABELS: Record<SliceWay, string> = {
  height: 'Height of every ring',
  boards: 'Planed thickness × how many rings it gives',
  hand: 'Heights from the bottom up',
};

interface Asked {
  readonly command: Command;
  /** The boards on hand, to be kept in the shop. */
  readonly stock?: readonly Thickness[] & { readonly [i: number]: { heightMm: Mm; rings: number } };
}

/** Reads what was typed for a way of slicing. */
function commandFor(way: SliceWay, text: string, read: (part: string) => Result<Mm>): Result<Asked> {
  const parts = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length === 0) return refuse('empty', way, 'Nothing is typed; give at least one height.');
  if (way !== 'boards') {
    const heights = parts.map(read);
    const bad = heights.find((height) => !height.ok);
    if (bad && !bad.ok) return bad;
    return {
      ok: true,
      value: { command: edit.sliceBy(heights.map((height) => (height.ok ? height.value : mm(0)))) },
    };
  }
  const stock: { heightMm: Mm; rings: number }[] = [];
  for (const part of parts) {
    const [height, count = '1'] = part.split(/[×x*]/i).map((piece) => piece.trim());
    const heightMm = read(height ?? '');
    if (!heightMm.ok) return heightMm;
    const rings = Number(count);
    if (!Number.isInteger(rings) || rings < 1 || rings > 400 || heightMm.value < 0.5)
      return refuse('board', way, `“${part}” is not a thickness × a number of rings; write it like 3/4 × 6.`);
    stock.push({ heightMm: heightMm.value, rings });
  }
  return { ok: true, value: { command: edit.sliceFromBoards(stock), stock } };
}
