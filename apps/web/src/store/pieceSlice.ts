import type { Edited, Mm, Reason } from '@fellside/core';
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { SavedProject } from './api.js';

/** How safe the piece is: on disk, on its way, kept in this browser only, or at odds with another window,
 * or refused by the server. */
export type Safety = 'saved' | 'unsaved' | 'saving' | 'away' | 'stale' | 'refused';

/** What the user may do instead of an edit that left the stack short of the lip: the same, made up on top. */
export type Offer =
  | { readonly edit: 'height'; readonly rings: readonly number[]; readonly heightMm: Mm }
  | { readonly edit: 'remove'; readonly rings: readonly number[] };

/** The open piece: its document with history, and the revision it was last saved as. */
export interface PieceState {
  readonly id: string | null;
  readonly revision: number;
  readonly edited: Edited | null;
  readonly savedAt: string | null;
  readonly safety: Safety;
  /** The other side of a conflict. */
  readonly other: SavedProject | null;
  /** What the last edit changed besides, or why it was refused. */
  readonly note: string | null;
  readonly refused: readonly Reason[];
  readonly offer: Offer | null;
}

const closed: PieceState = {
  id: null,
  revision: 0,
  edited: null,
  savedAt: null,
  safety: 'saved',
  other: null,
  note: null,
  refused: [],
  offer: null,
};

const editedOf = ({ document, history }: SavedProject): Edited => ({ project: document, history });

export const pieceSlice = createSlice({
  name: 'piece',
  initialState: closed,
  reducers: {
    opened: (_, { payload }: PayloadAction<SavedProject>): PieceState => ({
      ...closed,
      id: payload.id,
      revision: payload.revision,
      edited: editedOf(payload),
      savedAt: payload.savedAt,
    }),
    edited: (state, { payload }: PayloadAction<{ edited: Edited; note?: string }>): PieceState => ({
      ...(state as PieceState),
      edited: payload.edited,
      safety: state.safety === 'stale' ? 'stale' : 'unsaved',
      note: payload.note ?? null,
      refused: [],
      offer: null,
    }),
    refused: (
      state,
      { payload: { reasons, offer } }: PayloadAction<{ reasons: readonly Reason[]; offer: Offer | null }>,
    ): PieceState => ({
      ...(state as PieceState),
      refused: reasons,
      offer: reasons.some(({ code }) => code === 'stack-short') ? offer : null,
      note: null,
    }),
    dismissed: (state): PieceState => ({ ...(state as PieceState), refused: [], offer: null, note: null }),
    saving: (state): PieceState => ({ ...(state as PieceState), safety: 'saving' }),
    /** `edited` is what was sent: if more was edited since, it still has to be saved. */
    saved: (
      state,
      { payload }: PayloadAction<{ revision: number; savedAt: string; sent: Edited }>,
    ): PieceState => ({
      ...(state as PieceState),
      revision: payload.revision,
      savedAt: payload.savedAt,
      safety: original(state)?.edited === payload.sent ? 'saved' : 'unsaved',
    }),
    closed: (): PieceState => closed,
    /** The server will not have it, and says why; the next edit tries again. */
    turnedDown: (state, { payload }: PayloadAction<readonly Reason[]>): PieceState => ({
      ...(state as PieceState),
      safety: 'refused',
      refused: payload,
    }),
    away: (state): PieceState => ({ ...(state as PieceState), safety: 'away' }),
    stale: (state, { payload }: PayloadAction<SavedProject>): PieceState => ({
      ...(state as PieceState),
      safety: 'stale',
      other: payload,
    }),
  },
});

export const piece = pieceSlice.actions;
