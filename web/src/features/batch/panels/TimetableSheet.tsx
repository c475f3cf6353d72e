import '../../../words/places/batch.ts';
import type { Timetable } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { createPortal } from 'react-dom';
import { placeName, stepName } from '../../../shared/batch/stepNames.ts';
import { stepHow } from '../../../shared/batch/stepWords.ts';
import { duration, longDay, say, timeOfDay } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

const cell = { borderTop: '1px solid #999', py: '1.5mm', pr: '4mm', verticalAlign: 'top', textAlign: 'left' };

/** The timetable on a sheet of its own, to hang beside the stove: it shows on paper only. */
export function TimetableSheet(props: {
  title: string;
  program: Program;
  kitchen: LiveBatch['kitchen'];
  timetable: Timetable;
}) {
  const { title, program, kitchen, timetable } = props;
  const { zone } = kitchen;
  return createPortal(
    <Box className="sheet" data-testid="timetable-sheet" sx={{ color: '#000', fontSize: '11pt' }}>
      <Box component="h1" sx={{ fontSize: '20pt', m: 0 }}>
        {title}
      </Box>
      <Box sx={{ mb: '4mm' }}>
        {say('timetableSheet.fromInBottlesOf', {
          start: longDay(timetable.startMs, zone),
          start2: timeOfDay(timetable.startMs, zone),
          ready: longDay(timetable.readyMs, zone),
          ready2: timeOfDay(timetable.readyMs, zone),
          handsOn: duration(timetable.handsOnMin),
        })}
      </Box>
      <Box component="table" sx={{ width: '100%', borderCollapse: 'collapse' }}>
        <thead>
          <tr>
            {[
              say('timetableSheet.from'),
              say('timetableSheet.to'),
              say('timetableSheet.do'),
              say('common.where'),
              say('stovePage.done'),
            ].map((head) => (
              <Box component="th" key={head} sx={cell}>
                {head}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {timetable.calls.map((call) => {
            const step = program.steps.find((s) => s.id === call.stepId);
            if (!step) return null;
            return (
              <tr key={call.stepId}>
                <Box component="td" sx={{ ...cell, whiteSpace: 'nowrap' }}>
                  {timeOfDay(call.startMs, zone)}
                </Box>
                <Box component="td" sx={{ ...cell, whiteSpace: 'nowrap' }}>
                  {timeOfDay(call.endMs, zone)}
                </Box>
                <Box component="td" sx={cell}>
                  <strong>{stepName(step, program)}</strong> {stepHow(step, program)}
                </Box>
                <Box component="td" sx={{ ...cell, whiteSpace: 'nowrap' }}>
                  {placeName(program, kitchen, step)}
                </Box>
                <Box component="td" sx={cell}>
                  ☐
                </Box>
              </tr>
            );
          })}
        </tbody>
      </Box>
    </Box>,
    document.body,
  );
}
