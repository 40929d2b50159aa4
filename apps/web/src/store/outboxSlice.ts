import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { type Pending, saving } from './saving.js';

/** Pieces that were left before all their edits were on the server, by id; they are sent all the same. */
export type Outbox = Readonly<Record<string, Pending>>;

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: {} as Outbox,
  reducers: {
    left: (state, { payload }: PayloadAction<Pending>): Outbox => ({
      ...(state as Outbox),
      [payload.id]: payload,
    }),
    /** Opened again, or given up by the user. */
    taken: (state, { payload }: PayloadAction<string>): Outbox => without(state as Outbox, payload),
  },
  extraReducers: (build) => {
    const change = (state: Outbox, id: string, part: Partial<Pending>): Outbox =>
      state[id] ? { ...state, [id]: { ...state[id], ...part } } : state;
    build
      .addCase(saving.begun, (state, { payload: { id } }) =>
        change(state as Outbox, id, { safety: 'saving' }),
      )
      .addCase(saving.done, (state, { payload: { id, revision, sent } }) =>
        original(state)?.[id]?.edited === sent
          ? without(state as Outbox, id)
          : change(state as Outbox, id, { revision, safety: 'unsaved', trouble: null }),
      )
      .addCase(saving.away, (state, { payload: { id, trouble } }) =>
        change(state as Outbox, id, { safety: 'away', trouble }),
      )
      .addCase(saving.stale, (state, { payload: { id, other } }) =>
        change(state as Outbox, id, { safety: 'stale', other }),
      )
      .addCase(saving.turnedDown, (state, { payload: { id, reasons } }) =>
        change(state as Outbox, id, { safety: 'refused', refused: reasons }),
      )
      .addCase(saving.kept, (state, { payload: { id, kept } }) => change(state as Outbox, id, { kept }));
  },
});

const without = (state: Outbox, id: string): Outbox => {
  const { [id]: _, ...rest } = state;
  return rest;
};

export const outbox = outboxSlice.actions;
