import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import './theme/theme.scss';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './app.tsx';
import { restoreQueries, keepQueries } from '../shared/offline/index.ts';
import { makeQueryClient } from './query-client.ts';

const place = document.getElementById('root');
const client = makeQueryClient();

if (place) {
  await restoreQueries(client);
  keepQueries(client);
  createRoot(place).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}

const REGISTER_AFTER_MS = 3000;

if (import.meta.env.PROD && 'serviceWorker' in navigator) {
  setTimeout(() => void navigator.serviceWorker.register('/sw.js').catch(() => undefined), REGISTER_AFTER_MS);
}
