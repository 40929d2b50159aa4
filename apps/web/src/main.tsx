import './theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { router } from './router.js';
import { createStore } from './store/store.js';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={createStore()}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
