import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { SchemeProvider } from './app/scheme.tsx';
import { createAppRouter } from './app/routes.tsx';
import { askAgain } from './store/again.ts';
import { keepDrafts } from './store/drafts.ts';
import { runOutbox } from './store/outbox.ts';
import { createStore } from './store/store.ts';

const store = createStore();
runOutbox(store);
keepDrafts(store);
askAgain(store);

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <SchemeProvider>
          <RouterProvider router={createAppRouter()} />
        </SchemeProvider>
      </Provider>
    </StrictMode>,
  );
}
