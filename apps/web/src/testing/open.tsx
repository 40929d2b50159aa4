import { NO_HISTORY, type Project } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { piece } from '../store/pieceSlice.js';
import { createStore } from '../store/store.js';

/** jsdom lays nothing out: a bench of this size stands in. */
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

/** jsdom draws nothing either. */
HTMLCanvasElement.prototype.getContext = () => null;

/** Renders something of a piece's screens with that piece open; gives the store. */
export function showWith(children: ReactNode, document: Project = demoProjects()[0]!) {
  const store = createStore();
  store.dispatch(
    piece.opened({ id: 'cup', revision: 1, document, history: NO_HISTORY, savedAt: '2026-11-23T10:00:00Z' }),
  );
  const router = createMemoryRouter([{ path: '/piece/:id/*', element: children }], {
    initialEntries: ['/piece/cup/form'],
  });
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  );
  const project = () => store.getState().piece.edited!.project;
  return { store, project };
}
