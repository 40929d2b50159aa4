import type { Edited, Project, Reason } from '@fellside/core';
import { createAction } from '@reduxjs/toolkit';
import { dequal } from 'dequal';
import type { SavedProject } from './api.js';

/** How safe a piece is: on disk, on its way, not yet to be sent, at odds with what is on the server, or refused by it. */
export type Safety = Standing['safety'];

/** Whether the edits that are not on disk are kept in this browser; nowhere means that they live in this page only. */
export type Kept = 'not yet' | 'here' | 'nowhere';

/** What became of the piece on the server meanwhile. */
export type Other =
  | { readonly what: 'changed' | 'removed'; readonly piece: SavedProject }
  | { readonly what: 'gone' };

/** How a piece stands to the server: one of these at a time. */
export type Standing =
  | {
      readonly safety: 'saved' | 'unsaved' | 'saving' | 'refused';
      readonly trouble: null;
      readonly other: null;
    }
  /** Why it is not saved, in a sentence, while the server is tried again. */
  | { readonly safety: 'away'; readonly trouble: string; readonly other: null }
  /** The other side of a conflict. */
  | { readonly safety: 'stale'; readonly trouble: null; readonly other: Other };

export const standing = (safety: 'saved' | 'unsaved' | 'saving' | 'refused'): Standing => ({
  safety,
  trouble: null,
  other: null,
});
export const awayFor = (trouble: string): Standing => ({ safety: 'away', trouble, other: null });
export const staleFor = (other: Other): Standing => ({ safety: 'stale', trouble: null, other });

/** Edits of a piece with what is needed to save them. */
export type Pending = Standing & {
  readonly id: string;
  readonly revision: number;
  readonly edited: Edited;
  readonly kept: Kept;
  readonly refused: readonly Reason[];
};

type Of<T> = T & { readonly id: string };

/** What happens to edits on their way to the server; for the open piece and for those that were left alike. */
export const saving = {
  begun: createAction<Of<object>>('saving/begun'),
  /** `sent` is what was sent: if more was edited since, it still has to be saved. */
  done: createAction<Of<{ revision: number; savedAt: string; sent: Edited }>>('saving/done'),
  /** The server does not answer, or cannot write. */
  away: createAction<Of<{ trouble: string }>>('saving/away'),
  stale: createAction<Of<{ other: Other }>>('saving/stale'),
  /** The server will not have it, and says why; the next edit tries again. */
  turnedDown: createAction<Of<{ reasons: readonly Reason[] }>>('saving/turnedDown'),
  kept: createAction<Of<{ kept: Kept }>>('saving/kept'),
} as const;

/** Whether two documents say the same, in whatever order their fields stand: the server puts them in its own. */
export const sameDocument = (a: Project, b: Project): boolean => a === b || dequal(plain(a), plain(b));

const plain = (document: Project): unknown => JSON.parse(JSON.stringify(document));
