import '../../../words/places/gatherings.ts';
import '../../../words/places/feast.ts';
import { COOK, type FeastJob } from '@big-ladle/core/gathering';
import { MINUTE_MS } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useParams, useSearchParams } from 'react-router';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { useBook } from '../../../shared/book.ts';
import { Choice } from '../../../shared/Choice.tsx';
import { changeGathering, useGathering } from '../../../shared/gatherings/gatherings.ts';
import { MovedJobs, NextJobs } from '../../../shared/gatherings/NextJobs.tsx';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { useFeast } from '../../../shared/gatherings/useFeast.ts';
import { useKitchen } from '../../../shared/queries.ts';
import { useCoarseNow } from '../../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { dayWord, fullDay, say, timeOfDay } from '../../../words/say.ts';
import { ServingPanel } from '../ServingPanel.tsx';
import { GiftsPanel } from './GiftsPanel.tsx';
import { OnTable } from './OnTable.tsx';
import { WhatToTake } from './WhatToTake.tsx';

/** Gatherings of which this device has said who does not prepare. */
const useIllSaid = create<{ ids: readonly string[]; say: (id: string) => void }>()(
  persist((set) => ({ ids: [], say: (id) => set(({ ids }) => ({ ids: [...ids.slice(-20), id] })) }), {
    name: 'big-ladle-ill-said',
    storage: createJSONStorage(() => localStorage),
  }),
);

const EVERYBODY = 'all';

/** The day of a gathering: what each does next, what is put on the table, and what becomes of it. */
export function DayPage() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const kitchen = useKitchen();
  const book = useBook();
  const { gathering, timetable, isPending, error } = useGathering(id);
  const nowMs = useCoarseNow(MINUTE_MS);
  const feast = useFeast(id, gathering, timetable);
  const illSaid = useIllSaid();
  if (kitchen.isPending || isPending || book.isPending) return <Loading />;
  if (!kitchen.data || (!gathering && error)) return <ErrorPanel error={kitchen.error ?? error} />;
  if (!gathering)
    return <PageHead title={say('gatherings.notThere')} beside={say('gatherings.notThereWhy')} />;
  const k = kitchen.data.kitchen;
  const { sized, times } = feast;
  const asked = search.get('for');
  const who = asked === COOK || gathering.helpers.some((h) => h.id === asked) ? asked : null;
  const isToday = dayWord(gathering.servesAtMs, nowMs, k.zone) === dayWord(nowMs, nowMs, k.zone);
  const tick = (job: FeastJob) =>
    changeGathering(id, (g) => ({
      ...g,
      done: [...g.done, ...job.together.map((drinkId) => ({ drinkId, jobId: job.jobId }))],
    }));
  return (
    <>
      <PageHead
        title={say('day.title', { gathering: gathering.name })}
        beside={say('gathering.when', {
          day: fullDay(gathering.servesAtMs, k.zone),
          from: timeOfDay(gathering.servesAtMs, k.zone),
          to: timeOfDay(gathering.untilMs, k.zone),
        })}
      >
        <Button variant="outlined" component={Link} to={`/gatherings/${id}`}>
          {say('day.back')}
        </Button>
      </PageHead>
      <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
        {isToday && !illSaid.ids.includes(id) && (
          <Alert
            severity="warning"
            data-testid="who-is-ill"
            action={
              <Button size="small" color="inherit" onClick={() => illSaid.say(id)}>
                {say('day.illSaid')}
              </Button>
            }
          >
            {say('day.ill')}
          </Alert>
        )}
        {gathering.helpers.length > 0 && (
          <Choice
            label={say('day.whose')}
            value={who ?? EVERYBODY}
            options={[
              { value: EVERYBODY, text: say('day.everybody') },
              { value: COOK, text: say('nextJobs.you') },
              ...gathering.helpers.map((h) => ({ value: h.id, text: h.name })),
            ]}
            onChange={(value) => setSearch(value === EVERYBODY ? {} : { for: value }, { replace: true })}
          />
        )}
        {sized && times && (
          <Panel title={say('day.next')} testId="day-next">
            <MovedJobs {...{ feast, nowMs, zone: k.zone }} />
            <NextJobs
              {...{ gathering, sized, times, nowMs, zone: k.zone, who }}
              under={(job) => (
                <>
                  <WhatToTake job={job} sized={sized} kitchen={k} tables={book.tables} />
                  {job.extra && (
                    <Box sx={{ mt: 0.5 }}>
                      <Button size="small" variant="outlined" onClick={() => tick(job)}>
                        {say('day.done')}
                      </Button>
                    </Box>
                  )}
                </>
              )}
            />
            {gathering.done.map((d) => (
              <Button
                key={`${d.drinkId} ${d.jobId}`}
                size="small"
                onClick={() =>
                  changeGathering(id, (g) => ({
                    ...g,
                    done: g.done.filter((o) => o.drinkId !== d.drinkId || o.jobId !== d.jobId),
                  }))
                }
              >
                {say('day.notDone', {
                  what: sayExtra(d.jobId),
                  drink: sayFeastDrink(sized.drinks.find((x) => x.id === d.drinkId)),
                })}
              </Button>
            ))}
          </Panel>
        )}
        {sized && <OnTable gathering={gathering} sized={sized} kitchen={k} nowMs={nowMs} />}
        {sized && (
          <GiftsPanel
            gathering={gathering}
            sized={sized}
            nowMs={nowMs}
            onChange={(by) => changeGathering(id, by)}
          />
        )}
        {sized && gathering.drinks.length > 0 && (
          <ServingPanel gathering={gathering} sized={sized} kitchen={k} />
        )}
      </Box>
    </>
  );
}

/** What was ticked, by the name of its job. */
const sayExtra = (jobId: string): string =>
  jobId === 'shop' || jobId === 'bottles' || jobId === 'thaw' ? say(`days.${jobId}`) : jobId;
