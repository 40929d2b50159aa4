import { type FormEvent, useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { type Automatic, type BackupState, houseApi } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Switch } from '../ui/Switch.js';
import { ageOf } from '../ui/times.js';
import { countsSaid } from './counted.js';
import { Panel } from './Panel.js';

const KEPT = [
  ['days', 'Days kept'],
  ['weeks', 'Weeks kept'],
  ['months', 'Months kept'],
] as const;

/** Automatic backups: where they go, how many are kept, and how the last one went. */
export function AutomaticPanel() {
  const { data } = houseApi.useBackupsQuery();
  if (!data) return null;
  return (
    <Panel title="Automatic backups">
      <Last last={data.last} />
      <Settings key={JSON.stringify(data.automatic)} automatic={data.automatic} folder={data.folder} />
    </Panel>
  );
}

function Last({ last }: Pick<BackupState, 'last'>) {
  if (!last)
    return (
      <p className="mb-3 text-sm text-quiet">
        One is made a day while Fellside runs; each is opened and counted.
      </p>
    );
  if (last.failed)
    return (
      <p role="alert" className="mb-3 text-sm text-rust">
        The last one, {ageOf(last.at)}, failed: {last.failed}
      </p>
    );
  return (
    <p className="mb-3 text-sm">
      The last one, {ageOf(last.at)}, was opened and counted: {last.counts && countsSaid(last.counts)}.
    </p>
  );
}

function Settings({ automatic, folder }: { automatic: Automatic; folder: string }) {
  const [set, { isLoading, isSuccess, error }] = houseApi.useSetAutomaticMutation();
  const [on, setOn] = useState(automatic.on);
  const [typed, setTyped] = useState({
    folder: automatic.folder ?? '',
    days: String(automatic.days),
    weeks: String(automatic.weeks),
    months: String(automatic.months),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void set({
      on,
      folder: typed.folder.trim() === '' ? null : typed.folder.trim(),
      days: Number(typed.days),
      weeks: Number(typed.weeks),
      months: Number(typed.months),
    });
  };
  const field = (key: keyof typeof typed, label: string, hint?: string) => (
    <Field key={key} label={label} hint={hint}>
      {(control) => (
        <input
          {...control}
          className={controlClass}
          value={typed[key]}
          placeholder={key === 'folder' ? folder : undefined}
          inputMode={key === 'folder' ? 'text' : 'numeric'}
          onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
        />
      )}
    </Field>
  );
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <Switch label="Make one a day" on={on} onChange={setOn} />
      {field('folder', 'Folder', 'Another disk is better than this one. Empty: beside the data.')}
      <div className="grid grid-cols-3 gap-2">{KEPT.map(([key, label]) => field(key, label))}</div>
      {error && (
        <p role="alert" className="text-sm text-rust">
          {sentencesOf(error).join(' ')}
        </p>
      )}
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={isLoading}>
          Keep these settings
        </Button>
        <span role="status" className="text-sm text-quiet">
          {isSuccess && 'Kept.'}
        </span>
      </div>
    </form>
  );
}
