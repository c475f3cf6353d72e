import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import {
  COOK,
  type Feast,
  type FeastJob,
  type FeastTimes,
  type Sized,
  SLOT_MIN,
} from '@big-ladle/core/gathering';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useCallback } from 'react';
import { stepAlone } from '../../shared/batch/stepNames.ts';
import type { GatheringChange } from '../../shared/gatherings/gatherings.ts';
import { byDay, jobLine, sayFeastDrink, sayJob, sayPerson } from '../../shared/gatherings/sayJob.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { litres } from '../../words/quantities.ts';
import { duration, moment, say, timeOfDay } from '../../words/say.ts';
import { DaysLanes } from './DaysLanes.tsx';
import { sayJoin } from './sayFeast.ts';
import { TimetableOut } from './TimetableOut.tsx';

/** The days until it is served, drawn and in words; what is done once for several drinks; and why it cannot be. */
export const DaysPanel = memo(function DaysPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  times: FeastTimes;
  impossible: Feast['impossible'];
  searching: boolean;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, sized, times, impossible, searching, kitchen, nowMs, onChange } = props;
  const { servesAtMs, untilMs, helpers } = gathering;
  const put = useCallback(
    ({ drinkId, jobId }: FeastJob, atMs: number) =>
      onChange((g) => ({
        ...g,
        pins: [...g.pins.filter((p) => !isSame(p, { drinkId, jobId })), { drinkId, jobId, atMs }],
      })),
    [onChange],
  );
  const drinkOf = (id: string) => sized.drinks.find((d) => d.id === id);
  const names = (ids: readonly string[]) => ids.map((id) => sayFeastDrink(drinkOf(id))).join(', ');
  const first = Math.min(gathering.servesAtMs, ...times.jobs.map((j) => j.startMs));
  const days = Math.max(0, Math.ceil((gathering.servesAtMs - first) / DAY_MS - 0.5));
  const stepName = (drinkId: string, stepId: string) => {
    const program = drinkOf(drinkId)?.made?.program;
    const step = program?.steps.find((s) => s.id === stepId);
    return step && program ? stepAlone(step, program).toLowerCase() : stepId;
  };
  return (
    <>
      {times.missing.length > 0 && !searching && (
        <Panel testId="no-place" label={say('days.noPlace', { drinks: names(times.missing) })}>
          <Box sx={{ ...heading, fontSize: '1.15rem', color: role('danger') }}>
            {say('days.noPlace', { drinks: names(times.missing) })}
          </Box>
          <Box sx={{ mt: 0.5 }}>{whyNot(impossible, names)}</Box>
        </Panel>
      )}
      {times.jobs.length > 0 && (
        <Panel
          title={say('days.title', { days })}
          testId="days"
          aside={[
            times.darkMin > 0 ? say('days.dark', { time: duration(times.darkMin) }) : say('days.noDark'),
            say('days.sittings', { count: times.sittings }),
            say('days.peak', { litres: litres(times.peakL) }),
          ].join(', ')}
        >
          <DaysLanes
            {...{ servesAtMs, untilMs, helpers, sized, times, kitchen, nowMs }}
            borrowedL={gathering.borrowed.coldL}
            onPut={put}
          />
          {gathering.pins.map((pin) => {
            const job = times.jobs.find((j) => j.drinkId === pin.drinkId && j.jobId === pin.jobId);
            return (
              <Box
                key={`${pin.drinkId} ${pin.jobId}`}
                data-testid="pinned"
                sx={{ mt: 1, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
              >
                <span>
                  {say('days.pinned', {
                    what: job ? sayJob(job, drinkOf(pin.drinkId)) : pin.jobId,
                    drink: sayFeastDrink(drinkOf(pin.drinkId)),
                    at: moment(pin.atMs, nowMs, kitchen.zone),
                  })}
                </span>
                <Button
                  size="small"
                  onClick={() => onChange((g) => ({ ...g, pins: g.pins.filter((p) => !isSame(p, pin)) }))}
                >
                  {say('days.letMove')}
                </Button>
              </Box>
            );
          })}
          {times.joined.map(({ joinId, savedMin }) => (
            <Box
              key={joinId}
              data-testid="joined"
              sx={{ mt: 1, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <span>{say('days.saved', { time: duration(savedMin), what: sayJoin(joinId) })}</span>
              <Button
                size="small"
                onClick={() => onChange((g) => ({ ...g, notJoined: [...g.notJoined, joinId] }))}
              >
                {say('days.joinApart')}
              </Button>
            </Box>
          ))}
          {gathering.notJoined.map((joinId) => (
            <Box
              key={joinId}
              sx={{ mt: 1, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <span>{say('days.joinAgain', { what: sayJoin(joinId) })}</span>
              <Button
                size="small"
                onClick={() =>
                  onChange((g) => ({ ...g, notJoined: g.notJoined.filter((id) => id !== joinId) }))
                }
              >
                {say('days.joinOnce')}
              </Button>
            </Box>
          ))}
          {times.meanwhile.length > 0 && (
            <Box sx={{ mt: 1, color: role('inkMuted') }} data-testid="meanwhile">
              {say('days.meanwhile', {
                what: times.meanwhile
                  .map((m) => `${stepName(m.drinkId, m.stepId)} (${duration(m.minutes)})`)
                  .join(', '),
              })}
            </Box>
          )}
        </Panel>
      )}
      {times.jobs.length > 0 && <JobsList {...{ helpers, sized, times, nowMs }} zone={kitchen.zone} />}
      {times.jobs.length > 0 && <TimetableOut {...{ gathering, sized, times, kitchen, nowMs }} />}
    </>
  );
});

/** All jobs in words, day by day. */
const JobsList = memo(function JobsList(props: {
  helpers: GatheringDoc['helpers'];
  sized: Sized;
  times: FeastTimes;
  nowMs: number;
  zone: string;
}) {
  const { helpers, sized, times, nowMs, zone } = props;
  return (
    <Panel title={say('days.list')} testId="timetable">
      {byDay(times.jobs, zone, nowMs).map(({ day, jobs }) => (
        <Box key={day} sx={{ mb: 1.5 }}>
          <Box sx={{ ...heading, fontSize: '1.1rem' }}>{day}</Box>
          {jobs.map((job) => (
            <Row
              key={`${job.drinkId} ${job.jobId}`}
              dense
              testId="job"
              label={jobLine(job, sized)}
              note={duration((job.endMs - job.startMs) / MINUTE_MS)}
            >
              {timeOfDay(job.startMs, zone)}
              {job.by !== null && job.by !== COOK && (
                <Box component="span" sx={{ color: role('inkMuted'), fontWeight: 400 }}>
                  {' '}
                  {say('days.by', { who: sayPerson(job.by, { helpers }) })}
                </Box>
              )}
            </Row>
          ))}
        </Box>
      ))}
    </Panel>
  );
});

const isSame = (a: { drinkId: string; jobId: string }, b: { drinkId: string; jobId: string }): boolean =>
  a.drinkId === b.drinkId && a.jobId === b.jobId;

/** Why no hours were found, as far as it is known for certain. */
function whyNot(impossible: Feast['impossible'], names: (ids: readonly string[]) => string): string {
  switch (impossible?.kind) {
    case 'alone':
      return say('days.cannotBe.alone', { drink: names([impossible.chainId]) });
    case 'supply':
      return say('days.cannotBe.supply', {
        needed: litres(impossible.needed),
        there: litres(impossible.there),
      });
    case 'work':
      return say('days.cannotBe.work', {
        needed: duration(impossible.needed * SLOT_MIN),
        there: duration(impossible.there * SLOT_MIN),
      });
    default:
      return say('days.notFound');
  }
}
