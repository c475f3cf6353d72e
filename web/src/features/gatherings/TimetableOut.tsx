import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { COOK, type FeastTimes, type Sized } from '@big-ladle/core/gathering';
import { mdiCalendarClockOutline } from '@mdi/js';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { saveCalendar } from '../../shared/calendar.ts';
import { byDay, jobLine, sayPerson } from '../../shared/gatherings/sayJob.ts';
import { Icon } from '../../shared/Icon.tsx';
import { TextOut } from '../../shared/TextOut.tsx';
import { fullDay, say, timeOfDay } from '../../words/say.ts';
import { TimetableSheet } from './TimetableSheet.tsx';

/** Before each job the calendar calls. */
const ALARM_MIN = 10;

/** The timetable to take along: as text, on one printed page, as a picture, and as a calendar with an alarm for each job. */
export const TimetableOut = memo(function TimetableOut(props: {
  gathering: GatheringDoc;
  sized: Sized;
  times: FeastTimes;
  kitchen: Kitchen;
  nowMs: number;
}) {
  const { gathering, sized, times, kitchen, nowMs } = props;
  const { zone } = kitchen;
  const days = byDay(times.jobs, zone, nowMs);
  const who = (by: string | null) => (by === null || by === COOK ? '' : ` (${sayPerson(by, gathering)})`);
  const text = [
    gathering.name,
    say('gathering.when', {
      day: fullDay(gathering.servesAtMs, zone),
      from: timeOfDay(gathering.servesAtMs, zone),
      to: timeOfDay(gathering.untilMs, zone),
    }),
    ...days.flatMap(({ day, jobs }) => [
      '',
      day,
      ...jobs.map((j) => `${timeOfDay(j.startMs, zone)}  ${jobLine(j, sized)}${who(j.by)}`),
    ]),
    '',
  ].join('\n');
  const calendar = () =>
    saveCalendar(
      gathering.name,
      { name: gathering.name, product: 'Gathering' },
      days.flatMap(({ jobs }) =>
        jobs.map((j) => ({
          id: `${j.drinkId}-${j.jobId}`,
          startMs: j.startMs,
          endMs: j.endMs,
          summary: `${jobLine(j, sized)}${who(j.by)}`,
          alarmMin: ALARM_MIN,
        })),
      ),
    );
  return (
    <TextOut
      title={say('timetable.takeAlong')}
      what={say('timetable.what')}
      fileName={`${gathering.name}.txt`}
      text={text}
      sheet={(place) => <TimetableSheet {...{ gathering, sized, times, kitchen, nowMs, place }} />}
    >
      <Button
        variant="outlined"
        startIcon={<Icon path={mdiCalendarClockOutline} />}
        onClick={() => void calendar()}
      >
        {say('timetable.calendar')}
      </Button>
    </TextOut>
  );
});
