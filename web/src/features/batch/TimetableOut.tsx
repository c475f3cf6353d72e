import type { Program, Timetable } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stepHow, stepName } from '../../shared/batch/stepWords.ts';
import { saveText } from '../../shared/saveText.ts';

/** The timetable as a calendar file, and to print. */
export function TimetableOut(props: {
  title: string;
  program: Program;
  timetable: Timetable;
  fileName: string;
}) {
  const { title, program, timetable, fileName } = props;
  const save = async () => {
    // Asked for now and then: not part of the page.
    const { default: ical } = await import('ical-generator');
    const calendar = ical({ name: title, prodId: { company: 'Big Ladle', product: 'timetable' } });
    for (const call of timetable.calls) {
      const step = program.steps.find((s) => s.id === call.stepId);
      if (!step) continue;
      calendar.createEvent({
        id: `${fileName}-${call.stepId}`,
        start: new Date(call.startMs),
        end: new Date(call.endMs),
        summary: `${stepName(step, program)} (${title})`,
        description: stepHow(step, program),
      });
    }
    saveText(`${fileName}.ics`, calendar.toString(), 'text/calendar');
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap', '@media print': { display: 'none' } }}>
      <Button variant="outlined" onClick={() => void save()}>
        Into the calendar
      </Button>
      <Button variant="outlined" onClick={() => window.print()}>
        Print
      </Button>
    </Box>
  );
}
