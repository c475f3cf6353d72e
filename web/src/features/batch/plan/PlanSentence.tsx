import '../../../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import { MomentField } from '../../../shared/dates/MomentField.tsx';
import { role } from '../../../theme/theme.ts';
import { litres } from '../../../words/quantities.ts';
import { duration, moment, say } from '../../../words/say.ts';
import { PotsAndRings } from './PotsAndRings.tsx';
import { inSentence } from './sentenceField.ts';
import type { MadePlan } from './useMadePlan.ts';

/** "I want 9 L in bottles, in the blue pot on the gas ring, ready by …": the plan in one sentence that is filled in. */
export function PlanSentence(props: {
  plan: PlanDoc;
  kitchen: Kitchen;
  nowMs: number;
  worked: MadePlan;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, kitchen, nowMs, worked, onChange } = props;
  const { shown, timetable, farAhead, late } = worked;
  return (
    <Box sx={{ mb: 1.5, display: 'flex', flexWrap: 'wrap', gap: '4px 8px', alignItems: 'baseline' }}>
      <span>{say('planTable.iWant')}</span>
      <strong data-testid="wish-now">
        {shown.ok
          ? say('planTable.inBottles', { litres: litres(shown.value.litres) })
          : say('planTable.moreThanGoes')}
      </strong>
      <PotsAndRings plan={plan} kitchen={kitchen} onChange={onChange} />
      <span>
        {say('planTable.readyBy')}{' '}
        <MomentField
          label={say('planTable.readyBy2')}
          ms={plan.readyAtMs}
          kitchen={kitchen}
          nowMs={nowMs}
          invalid={farAhead}
          onChange={(readyAtMs) => onChange({ ...plan, readyAtMs })}
          sx={inSentence}
        />
      </span>
      {farAhead && (
        <Box component="span" role="alert" data-testid="far-ahead" sx={{ color: role('danger') }}>
          {say('plan.farAhead')}
        </Box>
      )}
      {timetable && !farAhead && (
        <Box component="span" data-testid="start-by" sx={{ color: late ? role('danger') : role('inkMuted') }}>
          {plan.readyAtMs === null
            ? timetable.startMs > nowMs + 60_000
              ? say('planTable.begunWhenYouAre', {
                  start: moment(timetable.startMs, nowMs, kitchen.zone),
                  ready: moment(timetable.readyMs, nowMs, kitchen.zone),
                })
              : say('planTable.begunNowItIs', { ready: moment(timetable.readyMs, nowMs, kitchen.zone) })
            : late && timetable.startMs >= nowMs
              ? say('planTable.notWithYourHours')
              : late
                ? say('planTable.tooLateBy', { now: duration((nowMs - timetable.startMs) / 60_000) })
                : say('common.startBy', { start: moment(timetable.startMs, nowMs, kitchen.zone) })}
        </Box>
      )}
    </Box>
  );
}
