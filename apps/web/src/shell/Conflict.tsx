import { copyOf, fromStash, type Project, writeProjectFile } from '@fellside/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type SavedProject, sentencesOf } from '../store/api.js';
import { openPiece, saveNow } from '../store/autosave.js';
import { dropDraft } from '../store/drafts.js';
import { piece } from '../store/pieceSlice.js';
import type { Other } from '../store/saving.js';
import { woodsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { saveFile } from '../ui/saveFile.js';

const SAYS: Record<Other['what'], string> = {
  changed:
    'This piece was changed in another window. Nothing was overwritten: that change is on disk, and your edits are still here.',
  removed: 'This piece was taken off the shelf in another window. Your edits are still here.',
  gone: 'This piece was taken away for good in another window. Your edits are still here.',
};

/** The piece was changed or removed elsewhere: both sides are kept until the user says what to do. */
export function Conflict() {
  const id = useApp((state) => state.piece.id);
  const other = useApp((state) => state.piece.other);
  const safety = useApp((state) => state.piece.safety);
  const edited = useApp((state) => state.piece.edited);
  const woods = useApp(woodsOf);
  const [create] = api.useCreateProjectMutation();
  const [restore] = api.useRestoreProjectMutation();
  const [said, setSaid] = useState('');
  const dispatch = useActions();
  const navigate = useNavigate();
  if (safety !== 'stale' || !other || !edited || !id) return null;
  const mine = edited.project;
  const theirs = other.what === 'changed' ? other.piece : null;
  const show = async (found: SavedProject) => {
    await dropDraft(id);
    // Nothing is left to be sent: both sides are where the user wanted them.
    dispatch(piece.closed());
    await dispatch(openPiece(found));
    navigate(`/piece/${found.id}/form`);
  };
  const keepAsCopy = async () => {
    const { data, error } = await create(copyOf(mine, `${mine.name} (my copy)`));
    if (data) await show(data);
    else setSaid(`The copy was not made: ${sentencesOf(error).join(' ')}`);
  };
  const putBack = async (removed: SavedProject) => {
    const { error } = await restore(id);
    if (error) return setSaid(sentencesOf(error).join(' '));
    dispatch(piece.resumed(removed.revision));
    await dispatch(saveNow(id));
  };
  const asFile = (project: Project, whose: string) =>
    saveFile(
      `${project.name} (${whose}).fellside.json`,
      'application/json',
      writeProjectFile(project, woods),
    );
  const anew = fromStash(mine);
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 bg-rust-wash px-4 py-2 text-rust">
      <p className="min-w-64 flex-1">
        {SAYS[other.what]} {said}
        {anew > 0 && ' In a copy, rings from the stash are planned anew.'}
      </p>
      <Button onClick={keepAsCopy}>Keep mine as a copy</Button>
      <Button onClick={() => asFile(mine, 'mine')}>Save mine as a file</Button>
      {other.what === 'removed' && (
        <Button onClick={() => putBack(other.piece)}>Put it back with mine</Button>
      )}
      {theirs && (
        <>
          <Button onClick={() => asFile(theirs.document, 'the other')}>Save the other as a file</Button>
          <Button onClick={() => void show(theirs)}>Drop mine, show the other</Button>
        </>
      )}
    </div>
  );
}
