import { idleJobs, placeJobs } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { v7 as uuid } from 'uuid';
import type { RunningClock } from '../../shared/batch/onBatches.ts';
import { role, thumb } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { duration, moment, say } from '../../words/say.ts';
import type { LiveBatch } from './useBatchNow.ts';

/** Fewer minutes than this are no time to begin something else. */
const WORTH_MS = 8 * 60_000;

/** What the hands can do meanwhile, so that it is all done when the pot is. */
export function WhileItWaits({ live, clock }: { live: LiveBatch; clock: RunningClock | null }) {
  const { step, program, tables, kitchen, nowMs } = live;
  if (!step || step.attention === 'handsOn' || !clock || clock.endMs - nowMs < WORTH_MS) return null;
  const running = new Set(live.now.log.clocks.map((c) => c.label));
  const jobs = placeJobs(idleJobs(program, step.id, tables), nowMs, clock.endMs)
    .map((job) => ({
      ...job,
      text: say(`job.${job.code}`, { list: job.itemIds.map((id) => sayItem(id).toLowerCase()).join(', ') }),
    }))
    .filter((job) => !running.has(job.text));
  if (jobs.length === 0) return null;
  return (
    <Box data-testid="while-it-waits" sx={{ display: 'grid', gap: 1 }}>
      <span>While it looks after itself:</span>
      {jobs.map((job) => (
        <Box key={job.code} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <Box sx={{ flex: '1 1 180px' }}>
            {job.text}
            <Box sx={{ color: role('inkMuted') }}>
              {duration(job.minutes)}, from{' '}
              {job.beginMs <= nowMs ? 'now' : moment(job.beginMs, nowMs, kitchen.zone)}
            </Box>
          </Box>
          <Button
            variant="outlined"
            color="inherit"
            sx={thumb}
            onClick={() =>
              void live.say([
                {
                  kind: 'clockStarted',
                  body: { clockId: uuid(), label: job.text.slice(0, 60), minutes: job.minutes },
                },
              ])
            }
          >
            Begin it
          </Button>
        </Box>
      ))}
    </Box>
  );
}
