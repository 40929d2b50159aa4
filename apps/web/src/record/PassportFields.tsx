import { done, edit, type Result } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Field } from '../ui/Field.js';
import { NumberField } from '../ui/NumberField.js';
import { TextEntry } from '../ui/TextEntry.js';

const TEXTS = [
  ['maker', 'Maker, as it shall stand there'],
  ['number', 'Number'],
  ['made', 'When it was made'],
  ['note', 'Note'],
] as const;

/** What follows from no plan: who made it, its number, when, the hours, a word on it. */
export function PassportFields() {
  const dispatch = useActions();
  const entered = useApp((state) => projectOf(state).passport);
  const set = (change: Parameters<typeof edit.setPassport>[0]): Result<unknown> =>
    dispatch(editPiece(edit.setPassport(change)));
  return (
    <div className="flex flex-col gap-2">
      <h2 className="font-semibold">What you enter</h2>
      {TEXTS.map(([key, label]) => (
        <Field key={key} label={label}>
          {(control) => (
            <TextEntry
              {...control}
              className="w-full"
              shown={entered?.[key] ?? ''}
              editable={entered?.[key] ?? ''}
              read={(text) => set({ [key]: text.trim() })}
              onProblem={() => {}}
            />
          )}
        </Field>
      ))}
      <NumberField
        label="Hours, 0: those of the journal"
        value={entered?.hours ?? 0}
        onChange={(hours) =>
          hours === 0 ? set({ hours: undefined }) : hours === entered?.hours ? done(null) : set({ hours })
        }
      />
    </div>
  );
}
