import '../../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Schedule, Timetable } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { Fold } from '../../../shared/Fold.tsx';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { duration, moment, say, timeOfDay } from '../../../words/say.ts';
import { TimetableOut } from './TimetableOut.tsx';

/** When to begin, and when the cook is needed. */
export function TimePanel(props: {
  program: Program;
  timetable: Timetable & { stretched?: Schedule['stretched'] };
  kitchen: Kitchen;
  nowMs: number;
  /** The end stands here where no head says it. */
  withEnd?: boolean;
}) {
  const { program, timetable, kitchen, nowMs, withEnd } = props;
  const { zone } = kitchen;
  // Calls that follow directly on one another are one sitting.
  const sittings: { startMs: number; endMs: number; kinds: string[] }[] = [];
  for (const call of timetable.calls) {
    const step = program.steps.find((s) => s.id === call.stepId);
    const name = (step ? stepName(step, program) : say(`step.${call.kind}`)).toLowerCase();
    const last = sittings.at(-1);
    if (last && call.startMs - last.endMs < 60_000) {
      last.endMs = call.endMs;
      last.kinds.push(name);
    } else sittings.push({ startMs: call.startMs, endMs: call.endMs, kinds: [name] });
  }
  return (
    <Panel label={say('panels.whenYouAreNeeded')}>
      {withEnd && <Row label={say('common.inBottles2')}>{moment(timetable.readyMs, nowMs, zone)}</Row>}
      {(timetable.stretched ?? []).map((s) => {
        const step = program.steps.find((p) => p.id === s.beforeStepId);
        return (
          <Box key={s.beforeStepId} sx={{ color: role('inkMuted'), mt: 1 }} data-testid="stretched">
            {say('panels.itWaitsLongerBefore', {
              by: duration(s.byMin),
              stepName: step ? stepName(step, program).toLowerCase() : '',
            })}
          </Box>
        );
      })}
      <Fold summary={say('panels.whenYouAreNeeded')} testId="hour-by-hour">
        <Box sx={{ color: role('inkMuted') }}>
          {say('panels.inAllOfYour', {
            total: duration(timetable.totalMin),
            handsOn: duration(timetable.handsOnMin),
          })}
        </Box>
        {sittings.map((s) => (
          <Row key={s.startMs} label={s.kinds.join(', ')} note={duration((s.endMs - s.startMs) / 60_000)}>
            {moment(s.startMs, nowMs, zone)}–{timeOfDay(s.endMs, zone)}
          </Row>
        ))}
        {!withEnd && <Row label={say('common.inBottles2')}>{moment(timetable.readyMs, nowMs, zone)}</Row>}
        <TimetableOut
          title={sayDrink(program.recipeId)}
          program={program}
          kitchen={kitchen}
          timetable={timetable}
          fileName={`timetable-${program.recipeId}`}
        />
      </Fold>
    </Panel>
  );
}
