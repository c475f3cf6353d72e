import '../../../../words/places/batch.ts';
import type { Step } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { useBook } from '../../../../shared/book.ts';
import { Fold } from '../../../../shared/Fold.tsx';
import { role } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import { useJob } from '../../../../workers/useJob.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { MeasureForm } from '../forms/MeasureForm.tsx';

/**
 * The one reading that tells most of this kitchen, asked for at its step: the height before it is strained. Not asked for
 * once it was read, nor where the kitchen knows itself by then.
 */
export function BestReading({ live, step }: { live: LiveBatch; step: Step }) {
  const { own, custom } = useBook();
  const { program, kitchen } = live;
  const next = program.steps[program.steps.indexOf(step) + 1];
  const asks = next?.kind === 'strain' && !live.batch.rehearsal;
  const job = useMemo(
    () => (asks ? { kind: 'toRead' as const, program, kitchen } : null),
    [asks, program, kitchen],
  );
  const reading = useJob(job, own, custom).result?.reading;
  const taken = live.now.log.measured.some(
    (m) => m.body.stepId === step.id && m.body.reading.what === 'level',
  );
  if (!asks || taken || reading?.stepId !== step.id) return null;
  return (
    <Box data-testid="best-reading" sx={{ borderLeft: `4px solid ${role('rim')}`, pl: 1.5 }}>
      <Fold lazily summary={say('bestReading.ask')}>
        <Box sx={{ mb: 1 }}>{say('bestReading.how')}</Box>
        <MeasureForm live={live} first="level" />
      </Fold>
    </Box>
  );
}
