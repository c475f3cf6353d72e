import '../../words/places/gatherings.ts';
import { followsGuests, guestsOf } from '@big-ladle/core/gathering';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useCallback, useDeferredValue } from 'react';
import { useParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { changeGathering, type GatheringChange, useGathering } from '../../shared/gatherings/gatherings.ts';
import { MovedJobs } from '../../shared/gatherings/NextJobs.tsx';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { useFeast } from '../../shared/gatherings/useFeast.ts';
import { sayPlanProblem } from '../../shared/planProblem.ts';
import { useKitchen } from '../../shared/queries.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { litresApart } from '../../words/quantities.ts';
import { fullDay, percent, say, timeOfDay } from '../../words/say.ts';
import { LastTime } from './after/LastTime.tsx';
import { CostPanel } from './CostPanel.tsx';
import { DaysPanel } from './DaysPanel.tsx';
import { GuestsAndLots } from './GuestsAndLots.tsx';
import { HowMuch } from './HowMuch.tsx';
import { MendPanel } from './MendPanel.tsx';
import { SeasonsPanel } from './SeasonsPanel.tsx';
import { SizesPanel } from './SizesPanel.tsx';
import { Settle } from './settle/Settle.tsx';
import { WaysOn } from './WaysOn.tsx';
import { WaysPanel } from './WaysPanel.tsx';

const MINUTE = 60_000;

/** A gathering: who comes and what they drink, how much of it, and the days until it is served. */
export function GatheringPage() {
  const { id = '' } = useParams();
  const kitchen = useKitchen();
  const book = useBook();
  const { gathering, timetable, version, unreachable, isPending, error } = useGathering(id);
  const nowMs = useCoarseNow(MINUTE);
  const feast = useFeast(id, gathering, timetable);
  // What is settled is shown at once; what follows from it is drawn beside, so that the next key is not kept waiting.
  const drawn = useDeferredValue(gathering) ?? gathering;
  // The same as long as it is the same gathering: what of the page does not change is not drawn again.
  const change = useCallback((by: GatheringChange) => changeGathering(id, by), [id]);
  const ensure = useCallback((assurance: number) => change((g) => ({ ...g, assurance })), [change]);
  if (kitchen.isPending || isPending || book.isPending) return <Loading />;
  if (!kitchen.data || (!gathering && error)) return <ErrorPanel error={kitchen.error ?? error} />;
  if (!gathering || !drawn)
    return <PageHead title={say('gatherings.notThere')} beside={say('gatherings.notThereWhy')} />;
  const { zone } = kitchen.data.kitchen;
  const { times, progress } = feast;
  // While a drink that was just added is worked out, what is known is that of others.
  const ids = (drinks: readonly { id: string }[]) => drinks.map((d) => d.id).join(' ');
  const sized = feast.sized && ids(feast.sized.drinks) === ids(drawn.drinks) ? feast.sized : null;
  const guests = drawn.groups.reduce((sum, g) => sum + guestsOf(g), 0);
  const drinkL = litresApart(sized?.demand.meanL ?? 0, 0);
  const giftsL = gathering.drinks
    .filter(followsGuests)
    .reduce((sum, d) => sum + (sized?.giftL.get(d.id) ?? 0), 0);
  const makeL = litresApart((sized?.totalL ?? 0) + giftsL, 0);
  return (
    <>
      <PageHead
        title={gathering.name}
        beside={say('gathering.when', {
          day: fullDay(gathering.servesAtMs, zone),
          from: timeOfDay(gathering.servesAtMs, zone),
          to: timeOfDay(gathering.untilMs, zone),
        })}
      >
        <Box sx={{ display: 'flex', columnGap: 2, flexWrap: 'wrap' }} data-testid="figures">
          <Figure value={num(guests)} unit={say('gathering.guestsOf')} />
          <Figure value={drinkL.figure} unit={`${drinkL.unit} ${say('gathering.theyDrink')}`} />
          <Figure value={makeL.figure} unit={`${makeL.unit} ${say('gathering.youMake')}`} />
        </Box>
      </PageHead>
      <WaysOn id={id} gathering={gathering} isOver={gathering.untilMs < nowMs} />
      <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
        {times?.missing.length === 0 && <MovedJobs {...{ feast, nowMs, zone }} />}
        <LastTime gathering={drawn} />
        {sized && drawn.drinks.length > 0 && <GuestsAndLots gathering={drawn} sized={sized} />}
        {sized && (
          <Box
            sx={{
              display: 'grid',
              gap: 1.75,
              gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1fr)' },
              alignItems: 'start',
            }}
          >
            <HowMuch gathering={drawn} sized={sized} house={feast.house} onAssurance={ensure} />
            <Box sx={{ display: 'grid', gap: 1.75 }}>
              {drawn.drinks.length > 0 && (
                <MendPanel
                  gathering={drawn}
                  sized={sized}
                  kitchen={kitchen.data.kitchen}
                  nowMs={nowMs}
                  onChange={change}
                />
              )}
            </Box>
          </Box>
        )}
        {unreachable && (
          <Alert severity="info" data-testid="waits-here">
            {say('gathering.waits')}
          </Alert>
        )}
        {sized?.drinks
          .filter((d) => d.problem)
          .map((d) => (
            <Alert key={d.id} severity="warning" data-testid="drink-problem">
              {d.problem?.kind === 'gone' || !d.plan
                ? say('gathering.gone')
                : `${sayFeastDrink(d)}: ${sayPlanProblem(d.plan, d.problem!, kitchen.data.kitchen)}`}
            </Alert>
          ))}
        {(progress !== null || feast.failed) && (
          <Panel label={say('days.list')}>
            <Box
              role="status"
              sx={{
                display: 'flex',
                gap: 2,
                alignItems: 'center',
                color: role('inkMuted'),
                flexWrap: 'wrap',
              }}
            >
              {feast.failed
                ? say('gathering.failed')
                : say('gathering.working', { percent: percent(progress ?? 0) })}
              {times && progress !== null && (
                <Button size="small" variant="outlined" onClick={feast.stop}>
                  {say('gathering.stop')}
                </Button>
              )}
            </Box>
          </Panel>
        )}
        {sized && times && (
          <DaysPanel
            gathering={drawn}
            sized={sized}
            times={times}
            impossible={progress === null ? feast.impossible : null}
            searching={progress !== null}
            kitchen={kitchen.data.kitchen}
            nowMs={nowMs}
            onChange={change}
          />
        )}
        {sized && times && feast.job && progress === null && times.missing.length > 0 && (
          <WaysPanel
            job={feast.job}
            missing={times.missing}
            sized={sized}
            kitchen={kitchen.data.kitchen}
            nowMs={nowMs}
            onChange={change}
          />
        )}
        {sized && <SizesPanel gathering={drawn} sized={sized} kitchen={kitchen.data.kitchen} />}
        {sized && (
          <CostPanel
            gathering={drawn}
            {...{ sized, guests }}
            kitchen={kitchen.data.kitchen}
            onChange={change}
          />
        )}
        {sized && <SeasonsPanel gathering={drawn} {...{ sized, times, nowMs }} zone={zone} />}
        <Settle
          id={id}
          version={version}
          gathering={gathering}
          sized={sized}
          times={times}
          kitchen={kitchen.data.kitchen}
          nowMs={nowMs}
          onChange={change}
        />
      </Box>
    </>
  );
}
