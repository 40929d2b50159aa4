import type { Store } from '@reduxjs/toolkit';
import { type ReactNode, useMemo } from 'react';
import { Provider, useStore } from 'react-redux';
import type { State } from '../store/store.js';

/**
 * The store as it was before a gesture began, as long as it runs: what is drawn from it rests meanwhile and follows when the
 * gesture ends. A turntable drawn without a graphics card takes a second a frame; the pointer is never to wait for it.
 */
export function restingIn(store: Store<State>): Store<State> {
  let last = store.getState();
  return {
    ...store,
    getState: () => {
      const now = store.getState();
      if (now.piece.preview === null) last = now;
      return last;
    },
  };
}

/** Children that rest while a gesture runs. */
export function Resting({ children }: { readonly children: ReactNode }) {
  const store = useStore<State>();
  const still = useMemo(() => restingIn(store), [store]);
  return <Provider store={still}>{children}</Provider>;
}
