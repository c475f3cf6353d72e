import { Navigate, type RouteObject } from 'react-router';
import { StoveHome } from '../features/stove/StoveHome.tsx';
import { Frame } from '../shared/Frame.tsx';
import { Loading } from '../shared/ui.tsx';
import { BrokenScreen } from './BrokenScreen.tsx';
import { NothingHere } from './NothingHere.tsx';
import { Root } from './Root.tsx';

type Page = () => React.ReactNode;

/** A page that is fetched when somebody goes there, with the sentences that the first page does not say. */
const later = (path: string, load: () => Promise<Page>): RouteObject => ({
  path,
  lazy: async () => {
    const [Component] = await Promise.all([load(), import('../words/places/pages.ts')]);
    return { Component };
  },
});

const editor = (path: string, way: 'write' | 'edit' | 'vary'): RouteObject =>
  later(path, () =>
    import('../features/drinks/EditorPage.tsx').then(({ EditorPage }) => () => <EditorPage way={way} />),
  );

/** Every page and its address. The stove's home comes with the first load; all else when it is wanted. */
export const ROUTES_OF_PAGES: RouteObject[] = [
  {
    Component: Root,
    ErrorBoundary: BrokenScreen,
    HydrateFallback: Loading,
    children: [
      later('/batches/:id/stove', () =>
        import('../features/batch/stove/StovePage.tsx').then((m) => m.StovePage),
      ),
      {
        Component: Frame,
        children: [
          { path: '/', Component: StoveHome },
          { path: '/new', element: <Navigate to="/drinks" replace /> },
          later('/drinks', () => import('../features/drinks/DrinksPage.tsx').then((m) => m.DrinksPage)),
          editor('/drinks/write', 'write'),
          later('/drinks/paste', () =>
            import('../features/drinks/read/ReadPage.tsx').then((m) => m.ReadPage),
          ),
          later('/drinks/capture', () =>
            import('../features/drinks/capture/CapturePage.tsx').then((m) => m.CapturePage),
          ),
          later('/drinks/two', () => import('../features/drinks/TwoPage.tsx').then((m) => m.TwoPage)),
          later('/drinks/parts', () => import('../features/drinks/PartsPage.tsx').then((m) => m.PartsPage)),
          later('/drinks/facts/:id', () =>
            import('../features/drinks/FactsPage.tsx').then((m) => m.FactsPage),
          ),
          later('/drinks/:id', () => import('../features/drinks/RecipePage.tsx').then((m) => m.RecipePage)),
          later('/drinks/:id/compare', () =>
            import('../features/drinks/ComparePage.tsx').then((m) => m.ComparePage),
          ),
          editor('/drinks/:id/edit', 'edit'),
          editor('/drinks/:id/vary', 'vary'),
          later('/gatherings', () => import('../features/gatherings/pages.ts').then((m) => m.GatheringsPage)),
          later('/gatherings/:id', () =>
            import('../features/gatherings/pages.ts').then((m) => m.GatheringPage),
          ),
          later('/gatherings/:id/day', () =>
            import('../features/gatherings/pages.ts').then((m) => m.DayPage),
          ),
          later('/gatherings/:id/cards', () =>
            import('../features/gatherings/pages.ts').then((m) => m.CardsPage),
          ),
          later('/gatherings/:id/after', () =>
            import('../features/gatherings/pages.ts').then((m) => m.AfterPage),
          ),
          later('/shopping', () =>
            import('../features/shopping/ShoppingPage.tsx').then((m) => m.ShoppingPage),
          ),
          later('/new/:recipeId', () =>
            import('../features/batch/plan/PlanPage.tsx').then((m) => m.NewPlanPage),
          ),
          later('/batches/:id', () =>
            import('../features/batch/made/BatchPage.tsx').then((m) => m.BatchPage),
          ),
          later('/batches/:id/balance', () =>
            import('../features/batch/balance/BalancePage.tsx').then((m) => m.BalancePage),
          ),
          later('/logbook', () => import('../features/logbook/LogbookPage.tsx').then((m) => m.LogbookPage)),
          later('/logbook/learnt', () =>
            import('../features/logbook/learnt/LearntPage.tsx').then((m) => m.LearntPage),
          ),
          later('/logbook/year', () =>
            import('../features/logbook/year/YearPage.tsx').then((m) => m.YearPage),
          ),
          later('/logbook/beside', () =>
            import('../features/logbook/BesidePage.tsx').then((m) => m.BesidePage),
          ),
          later('/shelf', () => import('../features/shelf/ShelfPage.tsx').then((m) => m.ShelfPage)),
          later('/shelf/labels', () =>
            import('../features/shelf/labels/LabelsPage.tsx').then((m) => m.LabelsPage),
          ),
          later('/shelf/recall', () => import('../features/shelf/RecallPage.tsx').then((m) => m.RecallPage)),
          later('/shelf/:id', () => import('../features/shelf/BottlePage.tsx').then((m) => m.ThingPage)),
          later('/shelf/:id/glass', () =>
            import('../features/shelf/BottlePage.tsx').then((m) => m.GlassPage),
          ),
          later('/kitchen', () => import('../features/kitchen/KitchenPage.tsx').then((m) => m.KitchenPage)),
          { path: '*', Component: NothingHere },
        ],
      },
    ],
  },
];
