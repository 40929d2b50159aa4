import './theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { fetchStations, router } from './router.js';
import { followOtherWindows } from './store/journal/keptJournal.js';
import { sendJournal } from './store/journal/writing.js';
import { watchLeaving } from './store/leaving.js';
import { createStore } from './store/store.js';
import { watchHeld } from './ui/held.js';

const store = createStore();
watchLeaving(store);
followOtherWindows(store);
watchHeld(document);
for (const piece of Object.keys(store.getState().journal.unsent)) void store.dispatch(sendJournal(piece));

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);

/** After the first screen stands, the others are fetched. */
const AFTER = 1500;
addEventListener('load', () => setTimeout(() => void fetchStations(), AFTER));
