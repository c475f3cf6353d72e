import '../../../words/places/batch.ts';
import { activeEvents } from '@big-ladle/core/log';
import type { Step } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useBatchEvents } from '../../../shared/batch/state.ts';
import { role } from '../../../theme/theme.ts';
import { sayNoted } from '../../../words/saidWords.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** What was noted at this step when it was made last. */
export function LastTime({ live, step }: { live: LiveBatch; step: Step }) {
  const events = useBatchEvents(live.batch.plan.again);
  const first = live.program.steps[0]?.id === step.id;
  const notes = activeEvents(events).flatMap((e) =>
    e.kind === 'noted' && (e.body.stepId === step.id || (first && e.body.stepId === undefined))
      ? [sayNoted(e.body)]
      : [],
  );
  if (notes.length === 0) return null;
  return (
    <Box data-testid="last-time" sx={{ borderLeft: `4px solid ${role('ready')}`, pl: 1.5 }}>
      <strong>{say('stovePage.lastTime')}</strong> {notes.join('; ')}
    </Box>
  );
}
