import {
  BOOK,
  lifeOf,
  MINUTE_MS,
  SHIPPED_TABLES,
  simulateBatch,
  solvePlanDoc,
  startBy,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import type { BatchList, ShelfItem } from '../../shared/apiTypes.ts';
import { useBatches, useItems, useKitchen } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { endOfTomorrow } from '../../shared/zone.ts';
import { heading, role } from '../../theme/theme.ts';
import { longDay, moment, num, say, timeOfDay } from '../../words/say.ts';
import { OnTheStove } from './OnTheStove.tsx';

/** Asked for once in the life of a kitchen: not part of the first page. */
const FirstPot = lazy(() => import('./FirstPot.tsx').then((m) => ({ default: m.FirstPot })));

/** What is on, what comes next, what wants a look, and one button to begin. */
export function StoveHome() {
  const kitchen = useKitchen();
  const batches = useBatches();
  const items = useItems();
  const nowMs = useNow(1000);
  if (kitchen.isPending || batches.isPending || items.isPending) return <Loading />;
  const error = kitchen.error ?? batches.error ?? items.error;
  if (error || !kitchen.data || !batches.data || !items.data)
    return (
      <ErrorPanel
        error={error}
        again={() => void Promise.all([kitchen.refetch(), batches.refetch(), items.refetch()])}
      />
    );
  const k = kitchen.data.kitchen;
  if (k.pots.length === 0) {
    return (
      <Suspense fallback={<Loading />}>
        <FirstPot doc={kitchen.data} />
      </Suspense>
    );
  }
  const planned = batches.data.batches.filter((b) => b.batch.status === 'planned');
  const on = batches.data.batches.filter((b) => b.batch.status === 'on');
  return (
    <>
      <PageHead title="On the stove" beside={`${longDay(nowMs, k.zone)}, ${timeOfDay(nowMs, k.zone)}`}>
        <Button variant="contained" component={Link} to="/new" sx={{ px: 3 }}>
          Begin a batch
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,2fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          {on.length > 0 ? (
            <OnTheStove nowMs={nowMs} zone={k.zone} />
          ) : (
            <Panel title="Nothing is on">
              <Typography>
                {planned.length > 0 ? 'A plan waits below. ' : ''}Choose a drink, say how much you want, and
                the tool sizes it to your {k.pots[0]!.name}, leads you through it and dates the bottles.
              </Typography>
              <Button variant="outlined" component={Link} to="/new" sx={{ mt: 1.5 }}>
                Choose a drink
              </Button>
            </Panel>
          )}
          <Planned planned={planned} nowMs={nowMs} kitchen={k} />
        </Box>
        <WantsALook items={items.data.items} nowMs={nowMs} kitchen={k} />
      </Box>
    </>
  );
}

type KitchenNow = NonNullable<ReturnType<typeof useKitchen>['data']>['kitchen'];

function Planned(props: { planned: BatchList['batches']; nowMs: number; kitchen: KitchenNow }) {
  const { planned, nowMs, kitchen } = props;
  const rows = planned.map(({ batch }) => {
    const solved = solvePlanDoc(batch.plan, BOOK, kitchen, SHIPPED_TABLES);
    if (!solved.ok) return { batch, litres: null, startMs: null };
    const sim = simulateBatch(solved.value.program, kitchen, SHIPPED_TABLES);
    return {
      batch,
      litres: solved.value.litres,
      startMs:
        batch.plan.readyAtMs === null
          ? null
          : startBy(solved.value.program, sim, batch.plan.readyAtMs).startMs,
    };
  });
  rows.sort((a, b) => (a.startMs ?? Number.POSITIVE_INFINITY) - (b.startMs ?? Number.POSITIVE_INFINITY));
  return (
    <Panel title="Planned">
      {rows.length === 0 && (
        <Typography sx={{ color: role('inkMuted') }}>
          No plans. A plan you keep shows here with the moment to start.
        </Typography>
      )}
      {rows.map(({ batch, litres, startMs }) => (
        <Row
          key={batch.id}
          label={
            <Box
              component={Link}
              to={`/batches/${batch.id}`}
              sx={{ color: role('ink'), fontWeight: 700, display: 'inline-block', py: 0.75 }}
            >
              {say(`drink.${batch.plan.recipeId}`)}
              {litres !== null && `, ${num(litres, 1)} L`}
            </Box>
          }
          note={
            batch.plan.readyAtMs === null
              ? 'whenever you like'
              : `ready ${moment(batch.plan.readyAtMs, nowMs, kitchen.zone)}`
          }
        >
          <Box
            component="span"
            sx={{ color: startMs !== null && startMs < nowMs ? role('danger') : undefined }}
          >
            {litres === null
              ? 'wants a look'
              : startMs === null
                ? 'no time set'
                : startMs < nowMs
                  ? `should have begun ${moment(startMs, nowMs, kitchen.zone)}`
                  : `start by ${moment(startMs, nowMs, kitchen.zone)}`}
          </Box>
        </Row>
      ))}
    </Panel>
  );
}

function WantsALook(props: { items: readonly ShelfItem[]; nowMs: number; kitchen: KitchenNow }) {
  const { nowMs, kitchen } = props;
  const coarse = Math.floor(nowMs / MINUTE_MS) * MINUTE_MS;
  const lives = props.items.map((item) => ({
    item,
    life: lifeOf(item.facts.bottle, item.log, kitchen, coarse, endOfTomorrow(nowMs, kitchen.zone)),
  }));
  const groups = [
    { verdict: 'throwOut', tone: 'danger', word: 'throw out' },
    { verdict: 'past', tone: 'danger', word: 'past its date: throw out' },
    { verdict: 'drinkToday', tone: 'caution', word: 'drink today' },
  ] as const;
  const wanted = groups.flatMap((group) => {
    const byDrink = new Map<string, number>();
    for (const { item, life } of lives)
      if (life.verdict === group.verdict)
        byDrink.set(item.facts.recipeId, (byDrink.get(item.facts.recipeId) ?? 0) + 1);
    return [...byDrink].map(([recipeId, count]) => ({ ...group, recipeId, count }));
  });
  return (
    <Panel title="Wants a look today">
      {wanted.length === 0 && (
        <Typography sx={{ color: role('inkMuted') }}>
          {lives.length > 0
            ? 'Every bottle on the shelf is good for more than a day.'
            : 'Bottles show here on the day they want drinking.'}
        </Typography>
      )}
      {wanted.map((w) => (
        <Box key={`${w.verdict}${w.recipeId}`} sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
          <Box
            component={Link}
            to="/shelf"
            sx={{ ...heading, color: role('ink'), display: 'inline-block', py: 0.5 }}
          >
            {say(`drink.${w.recipeId}`)}, {w.count} {w.count === 1 ? 'bottle' : 'bottles'}
          </Box>
          <Box sx={{ color: role(w.tone), fontWeight: 700 }}>{w.word}</Box>
        </Box>
      ))}
      {lives.length > 0 && (
        <Box sx={{ mt: 1.5, color: role('inkMuted') }}>
          {lives.length} {lives.length === 1 ? 'bottle' : 'bottles'} on the{' '}
          <Link to="/shelf">cold shelf</Link>.
        </Box>
      )}
    </Panel>
  );
}
