import { copyOf, edit } from '@fellside/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type ListedVersion, sentencesOf } from '../store/api.js';
import { saveNow } from '../store/autosave.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { momentOf } from '../ui/times.js';
import { type Looked, VersionsBeside } from './VersionsBeside.js';

interface VersionShownProps {
  readonly id: string;
  readonly version: ListedVersion;
  /** The revision that the piece stands at. */
  readonly now: number;
  readonly all: readonly ListedVersion[];
}

/** A version beside the piece as it is, or beside any other version; to take back, or to keep as a copy. */
export function VersionShown({ id, version: { revision, savedAt }, now, all }: VersionShownProps) {
  const dispatch = useActions();
  const navigate = useNavigate();
  const project = useApp(projectOf);
  const { data, error } = api.useVersionQuery({ id, revision });
  const [create] = api.useCreateProjectMutation();
  const [said, setSaid] = useState('');
  const [against, setAgainst] = useState(String(now));
  const other = api.useVersionQuery({ id, revision: Number(against) }, { skip: Number(against) === now });
  const takeBack = async () => {
    if (!data) return;
    const taken = dispatch(editPiece(edit.becomes(data.document, `Taken back to ${momentOf(savedAt)}`)));
    if (!taken.ok) return setSaid(taken.reasons.map(({ message }) => message).join(' '));
    await dispatch(saveNow(id));
    navigate(`/piece/${id}/form`);
  };
  const keep = async () => {
    if (!data) return;
    const copy = await create(copyOf(data.document, `${project.name} (${momentOf(savedAt)})`));
    if (copy.error) setSaid(sentencesOf(copy.error).join(' '));
    else setSaid(`It stands on the shelf as “${copy.data.document.name}”.`);
  };
  const titleOf = (of: number, at: string) => (of === now ? 'As it is now' : momentOf(at));
  const own: Looked | null = data
    ? { title: titleOf(revision, savedAt), revision, document: revision === now ? project : data.document }
    : null;
  const beside: Looked | null =
    Number(against) === now
      ? { title: 'As it is now', revision: now, document: project }
      : other.data
        ? {
            title: momentOf(other.data.savedAt),
            revision: other.data.revision,
            document: other.data.document,
          }
        : null;
  const both = own && beside && [own, beside].sort((a, b) => a.revision - b.revision);
  return (
    <section aria-label="How it was" className="flex min-w-0 flex-1 flex-col gap-4 overflow-auto p-6">
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="flex-1 text-lg font-semibold">{titleOf(revision, savedAt)}</h2>
        <Choice
          label="Beside"
          className="w-52"
          value={against}
          options={all.map((each) => [String(each.revision), titleOf(each.revision, each.savedAt)] as const)}
          onChange={setAgainst}
        />
        <Button onClick={keep} disabled={!data}>
          Keep as a copy
        </Button>
        {revision !== now && (
          <Button kind="main" onClick={takeBack} disabled={!data}>
            Take back to this
          </Button>
        )}
      </div>
      <p role="status" className="text-sm">
        {said}
        {(error ?? other.error) && sentencesOf(error ?? other.error).join(' ')}
      </p>
      {both && <VersionsBeside id={id} earlier={both[0]!} later={both[1]!} />}
    </section>
  );
}
