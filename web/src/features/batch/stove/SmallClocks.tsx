import '../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { RunningClock } from '../../../shared/batch/clocks.ts';
import { Left } from '../../../shared/batch/Left.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** The clocks that run beside the large one; the cook's own can be stopped. */
export function SmallClocks({ clocks, live }: { clocks: readonly RunningClock[]; live: LiveBatch }) {
  if (clocks.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', gap: 1, overflowX: 'auto' }} data-testid="small-clocks">
      {clocks.map((clock) => (
        <Box
          key={clock.key}
          sx={{
            borderTop: `2.5px solid ${role('rim')}`,
            bgcolor: role('enamel'),
            borderRadius: '3px 3px 10px 10px',
            px: 1.5,
            py: 0.75,
            minWidth: 150,
            display: 'flex',
            alignItems: 'center',
            gap: 1,
          }}
        >
          <Box sx={{ flex: 1 }}>
            <Box sx={{ ...heading, fontSize: '1.5rem' }}>
              <Left endMs={clock.endMs} batch={live.batch} />
            </Box>
            <Box sx={{ fontSize: '1rem', color: role('inkMuted') }}>{clock.label}</Box>
          </Box>
          {clock.clockId && clock.batchId === live.batch.id && (
            <Button
              color="inherit"
              aria-label={say('stovePage.stopTheClock', { label: clock.label })}
              sx={{ minWidth: 56, minHeight: 56 }}
              onClick={() =>
                void live.record([{ kind: 'cueSeen', body: { clockId: clock.clockId!, cue: 'stopped' } }])
              }
            >
              {say('common.stop')}
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
