import {
  broughtTogether,
  copyOf,
  fromStash,
  type Project,
  sentenceIn,
  type UnitSystem,
} from '@fellside/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type SavedProject, sentencesOf } from '../store/api.js';
import { saveNow } from '../store/autosave.js';
import { dropDraft } from '../store/drafts.js';
import { unitsOf, woodsOf } from '../store/house.js';
import { openPiece } from '../store/opening.js';
import { piece } from '../store/pieceSlice.js';
import { saveProject } from '../store/saveProject.js';
import type { Other } from '../store/saving.js';
import { useActions, useApp } from '../store/store.js';
import { bringTogether } from '../store/together.js';
import { Button } from '../ui/Button.js';

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
  const units = useApp(unitsOf);
  const base = useApp((state) => state.piece.base);
  const [create] = api.useCreateProjectMutation();
  const [restore] = api.useRestoreProjectMutation();
  const [said, setSaid] = useState('');
  const dispatch = useActions();
  const navigate = useNavigate();
  if (safety !== 'stale' || !other || !edited || !id) return null;
  const mine = edited.project;
  const theirs = other.what === 'changed' ? other.piece : null;
  const knowsBase = base !== null;
  const show = async (found: SavedProject) => {
    await dropDraft(id);
    // Nothing is left to be sent: both sides are where the user wanted them.
    dispatch(piece.closed());
    await dispatch(openPiece(found));
    navigate(`/piece/${found.id}/form`);
  };
  const together = (found: SavedProject, prevails: 'mine' | 'theirs') => {
    const trouble = dispatch((act, getState) => bringTogether(found, act as never, getState, prevails));
    if (trouble) return setSaid(sentenceIn(trouble, units));
    void dispatch(saveNow(id));
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
    saveProject(project, woods, `${project.name} (${whose})`);
  const anew = fromStash(mine);
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 bg-rust-wash px-4 py-2 text-rust">
      <p className="min-w-64 flex-1">
        {SAYS[other.what]} {theirs && odds(base, mine, theirs.document, units)} {said}
        {anew > 0 && ' In a copy, rings from the stash are planned anew.'}
      </p>
      <Button onClick={keepAsCopy}>Keep mine as a copy</Button>
      <Button onClick={() => asFile(mine, 'mine')}>Save mine as a file</Button>
      {other.what === 'removed' && (
        <Button onClick={() => putBack(other.piece)}>Put it back with mine</Button>
      )}
      {theirs && knowsBase && (
        <>
          <Button onClick={() => together(theirs, 'mine')}>Both; mine where both changed</Button>
          <Button onClick={() => together(theirs, 'theirs')}>Both; the other’s where both changed</Button>
        </>
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

/** What both changed, in a sentence. */
function odds(base: Project | null, mine: Project, theirs: Project, units: UnitSystem): string {
  const both = base && broughtTogether(base, mine, theirs);
  return both && !both.ok ? sentenceIn(both.reasons[0]!.message, units) : '';
}
