import { type Edited, NO_HISTORY, readProject, SCHEMA_VERSION } from '@fellside/core';

/** Edits that are not on the server yet, kept in this browser so that a reload does not lose them. */
interface Draft {
  readonly revision: number;
  readonly edited: Edited;
}

const key = (id: string) => `fellside.draft.${id}`;

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
  } catch {
    // A full or forbidden store: the edits stay in memory and go to the server as always.
  }
}

/** A draft that an older Fellside kept, brought up to date; its steps to undo speak of the old shape and are left behind. */
function upToDate(draft: Draft): Draft | null {
  if (draft.edited.project.schema === SCHEMA_VERSION) return draft;
  const read = readProject(draft.edited.project);
  return read.ok ? { ...draft, edited: { project: read.value, history: NO_HISTORY } } : null;
}

export const dropDraft = (id: string): void => localStorage.removeItem(key(id));

export function draftOf(id: string): Draft | null {
  try {
    const draft = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as Draft | null;
    return draft && upToDate(draft);
  } catch {
    return null;
  }
}
