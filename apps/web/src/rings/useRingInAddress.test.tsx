import { ringOwner } from '@fellside/core';
import { act, cleanup, render, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, test } from 'vitest';
import { lastRingOf } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { useRingInAddress } from './useRingInAddress.js';

afterEach(cleanup);

/** The station's address, entered with rings selected before; gives what is said of it then. */
function entered(address: string, ...selected: string[]) {
  const { store } = showWith(null);
  store.dispatch(session.selected(selected.map(ringOwner)));
  const Station = () => {
    useRingInAddress();
    return null;
  };
  const router = createMemoryRouter(
    ['/piece/:id/rings', '/piece/:id/rings/:ring'].map((path) => ({ path, element: <Station /> })),
    { initialEntries: [address] },
  );
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return {
    router,
    select: (...rings: string[]) => act(() => void store.dispatch(session.selected(rings.map(ringOwner)))),
    is: (ring: number | undefined, at: string) =>
      waitFor(() =>
        expect([lastRingOf(store.getState()), router.state.location.pathname]).toEqual([ring, at]),
      ),
  };
}

test('a ring selected at another station is in the address of this one', async () => {
  await entered('/piece/cup/rings', 'r8').is(7, '/piece/cup/rings/r8');
});

test('the ring of the address goes before one selected earlier; one that is not there does not', async () => {
  await entered('/piece/cup/rings/r3', 'r8').is(2, '/piece/cup/rings/r3');
  cleanup();
  await entered('/piece/cup/rings/r99', 'r8').is(7, '/piece/cup/rings/r8');
});

test('each follows the other afterwards', async () => {
  const { router, select, is } = entered('/piece/cup/rings');
  await is(undefined, '/piece/cup/rings');
  select('r2', 'r5');
  await is(4, '/piece/cup/rings/r5');
  await act(() => router.navigate('/piece/cup/rings/r6'));
  await is(5, '/piece/cup/rings/r6');
});
