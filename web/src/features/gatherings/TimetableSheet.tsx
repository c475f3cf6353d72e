import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { COOK, type FeastTimes, type Sized } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import { byDay, jobLine, sayFeastDrink, sayPerson } from '../../shared/gatherings/sayJob.ts';
import { Sheet, type SheetPlace } from '../../shared/Sheet.tsx';
import { litres } from '../../words/quantities.ts';
import { fullDay, say, timeOfDay } from '../../words/say.ts';
import { sayGroup } from './sayFeast.ts';

/** The timetable on one page, to hang on the fridge: it shows on paper, or stands beside the screen for a picture of it. */
export function TimetableSheet(props: {
  gathering: GatheringDoc;
  sized: Sized;
  times: FeastTimes;
  kitchen: Kitchen;
  nowMs: number;
  place: SheetPlace;
}) {
  const { gathering, sized, times, kitchen, nowMs, place } = props;
  const { zone } = kitchen;
  return (
    <Sheet place={place} testId="timetable-sheet" fontSize="9pt">
      <Box component="h1" sx={{ fontSize: '18pt', m: 0 }}>
        {gathering.name}
      </Box>
      <Box sx={{ mb: '2mm' }}>
        {say('gathering.when', {
          day: fullDay(gathering.servesAtMs, zone),
          from: timeOfDay(gathering.servesAtMs, zone),
          to: timeOfDay(gathering.untilMs, zone),
        })}
        {'. '}
        {gathering.groups.map(sayGroup).join(', ')}
        {'. '}
        {sized.drinks.map((d) => `${sayFeastDrink(d)}: ${litres(d.litres)}`).join(', ')}
      </Box>
      <Box sx={{ columnCount: 2, columnGap: '8mm' }}>
        {byDay(times.jobs, zone, nowMs).map(({ day, jobs }) => (
          <Box key={day} sx={{ mb: '3mm' }}>
            <Box component="h2" sx={{ fontSize: '12pt', m: 0 }}>
              {day}
            </Box>
            {jobs.map((job) => (
              <Box
                key={`${job.drinkId} ${job.jobId}`}
                sx={{ display: 'flex', gap: '2mm', breakInside: 'avoid', borderBottom: '1px solid #bbb' }}
              >
                <strong>{timeOfDay(job.startMs, zone)}</strong>
                <span>
                  {jobLine(job, sized)}
                  {job.by !== null && job.by !== COOK && ` (${sayPerson(job.by, gathering)})`}
                </span>
              </Box>
            ))}
          </Box>
        ))}
      </Box>
    </Sheet>
  );
}
