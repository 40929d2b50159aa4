import { Archive } from 'lucide-react';
import { useRef, useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { houseApi, type ListedBackup } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { ageOf, momentOf, sizeOf } from '../ui/times.js';
import { Panel } from './Panel.js';
import { type Candidate, RestoreDialog } from './RestoreDialog.js';

const WHY: Record<ListedBackup['kind'], string> = {
  automatic: 'automatic',
  'by-hand': 'by hand',
  'before-restore': 'before a restore',
};

/** Backups that are there, one to be made now, and one to be brought in from a file. */
export function BackupList() {
  const { data } = houseApi.useBackupsQuery(undefined, {
    refetchOnMountOrArgChange: true,
    pollingInterval: 60_000,
  });
  const [make, making] = houseApi.useMakeBackupMutation();
  const [send, sending] = houseApi.useSendBackupMutation();
  const [check, checking] = houseApi.useCheckBackupMutation();
  const [said, setSaid] = useState('');
  const [candidate, setCandidate] = useState<Candidate | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const makeOne = async () => {
    setSaid('Making the backup…');
    const made = await make();
    setSaid(
      made.error ? sentencesOf(made.error).join(' ') : 'The backup is made, and was opened and counted.',
    );
  };
  const lookThrough = async (name: string) => {
    setSaid('Looking it through…');
    const found = await check(name);
    if (found.data) setCandidate({ name, checked: found.data });
    setSaid(found.error ? sentencesOf(found.error).join(' ') : '');
  };
  const bring = async (file: File) => {
    setSaid('Sending it and looking it through…');
    const found = await send(file);
    if (found.data) setCandidate({ name: null, checked: found.data });
    setSaid(found.error ? sentencesOf(found.error).join(' ') : '');
  };
  const busy = making.isLoading || sending.isLoading || checking.isLoading;
  return (
    <Panel title="Backups">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <Button kind="main" disabled={busy} onClick={makeOne}>
          <Archive aria-hidden size={14} /> Back up now
        </Button>
        <Button disabled={busy} onClick={() => input.current?.click()}>
          Put back from a file…
        </Button>
        <input
          ref={input}
          type="file"
          accept=".zip,application/zip"
          aria-label="A backup file"
          className="hidden"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </div>
      <p role="status" className="mb-2 text-sm">
        {said}
      </p>
      <Newest backups={data?.backups ?? []} known={data !== undefined} />
      <table className={`w-full text-sm ${data?.backups.length ? '' : 'hidden'}`}>
        <thead>
          <tr className="border-b border-line text-left text-quiet">
            <th className="py-1 font-normal">Made</th>
            <th className="font-normal">Why</th>
            <th className="text-right font-normal">Size</th>
            <th>
              <span className="sr-only">What to do with it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data?.backups.map(({ name, kind, madeAt, bytes }) => (
            <tr key={name} className="border-b border-line">
              <td className="py-1.5">{momentOf(madeAt)}</td>
              <td>{WHY[kind]}</td>
              <td className="text-right tabular-nums">{sizeOf(bytes)}</td>
              <td className="py-1.5 pl-4 text-right whitespace-nowrap">
                <a
                  className="mr-4 text-teal underline"
                  href={`${location.origin}/api/backups/${encodeURIComponent(name)}`}
                  download={name}
                >
                  Save as a file
                </a>
                <Button disabled={busy} onClick={() => lookThrough(name)}>
                  Put back…
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {candidate && (
        <RestoreDialog
          candidate={candidate}
          onClose={(sentence) => {
            setCandidate(null);
            setSaid(sentence);
          }}
        />
      )}
    </Panel>
  );
}

function Newest({ backups: [newest], known }: { backups: readonly ListedBackup[]; known: boolean }) {
  if (!known) return null;
  return newest ? (
    <p className="mb-3">
      The newest is <b>{ageOf(newest.madeAt)}</b>.
    </p>
  ) : (
    <p className="mb-3 text-rust">There is no backup yet. Make the first one now.</p>
  );
}
