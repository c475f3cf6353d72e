import '../../words/places/stove.ts';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useRehearsals } from '../../shared/batchQueries.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { moment, say } from '../../words/say.ts';
import { planName, type WaitingPlan } from './usePlanStarts.ts';

/** When a plan is to begin, or what is the matter with it; nothing while that is worked out. */
function beginOf({ start }: WaitingPlan, nowMs: number, zone: string): { text: string; wrong: boolean } {
  if (!start) return { text: '\u00a0', wrong: false };
  const { litres, startMs } = start;
  if (litres === null) return { text: say('stoveHome.wantsALookIt'), wrong: true };
  if (startMs === null) return { text: say('stoveHome.noTimeSetBegin'), wrong: false };
  return startMs < nowMs
    ? { text: say('stoveHome.shouldHaveBegun', { start: moment(startMs, nowMs, zone) }), wrong: true }
    : { text: say('common.startBy', { start: moment(startMs, nowMs, zone) }), wrong: false };
}

export function Planned(props: { plans: readonly WaitingPlan[]; nowMs: number; zone: string }) {
  const { plans, nowMs, zone } = props;
  return (
    <Panel title={say('stoveHome.planned')}>
      {plans.length === 0 && (
        <Typography sx={{ color: role('inkMuted') }}>{say('stoveHome.noPlansAPlan')}</Typography>
      )}
      {plans.map((plan) => {
        const { text, wrong } = beginOf(plan, nowMs, zone);
        return (
          <Box key={plan.id} sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
            <Box
              component={Link}
              to={`/batches/${plan.id}`}
              sx={{ ...heading, color: role('ink'), display: 'inline-block', py: 0.5 }}
            >
              {planName(plan)}
            </Box>
            <Box sx={{ fontWeight: 700, color: wrong ? role('danger') : undefined }}>{text}</Box>
            {plan.readyAtMs !== null && (
              <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {say('stoveHome.ready', { readyAt: moment(plan.readyAtMs, nowMs, zone) })}
              </Box>
            )}
          </Box>
        );
      })}
    </Panel>
  );
}

/** What is only practised; it shows here until it is forgotten. */
export function Rehearsals() {
  const rehearsals = useRehearsals().data?.batches ?? [];
  if (rehearsals.length === 0) return null;
  return (
    <Panel title={say('stoveHome.rehearsals')}>
      {rehearsals.map(({ batch }) => (
        <Box key={batch.id} sx={{ py: 0.5 }}>
          <Link to={`/batches/${batch.id}/stove`}>{sayDrink(batch.plan.recipeId)}</Link>
          {batch.rehearsal?.kept ? say('stoveHome.kept') : ''}
        </Box>
      ))}
    </Panel>
  );
}
