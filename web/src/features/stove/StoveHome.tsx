import '../../words/places/stove.ts';
import { MINUTE_MS } from '@big-ladle/core/units';
import Button from '@mui/material/Button';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useKitchen } from '../../shared/queries.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Loading, PageHead } from '../../shared/ui.tsx';
import { longDay, say, timeOfDay } from '../../words/say.ts';
import { Board } from './Board.tsx';

/** Asked for once in the life of a kitchen: not part of the first page. */
const FirstPage = lazy(() => import('./FirstPage.tsx').then((m) => ({ default: m.FirstPage })));

/** What is on, what comes next, what wants a look, and one button to begin. */
export function StoveHome() {
  const kitchen = useKitchen();
  const nowMs = useCoarseNow(MINUTE_MS);
  if (kitchen.isPending) return <Loading />;
  if (kitchen.error || !kitchen.data)
    return <ErrorPanel error={kitchen.error} again={() => void kitchen.refetch()} />;
  const k = kitchen.data.kitchen;
  if (k.pots.length === 0) {
    return (
      <Suspense fallback={<Loading />}>
        <FirstPage doc={kitchen.data} nowMs={nowMs} />
      </Suspense>
    );
  }
  return (
    <>
      <PageHead
        title={say('stoveHome.onTheStove')}
        beside={`${longDay(nowMs, k.zone)}, ${timeOfDay(nowMs, k.zone)}`}
      >
        <Button variant="contained" component={Link} to="/drinks" sx={{ px: 3 }}>
          {say('common.beginABatch')}
        </Button>
      </PageHead>
      <Board kitchen={k} />
    </>
  );
}
