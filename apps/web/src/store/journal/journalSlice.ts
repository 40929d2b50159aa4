import type { HandEntry, WorkKind } from '@fellside/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Work whose time is running, on this device. */
export interface Running {
  readonly piece: string;
  readonly work: WorkKind;
  /** ms since 1970. */
  readonly since: number;
}
/** A stretch that ran so long that it is asked how much of it was work. */
export interface Stretch {
  readonly piece: string;
  readonly work: WorkKind;
  readonly minutes: number;
}

/** What this device writes into journals: entries on their way, and the clock. */
export interface JournalState {
  readonly unsent: Readonly<Record<string, readonly HandEntry[]>>;
  readonly running: Running | null;
  readonly asked: Stretch | null;
  /** Whether the clock is started by the cards of the work. */
  readonly byCards: boolean;
  /** Why the last entry was not taken, in a sentence. */
  readonly refused: string | null;
}

export const NOTHING_WRITTEN: JournalState = {
  unsent: {},
  running: null,
  asked: null,
  byCards: false,
  refused: null,
};

export const journalSlice = createSlice({
  name: 'journal',
  initialState: NOTHING_WRITTEN as JournalState,
  reducers: {
    written: (state, { payload: { piece, entry } }: PayloadAction<{ piece: string; entry: HandEntry }>) => ({
      ...(state as JournalState),
      unsent: {
        ...(state as JournalState).unsent,
        [piece]: [...(state.unsent[piece] ?? []), entry],
      } as never,
      refused: null,
    }),
    /** They are on the server, or it will not have them and says why. */
    settled: (
      state,
      {
        payload: { piece, ids, refused },
      }: PayloadAction<{ piece: string; ids: readonly string[]; refused: string | null }>,
    ) => {
      const { [piece]: those = [], ...others } = (state as JournalState).unsent;
      const left = those.filter(({ id }) => !ids.includes(id));
      return {
        ...(state as JournalState),
        unsent: (left.length > 0 ? { ...others, [piece]: left } : others) as never,
        refused,
      };
    },
    started: (state, { payload }: PayloadAction<Running | null>) => ({
      ...(state as JournalState),
      running: payload,
    }),
    asked: (state, { payload }: PayloadAction<Stretch | null>) => ({
      ...(state as JournalState),
      asked: payload,
    }),
    restored: (state, { payload }: PayloadAction<JournalState>) => ({ ...payload, refused: state.refused }),
    byCards: (state, { payload }: PayloadAction<boolean>) => ({
      ...(state as JournalState),
      byCards: payload,
    }),
  },
});

export const journal = journalSlice.actions;
