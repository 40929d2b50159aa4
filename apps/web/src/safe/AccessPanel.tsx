import { type FormEvent, useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { houseApi } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Panel } from './Panel.js';

/** Where a tablet reaches this Fellside, with a code to point it at, and the passphrase that it asks for. */
export function AccessPanel() {
  const { data: reach } = houseApi.useReachQuery();
  const { data: door } = houseApi.useDoorQuery();
  if (!reach) return null;
  return (
    <Panel title="From the tablet in the shop">
      {reach.listening === 'here' ? (
        <p className="mb-3 text-sm">
          Only this machine can reach Fellside. To let a tablet in, set a passphrase here, stop Fellside and
          start it with the names it is called by; README, “From other machines”, has the two lines.
          {reach.own.length > 0 && ` This machine’s addresses: ${reach.own.join(', ')}.`}
        </p>
      ) : (
        <ul className="mb-3 flex flex-wrap gap-4">
          {reach.addresses.map(({ url, qr }) => (
            <li key={url} className="text-center">
              <img
                alt={`Code for ${url}`}
                src={`data:image/svg+xml;utf8,${encodeURIComponent(qr)}`}
                className="h-44 w-44 rounded border border-line bg-white"
              />
              <a href={url} className="text-sm text-teal underline">
                {url}
              </a>
            </li>
          ))}
        </ul>
      )}
      {door?.own ? (
        <Passphrase set={reach.passphrase} />
      ) : (
        <p className="text-sm text-quiet">The passphrase is changed on the machine that Fellside runs on.</p>
      )}
    </Panel>
  );
}

function Passphrase({ set: there }: { set: boolean }) {
  const [set, { isLoading, isSuccess, error }] = houseApi.useSetPassphraseMutation();
  const [typed, setTyped] = useState('');
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await set(typed);
    if (!answer.error) setTyped('');
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <Field
        label={there ? 'Another passphrase' : 'Passphrase'}
        hint="At least ten letters; three or four words are good. Other machines have to give it anew."
        problem={error ? sentencesOf(error).join(' ') : undefined}
      >
        {(control) => (
          <input
            {...control}
            type="password"
            autoComplete="new-password"
            className={controlClass}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        )}
      </Field>
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={isLoading || typed.trim() === ''}>
          {there ? 'Change it' : 'Set it'}
        </Button>
        <span role="status" className="text-sm text-quiet">
          {isSuccess ? 'It is set.' : there ? 'A passphrase is set.' : 'No passphrase is set.'}
        </span>
      </div>
    </form>
  );
}
