import {
  type Beginning,
  type Mm,
  mm,
  parseLength,
  type Reason,
  type Result,
  SHIPPED_WOODS,
  STARTING_SHAPES,
  sentenceIn,
  startProject,
} from '@fellside/core';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, sentencesOf } from '../store/api.js';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { ShapeChoice } from './ShapeChoice.js';

const LENGTHS = [
  ['heightMm', 'Height'],
  ['diameterMm', 'Widest diameter'],
  ['wallMm', 'Wall'],
  ['ringHeightMm', 'Ring height'],
] as const;

/** Inches and millimetres that are round in their own system. */
const USUAL = {
  inch: { heightMm: '6', diameterMm: '8', wallMm: '5/16', ringHeightMm: '3/4' },
  mm: { heightMm: '150', diameterMm: '200', wallMm: '8', ringHeightMm: '19' },
};

/** A new piece from a shape, a size, a ring height and a wood. */
export function NewPiece() {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const navigate = useNavigate();
  const [create] = api.useCreateProjectMutation();
  const [wrong, setWrong] = useState<string[]>([]);
  const usual = USUAL[units === 'mm' ? 'mm' : 'inch'];
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>;
    const begun = begin(typed, (text, label) => parseLength(text, units, label));
    if (!begun.ok) return setWrong(begun.reasons.map(({ message }) => sentenceIn(message, units)));
    const answer = await create(begun.value);
    if (answer.data) navigate(`/piece/${answer.data.id}/form`);
    else setWrong(sentencesOf(answer.error));
  };
  return (
    <Dialog.Root onOpenChange={() => setWrong([])}>
      <Dialog.Trigger asChild>
        <Button kind="main">
          <Plus aria-hidden size={16} /> New piece
        </Button>
      </Dialog.Trigger>
      <Sheet wide title="New piece" says="A shape to start from; everything can be changed afterwards.">
        <form onSubmit={submit} className="grid grid-cols-4 items-end gap-4">
          <ShapeChoice />
          <div className="col-span-2">
            <Field label="Name">
              {(control) => (
                <input
                  {...control}
                  name="name"
                  defaultValue="New piece"
                  autoComplete="off"
                  className={controlClass}
                />
              )}
            </Field>
          </div>
          <div className="col-span-2">
            <Field label="Main wood">
              {(control) => (
                <select {...control} name="wood" className={controlClass}>
                  {woods.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          </div>
          {LENGTHS.map(([key, label]) => (
            <Field key={key} label={`${label}, ${units === 'mm' ? 'mm' : 'inches'}`}>
              {(control) => (
                <input
                  {...control}
                  name={key}
                  defaultValue={usual[key]}
                  autoComplete="off"
                  className={controlClass}
                />
              )}
            </Field>
          ))}
          <Field label="Segments a ring">
            {(control) => (
              <input
                {...control}
                name="count"
                defaultValue="12"
                inputMode="numeric"
                autoComplete="off"
                className={controlClass}
              />
            )}
          </Field>
          {wrong.length > 0 && (
            <ul role="alert" className="col-span-4 text-rust">
              {wrong.slice(0, 5).map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          )}
          <div className="col-span-4 flex justify-end gap-2">
            <Dialog.Close asChild>
              <Button>Cancel</Button>
            </Dialog.Close>
            <Button kind="main" type="submit">
              Start
            </Button>
          </div>
        </form>
      </Sheet>
    </Dialog.Root>
  );
}

/** What was typed as a new project, or every sentence on what is wrong with it. */
function begin(
  typed: Record<string, string>,
  read: (text: string, label: string) => Result<Mm>,
): Result<ReturnType<typeof startProject> extends Result<infer P> ? P : never> {
  const reasons: Reason[] = [];
  const lengths = { heightMm: mm(1), diameterMm: mm(1), wallMm: mm(1), ringHeightMm: mm(1) };
  for (const [key, label] of LENGTHS) {
    const length = read(typed[key] ?? '', label);
    if (!length.ok)
      reasons.push({ ...length.reasons[0]!, message: `${label}: ${length.reasons[0]!.message}` });
    else if (length.value <= 0)
      reasons.push({ code: 'too_small', path: key, message: `${label} has to be more than 0 mm.` });
    else lengths[key] = length.value;
  }
  if (reasons.length > 0) return { ok: false, reasons };
  const wood = typed.wood ?? 'sugar-maple';
  const other = SHIPPED_WOODS.find(
    ({ id }) => id === (wood === 'black-walnut' ? 'sugar-maple' : 'black-walnut'),
  )!;
  const beginning: Beginning = {
    ...lengths,
    name: typed.name ?? '',
    shape: typed.shape ?? STARTING_SHAPES[0]!.id,
    count: Number((typed.count ?? '').trim() || Number.NaN),
    woods: [wood, other.id],
  };
  return startProject(beginning);
}
