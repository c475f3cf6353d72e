import '../../../words/places/batch.ts';
import { activeEvents } from '@big-ladle/core/log';
import type { Step } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { useBatchEvents } from '../../../shared/batch/state.ts';
import { useMade } from '../../../shared/batchQueries.ts';
import { role } from '../../../theme/theme.ts';
import { sayNoted } from '../../../words/saidWords.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** What was noted at this step when it was made last. */
export function LastTime({ live, step }: { live: LiveBatch; step: Step }) {
  const { plan, id, createdMs, rehearsal } = live.batch;
  // Made again with a tap it is known which; else it is the one before of the same drink.
  const { batches } = useMade(useMemo(() => [plan.recipeId], [plan.recipeId]));
  const before = batches.find((b) => b.batch.id !== id && b.batch.createdMs < createdMs);
  const events = useBatchEvents(plan.again ?? (rehearsal ? undefined : before?.batch.id));
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
