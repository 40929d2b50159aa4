import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.js';
import { autosave } from './autosave.js';
import { journalSlice } from './journal/journalSlice.js';
import { keepJournal, keptJournal } from './journal/keptJournal.js';
import { keepLook, lookSlice } from './lookSlice.js';
import { outboxSlice } from './outboxSlice.js';
import { pieceSlice } from './pieceSlice.js';
import { plannedReducer } from './planning.js';
import { progressSlice } from './progress/progressSlice.js';
import { sessionSlice } from './sessionSlice.js';

export const createStore = () => {
  const store = configureStore({
    reducer: {
      api: api.reducer,
      journal: journalSlice.reducer,
      look: lookSlice.reducer,
      outbox: outboxSlice.reducer,
      piece: pieceSlice.reducer,
      planned: plannedReducer,
      progress: progressSlice.reducer,
      session: sessionSlice.reducer,
    },
    preloadedState: { journal: keptJournal() },
    // The development checks walk the whole document on every pointer move; the core's types say the same.
    middleware: (usual) =>
      usual({ immutableCheck: false, serializableCheck: false })
        .prepend(autosave.middleware)
        .concat(api.middleware),
  });
  let { look, journal } = store.getState();
  store.subscribe(() => {
    const now = store.getState();
    if (now.look !== look) keepLook(now.look);
    if (now.journal !== journal) keepJournal(now.journal);
    ({ look, journal } = now);
  });
  return store;
};

export type Store = ReturnType<typeof createStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];

export const useApp = useSelector.withTypes<State>();
export const useActions = useDispatch.withTypes<Dispatch>();
