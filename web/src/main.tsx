import { say } from './words/say.ts';
import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/bricolage-grotesque/latin-600.css';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { StoveHome } from './features/stove/StoveHome.tsx';
import { ErrorBoundary } from './shared/ErrorBoundary.tsx';
import { Frame } from './shared/Frame.tsx';
import { Notices } from './shared/Notices.tsx';
import { Overlays } from './shared/Overlays.tsx';
import { startOutbox } from './shared/outbox.ts';
import { PairingGate } from './shared/Pairing.tsx';
import { queryClient } from './shared/queries.ts';
import { startStream } from './shared/stream.ts';
import { Loading, PageHead } from './shared/ui.tsx';
import { theme } from './theme/theme.ts';

/** Styles made at run time carry this response's nonce, so that the page needs no looser policy. */
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
const styles = createCache({ key: 'bl', ...(nonce ? { nonce } : {}) });

const later = (load: () => Promise<{ default: React.ComponentType }>) => {
  const Page = lazy(load);
  return (
    <Suspense fallback={<Loading />}>
      <Page />
    </Suspense>
  );
};

const StovePage = later(() =>
  import('./features/batch/StovePage.tsx').then((m) => ({ default: m.StovePage })),
);
const DrinksPage = later(() =>
  import('./features/drinks/DrinksPage.tsx').then((m) => ({ default: m.DrinksPage })),
);
const RecipePage = later(() =>
  import('./features/drinks/RecipePage.tsx').then((m) => ({ default: m.RecipePage })),
);
const ComparePage = later(() =>
  import('./features/drinks/ComparePage.tsx').then((m) => ({ default: m.ComparePage })),
);
const TwoPage = later(() => import('./features/drinks/TwoPage.tsx').then((m) => ({ default: m.TwoPage })));
const ReadPage = later(() =>
  import('./features/drinks/read/ReadPage.tsx').then((m) => ({ default: m.ReadPage })),
);
const CapturePage = later(() =>
  import('./features/drinks/CapturePage.tsx').then((m) => ({ default: m.CapturePage })),
);
const PartsPage = later(() =>
  import('./features/drinks/PartsPage.tsx').then((m) => ({ default: m.PartsPage })),
);
const FactsPage = later(() =>
  import('./features/drinks/FactsPage.tsx').then((m) => ({ default: m.FactsPage })),
);
const editorPage = (way: 'write' | 'edit' | 'vary') =>
  later(() =>
    import('./features/drinks/EditorPage.tsx').then((m) => ({ default: () => <m.EditorPage way={way} /> })),
  );
const WritePage = editorPage('write');
const EditPage = editorPage('edit');
const VaryPage = editorPage('vary');
const ShoppingPage = later(() =>
  import('./features/shopping/ShoppingPage.tsx').then((m) => ({ default: m.ShoppingPage })),
);
const NewPlanPage = later(() =>
  import('./features/batch/PlanPage.tsx').then((m) => ({ default: m.NewPlanPage })),
);
const BatchPage = later(() =>
  import('./features/batch/BatchPage.tsx').then((m) => ({ default: m.BatchPage })),
);
const BalancePage = later(() =>
  import('./features/batch/balance/BalancePage.tsx').then((m) => ({ default: m.BalancePage })),
);
const ShelfPage = later(() =>
  import('./features/shelf/ShelfPage.tsx').then((m) => ({ default: m.ShelfPage })),
);
const ThingPage = later(() =>
  import('./features/shelf/BottlePage.tsx').then((m) => ({ default: m.ThingPage })),
);
const LabelsPage = later(() =>
  import('./features/shelf/labels/LabelsPage.tsx').then((m) => ({ default: m.LabelsPage })),
);
const KitchenPage = later(() =>
  import('./features/kitchen/KitchenPage.tsx').then((m) => ({ default: m.KitchenPage })),
);

// Once the page stands, what it is made of is kept: the stove goes on without the server.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener('load', () => void navigator.serviceWorker.register('/sw.js'));

// For a developer who wants to see which words on a screen come from no catalogue.
if (localStorage.getItem('big-ladle-language') === 'en-XA') (await import('./words/pseudo.ts')).speakPseudo();

void startOutbox();
startStream();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <CacheProvider value={styles}>
      <ThemeProvider theme={theme} defaultMode="system" noSsr>
        <CssBaseline />
        <QueryClientProvider client={queryClient}>
          <Notices />
          <BrowserRouter>
            <Overlays />
            <ErrorBoundary>
              <PairingGate>
                <Routes>
                  <Route path="/batches/:id/stove" element={StovePage} />
                  <Route element={<Frame />}>
                    <Route path="/" element={<StoveHome />} />
                    <Route path="/new" element={<Navigate to="/drinks" replace />} />
                    <Route path="/drinks" element={DrinksPage} />
                    <Route path="/drinks/write" element={WritePage} />
                    <Route path="/drinks/paste" element={ReadPage} />
                    <Route path="/drinks/capture" element={CapturePage} />
                    <Route path="/drinks/two" element={TwoPage} />
                    <Route path="/drinks/parts" element={PartsPage} />
                    <Route path="/drinks/facts/:id" element={FactsPage} />
                    <Route path="/drinks/:id" element={RecipePage} />
                    <Route path="/drinks/:id/compare" element={ComparePage} />
                    <Route path="/drinks/:id/edit" element={EditPage} />
                    <Route path="/drinks/:id/vary" element={VaryPage} />
                    <Route path="/shopping" element={ShoppingPage} />
                    <Route path="/new/:recipeId" element={NewPlanPage} />
                    <Route path="/batches/:id" element={BatchPage} />
                    <Route path="/batches/:id/balance" element={BalancePage} />
                    <Route path="/shelf" element={ShelfPage} />
                    <Route path="/shelf/labels" element={LabelsPage} />
                    <Route path="/shelf/:id" element={ThingPage} />
                    <Route path="/kitchen" element={KitchenPage} />
                    <Route
                      path="*"
                      element={
                        <PageHead
                          title={say('main.nothingHere')}
                          beside={say('main.thisAddressLeadsNowhere')}
                        />
                      }
                    />
                  </Route>
                </Routes>
              </PairingGate>
            </ErrorBoundary>
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </CacheProvider>
  </StrictMode>,
);
