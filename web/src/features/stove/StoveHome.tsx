import '../../words/places/stove.ts';
import {
  type AwayWindow,
  awayWindows,
  type Batch,
  type BatchList,
  latestStart,
  type Program,
  type Simulation,
  simulateBatch,
  solvePlanDoc,
  startBy,
  timelineOf,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useMemo } from 'react';
import { Link } from 'react-router';
import { AlarmQueue } from '../../shared/AlarmQueue.tsx';
import { useAlarms } from '../../shared/alarms.ts';
import { momentsOf } from '../../shared/batch/moments.ts';
import type { RunningClock } from '../../shared/batch/onBatches.ts';
import { useBook } from '../../shared/book.ts';
import { useBatches, useKitchen, useRehearsals } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';
import { ErrorPanel, Left, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { longDay, moment, num, say, timeOfDay } from '../../words/say.ts';
import { type BoardEntry, useOnBoard } from './board.ts';
import { OnTheStove } from './OnTheStove.tsx';

/** Asked for once in the life of a kitchen: not part of the first page. */
const SideJobs = lazy(() => import('../../shared/batch/SideJobs.tsx').then((m) => ({ default: m.SideJobs })));
/** Its figures come a moment after the stove's. */
const WantsALook = lazy(() => import('./WantsALook.tsx').then((m) => ({ default: m.WantsALook })));
const HowItWorks = lazy(() => import('./HowItWorks.tsx').then((m) => ({ default: m.HowItWorks })));
const FirstPage = lazy(() => import('./FirstPage.tsx').then((m) => ({ default: m.FirstPage })));

/** What is on, what comes next, what wants a look, and one button to begin. */
export function StoveHome() {
  const kitchen = useKitchen();
  const batches = useBatches();
  const nowMs = useNow(1000);
  if (kitchen.isPending || batches.isPending) return <Loading />;
  const error = kitchen.error ?? batches.error;
  if (error || !kitchen.data || !batches.data)
    return (
      <ErrorPanel error={error} again={() => void Promise.all([kitchen.refetch(), batches.refetch()])} />
    );
  const k = kitchen.data.kitchen;
  if (k.pots.length === 0) {
    return (
      <Suspense fallback={<Loading />}>
        <FirstPage doc={kitchen.data} nowMs={Math.floor(nowMs / 60_000) * 60_000} />
      </Suspense>
    );
  }
  const planned = batches.data.batches.filter((b) => b.batch.status === 'planned');
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
      <Board planned={planned} nowMs={nowMs} kitchen={k} />
    </>
  );
}

type KitchenNow = NonNullable<ReturnType<typeof useKitchen>['data']>['kitchen'];

function Board(props: { planned: BatchList['batches']; nowMs: number; kitchen: KitchenNow }) {
  const { planned, nowMs, kitchen } = props;
  const { entries: board, clocks, on, unreadable, isPending } = useOnBoard(nowMs);
  const due = useAlarms(clocks.flatMap(momentsOf), nowMs, 'Big Ladle');
  const plans = usePlans(planned, kitchen);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,2fr) minmax(0,1fr)' },
        gap: 1.75,
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
        <AlarmQueue due={due} />
        {unreadable.length > 0 && <CannotBeRead batches={unreadable} />}
        {/* All at once, so that nothing jumps when the pots come. */}
        {isPending ? (
          <Box sx={{ minHeight: { xs: '100vh', lg: 0 } }}>
            <Loading />
          </Box>
        ) : (
          <>
            {board.length > 0 ? (
              <OnTheStove board={board} nowMs={nowMs} />
            ) : (
              <Panel title={say('stoveHome.nothingIsOn')}>
                <Typography>
                  {say('stoveHome.aPlanWaitsChoose', {
                    lengthSome: plans.length > 0,
                    name: kitchen.pots[0]!.name,
                  })}
                </Typography>
                <Button variant="outlined" component={Link} to="/drinks" sx={{ mt: 1.5 }}>
                  {say('stoveHome.chooseADrink')}
                </Button>
              </Panel>
            )}
            {board.length === 0 && (
              <Suspense>
                <HowItWorks />
              </Suspense>
            )}
            {clocks.length > board.length && <Clocks clocks={clocks} nowMs={nowMs} />}
            <Next board={board} plans={plans} nowMs={nowMs} zone={kitchen.zone} />
            {on.length > 0 && (
              <Suspense>
                <SideJobs framed on={on} nowMs={nowMs} zone={kitchen.zone} />
              </Suspense>
            )}
          </>
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
        <Suspense
          fallback={
            <Panel title={say('stoveHome.wantsALookToday')}>
              <Loading />
            </Panel>
          }
        >
          <WantsALook nowMs={nowMs} />
        </Suspense>
        <Planned plans={plans} nowMs={nowMs} zone={kitchen.zone} />
        <Rehearsals />
      </Box>
    </Box>
  );
}

/** Batches that cannot be read, with the way to what can be done. */
function CannotBeRead({ batches }: { batches: readonly Batch[] }) {
  return (
    <Panel title={say('unreadable.title', { count: batches.length })} testId="unreadable">
      {batches.map((batch) => (
        <Row key={batch.id} label={sayDrink(batch.plan.recipeId)} note={say('unreadable.others')}>
          <Link to={`/batches/${batch.id}`}>{say('unreadable.look')}</Link>
        </Row>
      ))}
    </Panel>
  );
}

/** Every clock that runs, each named after pot and deed, the next to end first. */
function Clocks({ clocks, nowMs }: { clocks: readonly RunningClock[]; nowMs: number }) {
  return (
    <Panel title={say('stoveHome.clocks')}>
      {clocks.map((clock) => (
        <Row
          key={clock.key}
          testId="clock-row"
          label={<Link to={`/batches/${clock.batchId}/stove`}>{clock.label}</Link>}
        >
          <Left endMs={clock.endMs} nowMs={nowMs} />
        </Row>
      ))}
    </Panel>
  );
}

interface Plan {
  id: string;
  recipeId: string;
  readyAtMs: number | null;
  /** Null: it does not work out in this kitchen any more. */
  litres: number | null;
  startMs: number | null;
}

/** Hours away are looked at so far back from when it is to be ready. */
const AHEAD_MS = 8 * 24 * 3_600_000;
/** When it must begin, outside of the hours away where that goes. */
function startOf(program: Program, sim: Simulation, readyAtMs: number, away: readonly AwayWindow[]): number {
  const placed = latestStart(timelineOf(program, sim), readyAtMs, away);
  return placed.ok ? placed.schedule.startMs : startBy(program, sim, readyAtMs).startMs;
}

/** Plans with what they make and when they must begin, the first to begin first. */
function usePlans(planned: BatchList['batches'], kitchen: KitchenNow): Plan[] {
  const { book, tables } = useBook();
  return useMemo(
    () =>
      planned
        .map(({ batch }): Plan => {
          const { readyAtMs, recipeId } = batch.plan;
          const solved = solvePlanDoc(batch.plan, book, kitchen, tables);
          if (!solved.ok) return { id: batch.id, recipeId, readyAtMs, litres: null, startMs: null };
          const { program, litres } = solved.value;
          const startMs =
            readyAtMs === null
              ? null
              : startOf(
                  program,
                  simulateBatch(program, kitchen, tables),
                  readyAtMs,
                  awayWindows(kitchen.away, kitchen.zone, readyAtMs - AHEAD_MS, readyAtMs),
                );
          return { id: batch.id, recipeId, readyAtMs, litres, startMs };
        })
        .sort((a, b) => (a.startMs ?? Number.POSITIVE_INFINITY) - (b.startMs ?? Number.POSITIVE_INFINITY)),
    [planned, kitchen, book, tables],
  );
}

const planName = (plan: Plan): string =>
  `${sayDrink(plan.recipeId)}${plan.litres === null ? '' : `, ${num(plan.litres, 1)} L`}`;

/** Everything the cook is needed for, of all batches and plans, in the order of time. */
function Next(props: { board: readonly BoardEntry[]; plans: readonly Plan[]; nowMs: number; zone: string }) {
  const { nowMs, zone } = props;
  const rows = [
    ...props.board.flatMap((b) =>
      b.next.map((n) => ({
        key: `${b.id}${n.name}${n.atMs}`,
        atMs: n.atMs,
        to: `/batches/${b.id}/stove`,
        what: n.name,
        which: sayDrink(b.recipeId),
        note:
          n.untilMs === null ? '' : say('stoveHome.mayWaitUntil', { until: moment(n.untilMs, nowMs, zone) }),
        late: false,
      })),
    ),
    ...props.plans.flatMap((p) =>
      p.startMs === null
        ? []
        : [
            {
              key: p.id,
              atMs: p.startMs,
              to: `/batches/${p.id}`,
              what: say('stoveHome.begin'),
              which: planName(p),
              note: say('stoveHome.toBeReady', { readyAt: moment(p.readyAtMs ?? nowMs, nowMs, zone) }),
              late: p.startMs < nowMs,
            },
          ],
    ),
  ].sort((a, b) => a.atMs - b.atMs);
  if (rows.length === 0) return null;
  return (
    <Panel title={say('stoveHome.next')}>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rows.map((row) => (
          <Box
            component="li"
            key={row.key}
            data-testid="next"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '104px 1fr', sm: '104px 1fr auto' },
              columnGap: 1.5,
              py: 1,
              borderBottom: `1px solid ${role('hairline')}`,
              alignItems: 'baseline',
            }}
          >
            <Box sx={{ ...heading, whiteSpace: 'nowrap', color: row.late ? role('danger') : undefined }}>
              {row.late
                ? say('stoveHome.overdue')
                : row.atMs <= nowMs
                  ? say('common.now')
                  : moment(row.atMs, nowMs, zone)}
            </Box>
            <Box>
              <Box component={Link} to={row.to} sx={{ color: role('ink'), fontWeight: 700 }}>
                {row.what}
              </Box>{' '}
              <Box component="span" sx={{ color: role('inkMuted') }}>
                {row.which}
              </Box>
            </Box>
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', gridColumn: { xs: 2, sm: 3 } }}>
              {row.note}
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}

function Planned(props: { plans: readonly Plan[]; nowMs: number; zone: string }) {
  const { plans, nowMs, zone } = props;
  return (
    <Panel title={say('stoveHome.planned')}>
      {plans.length === 0 && (
        <Typography sx={{ color: role('inkMuted') }}>{say('stoveHome.noPlansAPlan')}</Typography>
      )}
      {plans.map((plan) => (
        <Box key={plan.id} sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
          <Box
            component={Link}
            to={`/batches/${plan.id}`}
            sx={{ ...heading, color: role('ink'), display: 'inline-block', py: 0.5 }}
          >
            {planName(plan)}
          </Box>
          <Box
            sx={{
              fontWeight: 700,
              color:
                plan.litres === null || (plan.startMs !== null && plan.startMs < nowMs)
                  ? role('danger')
                  : undefined,
            }}
          >
            {plan.litres === null
              ? say('stoveHome.wantsALookIt')
              : plan.startMs === null
                ? say('stoveHome.noTimeSetBegin')
                : plan.startMs < nowMs
                  ? say('stoveHome.shouldHaveBegun', { start: moment(plan.startMs, nowMs, zone) })
                  : say('common.startBy', { start: moment(plan.startMs, nowMs, zone) })}
          </Box>
          {plan.readyAtMs !== null && (
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
              {say('stoveHome.ready', { readyAt: moment(plan.readyAtMs, nowMs, zone) })}
            </Box>
          )}
        </Box>
      ))}
    </Panel>
  );
}

/** What is only practised; it shows here until it is forgotten. */
function Rehearsals() {
  const rehearsals = useRehearsals().data?.batches ?? [];
  if (rehearsals.length === 0) return null;
  return (
    <Panel title={say('stoveHome.rehearsals')}>
      {rehearsals.map(({ batch }) => (
        <Box key={batch.id} sx={{ py: 0.5 }}>
          <Link to={`/batches/${batch.id}/stove`}>{sayDrink(batch.plan.recipeId)}</Link>
          {batch.rehearsal?.kept ? say('stoveHome.kept') : ''}
        </Box>
      ))}
    </Panel>
  );
}
