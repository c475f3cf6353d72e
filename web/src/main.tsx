import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { StoveHome } from './features/stove/StoveHome.tsx';
import { Frame } from './shared/Frame.tsx';
import { Notices } from './shared/Notices.tsx';
import { startOutbox } from './shared/outbox.ts';
import { queryClient } from './shared/queries.ts';
import { startStream } from './shared/stream.ts';
import { BrokenScreen, Loading, PageHead } from './shared/ui.tsx';
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

const router = createBrowserRouter([
  {
    path: '/batches/:id/stove',
    errorElement: <BrokenScreen />,
    element: later(() => import('./features/batch/StovePosture.tsx').then((m) => ({ default: m.StovePage }))),
  },
  {
    element: <Frame />,
    errorElement: <BrokenScreen />,
    children: [
      { path: '/', element: <StoveHome /> },
      {
        path: '/new',
        element: later(() =>
          import('./features/batch/ChooseDrinkPage.tsx').then((m) => ({ default: m.ChooseDrinkPage })),
        ),
      },
      {
        path: '/new/:recipeId',
        element: later(() =>
          import('./features/batch/PlanPage.tsx').then((m) => ({ default: m.NewPlanPage })),
        ),
      },
      {
        path: '/batches/:id',
        element: later(() =>
          import('./features/batch/BatchPage.tsx').then((m) => ({ default: m.BatchPage })),
        ),
      },
      {
        path: '/shelf',
        element: later(() =>
          import('./features/shelf/ShelfPage.tsx').then((m) => ({ default: m.ShelfPage })),
        ),
      },
      {
        path: '/kitchen',
        element: later(() =>
          import('./features/kitchen/KitchenPage.tsx').then((m) => ({ default: m.KitchenPage })),
        ),
      },
      {
        path: '*',
        element: (
          <PageHead title="Nothing here" beside="This address leads nowhere. Choose a place at the side." />
        ),
      },
    ],
  },
]);

void startOutbox();
startStream();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <CacheProvider value={styles}>
      <ThemeProvider theme={theme} defaultMode="system" noSsr>
        <CssBaseline />
        <QueryClientProvider client={queryClient}>
          <RouterProvider router={router} />
          <Notices />
        </QueryClientProvider>
      </ThemeProvider>
    </CacheProvider>
  </StrictMode>,
);
