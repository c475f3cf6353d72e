import type { Timetable } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { stepHow } from '../../../shared/batch/stepWords.ts';
import { saveCalendar } from '../../../shared/calendar.ts';
import { usePrint } from '../../../shared/usePrint.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';
import { TimetableSheet } from './TimetableSheet.tsx';

/** The timetable as a calendar file, and to print. */
export function TimetableOut(props: {
  title: string;
  program: Program;
  kitchen: LiveBatch['kitchen'];
  timetable: Timetable;
  fileName: string;
}) {
  const { title, program, kitchen, timetable, fileName } = props;
  const { printing, print } = usePrint();
  const save = () =>
    saveCalendar(
      fileName,
      { name: title, product: 'timetable' },
      timetable.calls.flatMap((call) => {
        const step = program.steps.find((s) => s.id === call.stepId);
        return step
          ? {
              id: `${fileName}-${call.stepId}`,
              startMs: call.startMs,
              endMs: call.endMs,
              summary: `${stepName(step, program)} (${title})`,
              description: stepHow(step, program),
            }
          : [];
      }),
    );
  return (
    <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap', '@media print': { display: 'none' } }}>
      <Button variant="outlined" onClick={() => void save()}>
        {say('common.intoTheCalendar')}
      </Button>
      <Button variant="outlined" onClick={print}>
        {say('common.print')}
      </Button>
      {printing && <TimetableSheet title={title} program={program} kitchen={kitchen} timetable={timetable} />}
    </Box>
  );
}
