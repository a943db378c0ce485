import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource-variable/source-serif-4/wght.css';
import '@fontsource/barlow-condensed/latin-600.css';
import './ui/tokens.css';

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';

import { ProblemError } from './api/client';
import { onStale } from './api/stale';
import { App } from './app/App';
import { fetchAhead } from './app/views';
import { fetchForms } from './ui/lateForm';
import { TextureDefinitions } from './ui/Texture';

// The scroll lock behind the dialogs writes one style element; the policy lets it through by this nonce.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
if (nonce) setNonce(nonce);

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      networkMode: 'always',
      retry: (count, error) => !(error instanceof ProblemError && error.status < 500) && count < 2,
    },
    mutations: { networkMode: 'always' },
  },
});

// A write makes stale what the server names; what is on screen is fetched anew, the rest when it is looked at.
onStale((names) =>
  queries.invalidateQueries({
    predicate: ({ queryKey: [kind, name] }) =>
      kind !== 'session' && (names === null || names.includes(String(kind === 'sheet' ? name : kind))),
  }),
);

fetchAhead(queries, window.location.pathname);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <TextureDefinitions />
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
fetchForms();

// What the application is made of stays on this device, so that it opens without network.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener('load', () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined));
