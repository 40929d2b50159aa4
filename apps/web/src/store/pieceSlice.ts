import type { Change, Edited, Project, Reason, Said } from '@fellside/core';
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { SavedProject } from './api.js';
import { awayFor, type Kept, type Standing, saving, staleFor, standing } from './saving.js';

/** The open piece: its document with history, and the revision it was last saved as. */
export type PieceState = Standing & {
  readonly id: string | null;
  readonly revision: number;
  readonly edited: Edited | null;
  /** The document as it is on the server at that revision, as far as it is known: what the edits are to be told from. */
  readonly base: Project | null;
  /** What a gesture that is under way would come to; shown in place of the document, saved when it ends. */
  readonly preview: Change | null;
  readonly savedAt: string | null;
  readonly kept: Kept;
  /** What the last edit changed besides, or why it was refused. */
  readonly note: Said | null;
  readonly refused: readonly Reason[];
};

const closed: PieceState = {
  id: null,
  revision: 0,
  edited: null,
  base: null,
  preview: null,
  savedAt: null,
  ...standing('saved'),
  kept: 'not yet',
  note: null,
  refused: [],
};

const editedOf = ({ document, history }: SavedProject): Edited => ({ project: document, history });

export const pieceSlice = createSlice({
  name: 'piece',
  initialState: closed,
  reducers: {
    opened: (_: PieceState, { payload }: PayloadAction<SavedProject>): PieceState => ({
      ...closed,
      id: payload.id,
      revision: payload.revision,
      edited: editedOf(payload),
      base: payload.document,
      savedAt: payload.savedAt,
    }),
    edited: (
      state: PieceState,
      { payload }: PayloadAction<{ edited: Edited; note?: Said; base?: Project | null }>,
    ): PieceState => ({
      ...state,
      edited: payload.edited,
      // Edits of an earlier visit were made to another state than the one that was opened.
      ...(payload.base !== undefined && { base: payload.base }),
      preview: null,
      ...(state.safety !== 'stale' && standing('unsaved')),
      note: payload.note ?? null,
      refused: [],
    }),
    /** A step of a gesture: what it leads to, or why it is held back where it last could go. */
    previewed: (state: PieceState, { payload }: PayloadAction<Change>): PieceState => ({
      ...state,
      preview: payload,
      note: payload.note ?? null,
      refused: [],
    }),
    heldBack: (state: PieceState, { payload }: PayloadAction<readonly Reason[]>): PieceState => ({
      ...state,
      refused: payload,
    }),
    putBack: (state: PieceState): PieceState => ({ ...state, preview: null, refused: [], note: null }),
    refused: (state: PieceState, { payload }: PayloadAction<readonly Reason[]>): PieceState => ({
      ...state,
      refused: payload,
      note: null,
    }),
    dismissed: (state: PieceState): PieceState => ({ ...state, refused: [], note: null }),
    /** What another device saved was brought together with what was edited here. */
    merged: (
      state: PieceState,
      {
        payload: { found, edited, note },
      }: PayloadAction<{ found: SavedProject; edited: Edited; note: Said | null }>,
    ): PieceState => ({
      ...state,
      revision: found.revision,
      edited,
      base: found.document,
      ...standing('unsaved'),
      note,
      refused: [],
    }),
    closed: (): PieceState => closed,
    /** The edits are to be saved over a revision after all. */
    resumed: (state: PieceState, { payload }: PayloadAction<number>): PieceState => ({
      ...state,
      revision: payload,
      ...standing('unsaved'),
    }),
  },
  extraReducers: (build) => {
    const change = (
      state: PieceState,
      id: string,
      part: Partial<Omit<PieceState, keyof Standing>> & (Standing | object),
    ): PieceState => (state.id === id ? ({ ...state, ...part } as PieceState) : state);
    build
      .addCase(saving.begun, (state, { payload: { id } }) =>
        change(state as PieceState, id, standing('saving')),
      )
      .addCase(saving.done, (state, { payload: { id, revision, savedAt, sent } }) =>
        change(state as PieceState, id, {
          revision,
          savedAt,
          base: sent.project,
          ...standing(original(state)?.edited === sent ? 'saved' : 'unsaved'),
        }),
      )
      .addCase(saving.away, (state, { payload: { id, trouble } }) =>
        change(state as PieceState, id, awayFor(trouble)),
      )
      .addCase(saving.stale, (state, { payload: { id, other } }) =>
        change(state as PieceState, id, staleFor(other)),
      )
      .addCase(saving.turnedDown, (state, { payload: { id, reasons } }) =>
        change(state as PieceState, id, { ...standing('refused'), refused: reasons }),
      )
      .addCase(saving.kept, (state, { payload: { id, kept } }) => change(state as PieceState, id, { kept }));
  },
});

export const piece = pieceSlice.actions;
