import type { Change, Edited, Reason } from '@fellside/core';
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { SavedProject } from './api.js';

/** How safe the piece is: on disk, on its way, kept in this browser only, or at odds with another window,
 * or refused by the server. */
export type Safety = 'saved' | 'unsaved' | 'saving' | 'away' | 'stale' | 'refused';

/** The open piece: its document with history, and the revision it was last saved as. */
export interface PieceState {
  readonly id: string | null;
  readonly revision: number;
  readonly edited: Edited | null;
  /** What a gesture that is under way would come to; shown in place of the document, saved when it ends. */
  readonly preview: Change | null;
  readonly savedAt: string | null;
  readonly safety: Safety;
  /** The other side of a conflict. */
  readonly other: SavedProject | null;
  /** What the last edit changed besides, or why it was refused. */
  readonly note: string | null;
  readonly refused: readonly Reason[];
}

const closed: PieceState = {
  id: null,
  revision: 0,
  edited: null,
  preview: null,
  savedAt: null,
  safety: 'saved',
  other: null,
  note: null,
  refused: [],
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
      preview: null,
      safety: state.safety === 'stale' ? 'stale' : 'unsaved',
      note: payload.note ?? null,
      refused: [],
    }),
    /** A step of a gesture: what it leads to, or why it is held back where it last could go. */
    previewed: (state, { payload }: PayloadAction<Change>): PieceState => ({
      ...(state as PieceState),
      preview: payload,
      note: payload.note ?? null,
      refused: [],
    }),
    heldBack: (state, { payload }: PayloadAction<readonly Reason[]>): PieceState => ({
      ...(state as PieceState),
      refused: payload,
    }),
    putBack: (state): PieceState => ({ ...(state as PieceState), preview: null, refused: [], note: null }),
    refused: (state, { payload }: PayloadAction<readonly Reason[]>): PieceState => ({
      ...(state as PieceState),
      refused: payload,
      note: null,
    }),
    dismissed: (state): PieceState => ({ ...(state as PieceState), refused: [], note: null }),
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
