import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import { heading, role } from '../../../../theme/theme.ts';
import { duration, moment, say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** Nothing heats the pot: its clock stands still, the model lets it cool. */
export function FlameOut({ live }: { live: LiveBatch }) {
  const { flameOut } = live.now;
  if (!flameOut) return null;
  const goneMin = Math.max(0, (live.nowMs - flameOut.sinceMs) / 60_000);
  return (
    <Box
      role="status"
      data-testid="flame-out"
      sx={{ borderLeft: `4px solid ${role('caution')}`, pl: 1.5, display: 'grid', gap: 0.5 }}
    >
      <Box sx={{ ...heading, fontSize: '1.8rem' }}>{say('flameOut.theClockStandsStill')}</Box>
      <Box>
        {say('flameOut.noFlameSinceAgo', {
          since: moment(flameOut.sinceMs, live.nowMs, live.kitchen.zone),
          gone: duration(goneMin),
          left: duration(flameOut.leftMin),
        })}
      </Box>
    </Box>
  );
}
