import '../../words/places/stove.ts';
import type { Batch } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { Calling } from '../../shared/batch/Calling.tsx';
import type { RunningClock } from '../../shared/batch/clocks.ts';
import { Left } from '../../shared/batch/Left.tsx';
import { momentsOf } from '../../shared/batch/moments.ts';
import { SideJobs } from '../../shared/batch/SideJobs.tsx';
import { useBoard } from '../../shared/batch/state.ts';
import { useGatherings } from '../../shared/gatherings/list.ts';
import { Loading, Panel, Row } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { say } from '../../words/say.ts';
import { boardClocks, boardEntries } from './board.ts';
import { FeastSoon } from './FeastSoon.tsx';
import { NextUp } from './NextUp.tsx';
import { OnTheStove } from './OnTheStove.tsx';
import { Planned, Rehearsals } from './Planned.tsx';
import { usePlanStarts } from './usePlanStarts.ts';
import { WantsALook } from './WantsALook.tsx';

/** For those who have nothing on yet: no part of the first page of the others. */
const HowItWorks = lazy(() => import('./HowItWorks.tsx').then((m) => ({ default: m.HowItWorks })));

const tabTitle = () => say('frame.name');

/** What is on, what comes next, and what wants a look: worked out anew every few seconds, while the clocks tick. */
export function Board({ kitchen }: { kitchen: Kitchen }) {
  const { on, unreadable, nowMs, isPending: folding } = useBoard();
  const isPending = useGatherings().isPending || folding;
  const { plans, isPending: solving } = usePlanStarts(kitchen);
  const pots = boardEntries(on);
  const clocks = boardClocks(on);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,2fr) minmax(0,1fr)' },
        gap: 1.75,
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: { xs: 'contents', lg: 'grid' }, gap: 1.75, minWidth: 0 }}>
        <Calling moments={isPending ? [] : clocks.flatMap(momentsOf)} title={tabTitle} />
        {unreadable.length > 0 && <CannotBeRead batches={unreadable} />}
        {/* All at once, so that nothing jumps when the pots come. */}
        {isPending ? (
          <Box sx={{ minHeight: { xs: '100vh', lg: 0 } }}>
            <Loading />
          </Box>
        ) : (
          <>
            {pots.length > 0 ? (
              <OnTheStove board={pots} />
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
            {pots.length === 0 && (
              <Suspense>
                <HowItWorks />
              </Suspense>
            )}
            {clocks.length > pots.length && <Clocks clocks={clocks} />}
            {!solving && (
              <>
                {/* On a phone it stands last: nothing is below it that could jump. */}
                <Box sx={{ order: { xs: 1, lg: 0 }, minWidth: 0 }}>
                  <FeastSoon kitchen={kitchen} nowMs={nowMs} />
                </Box>
                <NextUp board={pots} plans={plans} nowMs={nowMs} zone={kitchen.zone} />
                {on.length > 0 && <SideJobs framed on={on} nowMs={nowMs} zone={kitchen.zone} />}
              </>
            )}
          </>
        )}
      </Box>
      {/* On a phone it stands below: it comes once nothing above it grows any more. */}
      <Box
        sx={{
          display: { xs: isPending || solving ? 'none' : 'grid', lg: 'grid' },
          gap: 1.75,
          minWidth: 0,
        }}
      >
        <WantsALook />
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
function Clocks({ clocks }: { clocks: readonly RunningClock[] }) {
  return (
    <Panel title={say('stoveHome.clocks')}>
      {clocks.map((clock) => (
        <Row
          key={clock.key}
          testId="clock-row"
          label={<Link to={`/batches/${clock.batchId}/stove`}>{clock.label}</Link>}
        >
          <Left endMs={clock.endMs} />
        </Row>
      ))}
    </Panel>
  );
}
