import { copyOf, edit, sentenceIn } from '@fellside/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, drawingUrl, type ListedVersion, sentencesOf } from '../store/api.js';
import { saveNow } from '../store/autosave.js';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { ageOf, momentOf } from '../ui/times.js';
import { VersionLook } from './VersionLook.js';

/** Earlier versions of the open piece: when, what changed, how it looked; to take back or keep as a copy. */
export function VersionsPage() {
  const id = useApp((state) => state.piece.id)!;
  const revision = useApp((state) => state.piece.revision);
  const { data: versions, isError } = api.useVersionsQuery(id, { refetchOnMountOrArgChange: true });
  const [chosen, setChosen] = useState<number | null>(null);
  const shown = versions?.find((version) => version.revision === (chosen ?? revision)) ?? versions?.[0];
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-auto lg:flex-row lg:overflow-hidden">
      <section
        aria-label="Earlier versions"
        className="max-h-[45vh] w-full shrink-0 overflow-auto border-line p-4 max-lg:border-b lg:max-h-none lg:w-96 lg:border-r"
      >
        <h2 className="mb-1 text-lg font-semibold">Earlier versions</h2>
        <p className="mb-3 text-sm text-quiet">
          The newest saves, and the last of every hour and day before. Taking one back is an edit like any
          other: it can be undone.
        </p>
        {isError && <p role="alert">The server does not answer. Is Fellside still running?</p>}
        <ol>
          {versions?.map((version) => (
            <Version
              key={version.revision}
              version={version}
              now={version.revision === revision}
              chosen={version.revision === shown?.revision}
              onChoose={() => setChosen(version.revision)}
            />
          ))}
        </ol>
      </section>
      {shown && <Look key={shown.revision} id={id} version={shown} now={shown.revision === revision} />}
    </div>
  );
}

function Version({
  version: { revision, savedAt, changes },
  now,
  chosen,
  onChoose,
}: {
  version: ListedVersion;
  now: boolean;
  chosen: boolean;
  onChoose: () => void;
}) {
  const units = useApp(unitsOf);
  const id = useApp((state) => state.piece.id)!;
  const words = (changes ?? []).map((sentence) => sentenceIn(sentence, units));
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className="flex min-h-14 w-full items-center gap-3 border-b border-line px-2 py-1.5 text-left aria-pressed:bg-teal-wash hover:bg-raised"
      >
        <img
          src={drawingUrl({ id, revision })}
          alt=""
          loading="lazy"
          className="h-11 w-11 shrink-0 object-contain"
        />
        <span className="min-w-0 flex-1">
          <span className="flex justify-between gap-2">
            <b>{now ? 'Now' : ageOf(savedAt)}</b>
            <span className="text-sm text-quiet">{momentOf(savedAt)}</span>
          </span>
          <span className="line-clamp-2 text-sm">
            {words.join(' ') ||
              (changes === null ? 'The oldest that is kept.' : 'Nothing changed in the piece.')}
          </span>
        </span>
      </button>
    </li>
  );
}

function Look({
  id,
  version: { revision, savedAt },
  now,
}: {
  id: string;
  version: ListedVersion;
  now: boolean;
}) {
  const dispatch = useActions();
  const navigate = useNavigate();
  const name = useApp(projectOf).name;
  const { data, error } = api.useVersionQuery({ id, revision });
  const [create] = api.useCreateProjectMutation();
  const [said, setSaid] = useState('');
  const takeBack = async () => {
    if (!data) return;
    const taken = dispatch(editPiece(edit.becomes(data.document, `Taken back to ${momentOf(savedAt)}`)));
    if (!taken.ok) return setSaid(taken.reasons.map(({ message }) => message).join(' '));
    await dispatch(saveNow(id));
    navigate(`/piece/${id}/form`);
  };
  const keep = async () => {
    if (!data) return;
    const copy = await create(copyOf(data.document, `${name} (${momentOf(savedAt)})`));
    if (copy.error) setSaid(sentencesOf(copy.error).join(' '));
    else setSaid(`It stands on the shelf as “${copy.data.document.name}”.`);
  };
  return (
    <section aria-label="How it was" className="flex min-w-0 flex-1 flex-col gap-4 overflow-auto p-6">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-lg font-semibold">{now ? 'As it is now' : momentOf(savedAt)}</h2>
        <Button onClick={keep} disabled={!data}>
          Keep as a copy
        </Button>
        {!now && (
          <Button kind="main" onClick={takeBack} disabled={!data}>
            Take back to this
          </Button>
        )}
      </div>
      <p role="status" className="text-sm">
        {said}
        {error && sentencesOf(error).join(' ')}
      </p>
      {data && <VersionLook id={id} revision={revision} document={data.document} />}
    </section>
  );
}
