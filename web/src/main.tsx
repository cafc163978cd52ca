import { sure } from '@sill/core';
import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/500.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';

/** What a job is made of first, what is seen of it in a turn of its own: neither holds the page up for long. */
const [{ keepOnLeaving }, { edges }, { makeStore }] = await Promise.all([
  import('./state/saving'),
  import('./edges'),
  import('./state/store'),
]);
const store = makeStore(edges);
keepOnLeaving(store);

const { App } = await import('./app');
createRoot(sure(document.getElementById('root'), 'root of the page')).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
