import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { awayFor, type Pending, type Standing, saving, staleFor, standing } from './saving.js';

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
    const change = (
      state: Outbox,
      id: string,
      part: Partial<Omit<Pending, keyof Standing>> & (Standing | object),
    ): Outbox => (state[id] ? { ...state, [id]: { ...state[id], ...part } as Pending } : state);
    build
      .addCase(saving.begun, (state, { payload: { id } }) => change(state as Outbox, id, standing('saving')))
      .addCase(saving.done, (state, { payload: { id, revision, sent } }) =>
        original(state)?.[id]?.edited === sent
          ? without(state as Outbox, id)
          : change(state as Outbox, id, { revision, ...standing('unsaved') }),
      )
      .addCase(saving.away, (state, { payload: { id, trouble } }) =>
        change(state as Outbox, id, awayFor(trouble)),
      )
      .addCase(saving.stale, (state, { payload: { id, other } }) =>
        change(state as Outbox, id, staleFor(other)),
      )
      .addCase(saving.turnedDown, (state, { payload: { id, reasons } }) =>
        change(state as Outbox, id, { ...standing('refused'), refused: reasons }),
      )
      .addCase(saving.kept, (state, { payload: { id, kept } }) => change(state as Outbox, id, { kept }));
  },
});

const without = (state: Outbox, id: string): Outbox => {
  const { [id]: _, ...rest } = state;
  return rest;
};

export const outbox = outboxSlice.actions;
