import '../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import type { RunningClock } from '../../../shared/batch/clocks.ts';
import { useBatchTick } from '../../../shared/batch/state.ts';
import { heading, role } from '../../../theme/theme.ts';
import { clockFace, moment, say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** How long it may stand where it is, and that it has stood there for too long. */
export function LimitLine({ limitMs, live }: { limitMs: number; live: LiveBatch }) {
  const nowMs = useBatchTick(live.batch);
  const { zone } = live.kitchen;
  const past = nowMs >= limitMs;
  return (
    <Box data-testid="limit-line" sx={{ mt: 1, fontWeight: 700, color: role(past ? 'danger' : 'caution') }}>
      {say(past ? 'stove.pastLimitLine' : 'stove.limitLine', { at: moment(limitMs, nowMs, zone) })}
    </Box>
  );
}

export function BigClock({ clock, live }: { clock: RunningClock; live: LiveBatch }) {
  const nowMs = useBatchTick(live.batch);
  const left = clock.endMs - nowMs;
  const { face, unit } = clockFace(Math.abs(left));
  const word =
    clock.kind === 'expected'
      ? left > 0
        ? say('stovePage.expectedIn')
        : say('stovePage.expectedSince')
      : left > 0
        ? clock.draws && (clock.limitMs === null || clock.endMs < clock.limitMs)
          ? say('stovePage.untilTheBestMoment')
          : say('stovePage.toGo')
        : say('stovePage.overTimeBy');
  return (
    <Box role="timer" aria-live="off" data-testid="clock" data-end-ms={Math.round(clock.endMs)}>
      <Box sx={{ color: role('inkMuted') }}>{word}</Box>
      <Box
        sx={{
          ...heading,
          fontSize: 'clamp(4.5rem, 24vw, 7.5rem)',
          lineHeight: 1,
          color: left > 0 ? role('ink') : role('caution'),
        }}
      >
        {face}
        <Box component="span" sx={{ fontSize: '0.28em', ml: 1, color: role('inkMuted') }}>
          {unit}
        </Box>
      </Box>
    </Box>
  );
}
