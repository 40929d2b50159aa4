import type { Edited } from '@fellside/core';

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

export const dropDraft = (id: string): void => localStorage.removeItem(key(id));

export function draftOf(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(key(id)) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}
