import type { SavedProject } from './api.js';
import type { Seen, Tell } from './autosave.js';
import { type Draft, dropDraft, keepDraft } from './drafts.js';
import { draftsOf } from './keptDrafts.js';
import { leavePiece } from './leavePiece.js';
import { outbox } from './outboxSlice.js';
import { piece } from './pieceSlice.js';
import { sameDocument, saving } from './saving.js';
import { bringTogether } from './together.js';
import { underWay } from './underWay.js';
import { isOpen, windowName } from './windows.js';

const openingNow = underWay();

/**
 * Opens a piece as the server has it, and puts edits that never reached the server back on top: those of this window, and
 * those of a window that was closed. What another open window has under way is left to it.
 */
export const openPiece =
  (found: SavedProject) =>
  (dispatch: Tell, getState: () => Seen): Promise<void> =>
    openingNow(dispatch, found.id, () => open(found, dispatch, getState));

async function open(found: SavedProject, dispatch: Tell, getState: () => Seen): Promise<void> {
  dispatch(leavePiece());
  // Before anything can be edited: a new draft of this window takes the place of its old one.
  const draft = getState().outbox[found.id] ? null : await looseDraft(found.id);
  const left = getState().outbox[found.id];
  dispatch(piece.opened(found));
  if (left) {
    dispatch(outbox.taken(found.id));
    putBack(found, { revision: left.revision, edited: left.edited, base: null }, dispatch, getState);
    if (left.other) dispatch(saving.stale({ id: found.id, other: left.other }));
  } else if (draft && sameDocument(draft.edited.project, found.document))
    await dropDraft(found.id, draft.window);
  else if (draft) {
    putBack(found, draft, dispatch, getState);
    // From here on it is this window's; the other one is gone.
    if (draft.window !== (await windowName()))
      void keepDraft(found.id, draft).then(async (kept) => {
        if (kept) await dropDraft(found.id, draft.window);
      });
  }
}

function putBack(
  found: SavedProject,
  { revision, edited, base }: Pick<Draft, 'revision' | 'edited' | 'base'>,
  dispatch: Tell,
  getState: () => Seen,
): void {
  const note = 'Edits that had not been saved were put back.';
  dispatch(piece.edited({ edited, note, ...(revision !== found.revision && { base }) }));
  if (revision === found.revision || sameDocument(edited.project, found.document)) return;
  // Edited here and saved elsewhere since: brought together where it can be.
  if (bringTogether(found, dispatch, getState) !== null)
    dispatch(saving.stale({ id: found.id, other: { what: 'changed', piece: found } }));
}

/** A window that kept a draft so short a while ago may only be reloading, ms; it is asked again, with pauses between. */
const RELOADING = 60_000;
const ASKS = 4;
const PAUSE = 400;

/** The newest draft of a piece that no other open window has under way. */
async function looseDraft(id: string): Promise<Draft | null> {
  const own = await windowName();
  for (const draft of await draftsOf(id)) if (draft.window === own || (await isClosed(draft))) return draft;
  return null;
}

async function isClosed({ window, at }: Draft): Promise<boolean> {
  const asks = Date.now() - Date.parse(at) < RELOADING ? ASKS : 1;
  for (let n = 0; n < asks; n++) {
    if (n > 0) await new Promise((go) => setTimeout(go, PAUSE));
    if (await isOpen(window)) return false;
  }
  return true;
}
