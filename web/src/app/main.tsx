import '../theme/fonts/fonts.css';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { gatheringsMayWait } from '../shared/gatherings/gatheringsWait.ts';
import { startOutbox } from '../shared/outbox.ts';
import { queryClient } from '../shared/queries.ts';
import { stockMayWait } from '../shared/stockWaits.ts';
import { startStream } from '../shared/stream.ts';
import { theme } from '../theme/theme.ts';
import { ROUTES_OF_PAGES } from './routes.tsx';

/** Styles made at run time carry this response's nonce, so that the page needs no looser policy. */
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
const styles = createCache({ key: 'bl', ...(nonce ? { nonce } : {}) });

// Once the page stands, what it is made of is kept: the stove goes on without the server.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener('load', () => void navigator.serviceWorker.register('/sw.js'));

function start(): void {
  void startOutbox();
  // What an earlier page could not send; it is seldom that something waits, and then only is it fetched.
  if (stockMayWait()) void import('../shared/stock.ts').then((m) => m.sendStock());
  if (gatheringsMayWait()) void import('../shared/gatherings/gatherings.ts').then((m) => m.sendGatherings());
  startStream();
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <CacheProvider value={styles}>
        <ThemeProvider theme={theme} defaultMode="system" noSsr>
          <CssBaseline />
          <QueryClientProvider client={queryClient}>
            <RouterProvider router={createBrowserRouter(ROUTES_OF_PAGES)} />
          </QueryClientProvider>
        </ThemeProvider>
      </CacheProvider>
    </StrictMode>,
  );
}

// For a developer who wants to see which words on a screen come from no catalogue.
if (localStorage.getItem('big-ladle-language') === 'en-XA')
  void import('../words/pseudo.ts').then(({ speakPseudo }) => {
    speakPseudo();
    start();
  });
else start();
