import { WORK_KINDS, type WorkKind, type Written } from '@fellside/core';
import { type FormEvent, useState } from 'react';
import { useParams } from 'react-router';
import { write } from '../../store/journal/writing.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { AddPhoto } from './AddPhoto.js';

const KINDS = [
  ['note', 'Note'],
  ['trouble', 'Went wrong'],
  ['hours', 'Hours'],
  ['photo', 'Photograph'],
] as const;
type Kind = (typeof KINDS)[number][0];

const inputClass = 'block w-full rounded border border-line bg-raised p-2 text-ink';

/** Something is written down by hand, of the kind that is chosen. */
export function WriteDown() {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const refused = useApp((state) => state.journal.refused);
  const [kind, setKind] = useState<Kind>('note');
  const [trouble, setTrouble] = useState<string | null>(null);
  const send = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const written = read(kind, new FormData(form));
    if (typeof written === 'string') return setTrouble(written);
    setTrouble(null);
    dispatch(write(id, written));
    form.reset();
  };
  return (
    <section aria-label="Write down">
      <h2 className="mb-2 text-lg font-semibold">Write down</h2>
      <fieldset className="mb-2 grid grid-cols-2 gap-1">
        <legend className="sr-only">What</legend>
        {KINDS.map(([each, name]) => (
          <button
            key={each}
            type="button"
            aria-pressed={kind === each}
            className="min-h-[44px] rounded border border-line bg-raised px-2 aria-pressed:border-teal aria-pressed:font-semibold"
            onClick={() => {
              setKind(each);
              setTrouble(null);
            }}
          >
            {name}
          </button>
        ))}
      </fieldset>
      {kind === 'photo' ? (
        <AddPhoto piece={id} />
      ) : (
        <form key={kind} onSubmit={send} className="flex flex-col gap-2">
          {kind === 'hours' ? <HoursInputs /> : <TextInputs kind={kind} />}
          <Button type="submit" kind="main" className="h-11!">
            Write it down
          </Button>
        </form>
      )}
      {(trouble ?? refused) && (
        <p role="alert" className="mt-2 text-rust">
          {trouble ?? refused}
        </p>
      )}
    </section>
  );
}

const TextInputs = ({ kind }: { kind: 'note' | 'trouble' }) => (
  <>
    <label className="text-sm text-quiet">
      {kind === 'note' ? 'Note' : 'What went wrong'}
      <textarea name="text" rows={4} maxLength={4000} className={inputClass} />
    </label>
    {kind === 'trouble' && (
      <label className="text-sm text-quiet">
        How it was mended
        <textarea name="mended" rows={3} maxLength={4000} className={inputClass} />
      </label>
    )}
  </>
);

const HoursInputs = () => (
  <>
    <label className="text-sm text-quiet">
      Kind of work
      <select name="work" className={`${inputClass} h-11`}>
        {Object.entries(WORK_KINDS).map(([work, name]) => (
          <option key={work} value={work}>
            {name}
          </option>
        ))}
      </select>
    </label>
    <div className="grid grid-cols-2 gap-2">
      {(['hours', 'minutes'] as const).map((name) => (
        <label key={name} className="text-sm text-quiet">
          {name === 'hours' ? 'Hours' : 'Minutes'}
          <input name={name} inputMode="decimal" className={`${inputClass} h-11`} />
        </label>
      ))}
    </div>
  </>
);

/** What was entered; a sentence where nothing can be made of it. */
function read(kind: Kind, given: FormData): Written | string {
  const text = (name: string) => String(given.get(name) ?? '').trim();
  if (kind === 'hours') {
    const [hours, minutes] = ['hours', 'minutes'].map((name) => Number(text(name).replace(',', '.') || '0'));
    const all = Math.round(hours! * 60 + minutes!);
    if (!Number.isFinite(all) || all < 1 || all > 24 * 60)
      return 'Enter how long it was, from a minute to 24 hours at a stretch.';
    return { kind, work: text('work') as WorkKind, minutes: all };
  }
  if (text('text') === '') return 'Nothing is written there yet.';
  return kind === 'trouble'
    ? { kind, text: text('text'), mended: text('mended') }
    : { kind: 'note', text: text('text') };
}
