import './ui/mantine';
import '@fontsource/zilla-slab/latin-600.css';
import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import './ui/tokens.css';
import './ui/belts.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { isServerWell, Problem } from './api/client';
import { reportError } from './api/report';
import { goOnAfterAnUpdate } from './frame/updated';
import { openKept } from './record/kept';
import { keepLastKnown } from './record/lastKnown';
import { Recording } from './record/Recording';
import { Notices } from './ui/Notices';
import { theme } from './ui/theme';

goOnAfterAnUpdate(isServerWell);
window.addEventListener('error', (event) => reportError(event.error));
window.addEventListener('unhandledrejection', (event) => {
  if (!(event.reason instanceof Problem)) reportError(event.reason);
});

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 20_000,
      gcTime: 60 * 60_000,
      retry: 1,
      refetchOnWindowFocus: false,
      networkMode: 'always',
    },
  },
});
const kept = openKept();
await keepLastKnown(client, kept).catch(() => {}); // a browser that keeps nothing still shows what it reads

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <Notices>
            <Recording kept={kept}>
              <App />
            </Recording>
          </Notices>
        </BrowserRouter>
      </QueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);
