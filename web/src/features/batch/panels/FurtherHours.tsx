import '../../../words/places/batch.ts';
import { furtherHours, type StandingRow, standingSteps } from '@big-ladle/core/compare';
import Box from '@mui/material/Box';
import { useMemo, useState } from 'react';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { Fold } from '../../../shared/Fold.tsx';
import { Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { duration, percent, say } from '../../../words/say.ts';
import type { PanelInput } from './input.ts';

/** What each further hour of what stands would give, and what it would cost in days: said before, not afterwards. */
export function FurtherHours(input: PanelInput) {
  return standingSteps(input.program).map((stepId) => <OfAStep key={stepId} {...input} stepId={stepId} />);
}

/** Worked out only where it is looked at: each row is a whole batch. */
function OfAStep(input: PanelInput & { stepId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Fold
      summary={say('furtherHours.ofAStep', { step: nameOf(input, input.stepId) })}
      testId="further-hours"
      onToggle={setOpen}
    >
      {open && <Hours {...input} />}
    </Fold>
  );
}

const nameOf = ({ program }: PanelInput, stepId: string): string => {
  const step = program.steps.find((s) => s.id === stepId);
  return step ? stepName(step, program).toLowerCase() : '';
};

function Hours({ program, kitchen, tables, startMs, nowMs, stepId }: PanelInput & { stepId: string }) {
  const rows = useMemo(
    () => furtherHours(program, stepId, kitchen, tables, { startMs, nowMs }),
    [program, stepId, kitchen, tables, startMs, nowMs],
  );
  if (rows.length === 0) return <Box>{say('furtherHours.none')}</Box>;
  return (
    <>
      {rows.map((row) => (
        <Row
          key={row.which}
          label={say(`furtherHours.${row.which}`, { time: duration(row.minutes) })}
          note={row.which === 'planned' ? '' : changeText(row)}
        >
          {keepsText(row)}
        </Row>
      ))}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }}>{say('furtherHours.note')}</Box>
    </>
  );
}

/** How much stronger or weaker than as it is planned. */
const changeText = ({ strength }: StandingRow): string => {
  const more = strength - 1;
  if (Math.abs(more) < 0.005) return say('furtherHours.asStrong');
  return say(more > 0 ? 'furtherHours.stronger' : 'furtherHours.weaker', { share: percent(Math.abs(more)) });
};

const keepsText = ({ verdict, keepsDays }: StandingRow): string =>
  verdict === 'throwOut' || keepsDays === 0
    ? say('furtherHours.notToBeKept')
    : say('furtherHours.keeps', { days: keepsDays, daysText: num(keepsDays) });
