import type { Tick } from '@fellside/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What was done of the open piece: on the server, and on its way there. */
export interface ProgressState {
  readonly piece: string | null;
  readonly known: readonly Tick[];
  readonly pending: readonly Tick[];
  /** Whether the server was heard; until then nothing is known of what other devices do. */
  readonly link: 'asking' | 'there' | 'away';
  /** Whether what is on its way is kept in this browser; else it lives in this page only. */
  readonly kept: boolean;
  /** Why the last tick was not taken, in a sentence. */
  readonly refused: string | null;
}

const NOTHING: ProgressState = {
  piece: null,
  known: [],
  pending: [],
  link: 'asking',
  kept: true,
  refused: null,
};

export const progressSlice = createSlice({
  name: 'progress',
  initialState: NOTHING as ProgressState,
  reducers: {
    opened: (_, { payload }: PayloadAction<{ piece: string; pending: readonly Tick[] }>): ProgressState => ({
      ...NOTHING,
      ...payload,
    }),
    /**
     * What the server has: all of it as it was asked, or what came since. Ticks are never taken away, so what is known already stays: an
     * answer that was under way for long may be older than that. Of another piece, or heard before, it is nothing new.
     */
    heard: (state, { payload }: PayloadAction<{ piece: string; ticks: readonly Tick[] }>): ProgressState => {
      if (state.piece !== payload.piece) return state as ProgressState;
      const ids = new Set(state.known.map(({ id }) => id));
      const fresh = payload.ticks.filter(({ id }) => !ids.has(id));
      return {
        ...(state as ProgressState),
        ...settled([...state.known, ...fresh], state.pending),
        link: 'there',
      };
    },
    counted: (state, { payload }: PayloadAction<readonly Tick[]>): ProgressState => ({
      ...(state as ProgressState),
      pending: [...state.pending, ...payload],
      refused: null,
    }),
    /** The server will not have them. */
    turnedDown: (
      state,
      { payload: { ids, sentence } }: PayloadAction<{ ids: readonly string[]; sentence: string }>,
    ): ProgressState => ({
      ...(state as ProgressState),
      pending: state.pending.filter(({ id }) => !ids.includes(id)),
      refused: sentence,
    }),
    refused: (state, { payload }: PayloadAction<string | null>): ProgressState => ({
      ...(state as ProgressState),
      refused: payload,
    }),
    kept: (state, { payload }: PayloadAction<boolean>): ProgressState => ({
      ...(state as ProgressState),
      kept: payload,
    }),
    away: (state): ProgressState => ({ ...(state as ProgressState), link: 'away' }),
  },
});

function settled(known: readonly Tick[], pending: readonly Tick[]): Pick<ProgressState, 'known' | 'pending'> {
  const ids = new Set(known.map(({ id }) => id));
  return { known, pending: pending.filter(({ id }) => !ids.has(id)) };
}

export const progress = progressSlice.actions;
