import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.js';
import { autosave } from './autosave.js';
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
      look: lookSlice.reducer,
      outbox: outboxSlice.reducer,
      piece: pieceSlice.reducer,
      planned: plannedReducer,
      progress: progressSlice.reducer,
      session: sessionSlice.reducer,
    },
    // The development checks walk the whole document on every pointer move; the core's types say the same.
    middleware: (usual) =>
      usual({ immutableCheck: false, serializableCheck: false })
        .prepend(autosave.middleware)
        .concat(api.middleware),
  });
  let { look } = store.getState();
  store.subscribe(() => {
    if (store.getState().look === look) return;
    look = store.getState().look;
    keepLook(look);
  });
  return store;
};

export type Store = ReturnType<typeof createStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];

export const useApp = useSelector.withTypes<State>();
export const useActions = useDispatch.withTypes<Dispatch>();
