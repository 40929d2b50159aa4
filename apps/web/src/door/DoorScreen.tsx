import { type FormEvent, useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { houseApi } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';

/** Asks whoever comes from another machine for the passphrase. */
export function DoorScreen() {
  const [enter, { isLoading, error }] = houseApi.useEnterMutation();
  const [typed, setTyped] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void enter(typed);
  };
  return (
    <main className="flex h-full items-center justify-center bg-ground p-6">
      <form onSubmit={submit} className="w-md max-w-full rounded-lg border border-line bg-pane p-6">
        <h1 className="mb-1 text-xl font-semibold">Fellside</h1>
        <p className="mb-4 text-quiet">
          This is another machine than the one Fellside runs on. Give its passphrase; this browser is
          remembered for thirty days.
        </p>
        <Field label="Passphrase" problem={error ? sentencesOf(error).join(' ') : undefined}>
          {(control) => (
            <input
              {...control}
              type="password"
              autoComplete="current-password"
              className={`${controlClass} h-12!`}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
          )}
        </Field>
        <Button
          kind="main"
          type="submit"
          className="mt-4 h-12! w-full"
          disabled={isLoading || typed.trim() === ''}
        >
          Come in
        </Button>
      </form>
    </main>
  );
}
