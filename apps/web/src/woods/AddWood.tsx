import { reasonsOf, type Said, type Species, speciesSchema } from '@fellside/core';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { SheetFoot } from '../ui/SheetFoot.js';
import { Wrong } from '../ui/Wrong.js';

const FIELDS = [
  ['name', 'Name', 'text', ''],
  ['latin', 'Botanical name (may be empty)', 'text', ''],
  ['letter', 'Letter, one or two', 'text', ''],
  ['colour', 'Colour of the finished face', 'color', '#c9a06a'],
  ['agedColour', 'Colour it ages to in light', 'color', '#a5713f'],
  ['halfYears', 'Half of the way after, years (empty: it stays)', 'text', ''],
  ['specificGravity', 'Specific gravity at 12 %', 'text', '0.6'],
  ['radial', 'Shrinkage radial, % (may be empty)', 'text', ''],
  ['tangential', 'Shrinkage tangential, %', 'text', ''],
  ['hatchAngle', 'Hatch angle, °', 'text', '75'],
  ['ringMm', 'Growth lines apart, mm (may be empty)', 'text', ''],
  ['contrast', 'Late wood darker by, %', 'text', '15'],
  ['dust', 'Dust caution (may be empty)', 'text', ''],
] as const;

const number = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')));

/** What was typed as a species; judged by the schema afterwards. */
function speciesFrom(typed: Record<string, string>): unknown {
  const given = (key: string) => (typed[key] ?? '').trim();
  const shrinkage =
    given('radial') || given('tangential')
      ? { radial: number(given('radial')), tangential: number(given('tangential')) }
      : null;
  return {
    id: given('name')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40),
    name: given('name'),
    latin: given('latin'),
    letter: given('letter'),
    hatch: { angle: number(given('hatchAngle')), gap: 7, line: 'dashed' },
    colour: given('colour'),
    ...(given('halfYears') && {
      aged: { colour: given('agedColour'), halfYears: number(given('halfYears')) },
    }),
    ...(given('ringMm') && {
      figure: {
        ringMm: number(given('ringMm')),
        contrast: number(given('contrast')),
        pores: given('pores'),
      },
    }),
    specificGravity: number(given('specificGravity')),
    shrinkage,
    dust: given('dust') || null,
    bleeds: typed.bleeds === 'on',
    source: 'entered here',
  };
}

/** A wood of the user's own. */
export function AddWood() {
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState<readonly Said[]>([]);
  const [add] = api.useAddWoodMutation();
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const parsed = speciesSchema.safeParse(
      speciesFrom(Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>),
    );
    if (!parsed.success) return setWrong(reasonsOf(parsed.error).map(({ message }) => message));
    const answer = await add(parsed.data as Species);
    if (answer.error) return setWrong(sentencesOf(answer.error));
    setWrong([]);
    setOpen(false);
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>
          <Plus aria-hidden size={14} /> Wood of your own
        </Button>
      </Dialog.Trigger>
      <Sheet
        title="A wood of your own"
        says="It can be used in every piece, and travels with the piece's file."
      >
        <form onSubmit={submit} className="grid grid-cols-2 items-end gap-3">
          {FIELDS.map(([name, label, type, initial]) => (
            <Field key={name} label={label}>
              {(control) => (
                <input
                  {...control}
                  name={name}
                  type={type}
                  defaultValue={initial}
                  autoComplete="off"
                  className={controlClass}
                />
              )}
            </Field>
          ))}
          <Field label="Pores">
            {(control) => (
              <select {...control} name="pores" className={controlClass} defaultValue="fine">
                <option value="none">not to be seen</option>
                <option value="fine">fine</option>
                <option value="coarse">coarse</option>
              </select>
            )}
          </Field>
          <label className="flex h-8 items-center gap-2">
            <input type="checkbox" name="bleeds" className="accent-teal" /> Bleeds into pale neighbours
          </label>
          <Wrong sentences={wrong} />
          <SheetFoot main="Add" />
        </form>
      </Sheet>
    </Dialog.Root>
  );
}
