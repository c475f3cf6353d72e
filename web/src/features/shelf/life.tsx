import type { BottleLife, LeftoverLife } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { role } from '../../theme/theme.ts';
import { days, lastWholeDay, say, shortDay } from '../../words/say.ts';

/** The colour of a verdict; its word always stands with it. */
export const TONE: Record<BottleLife['verdict'] | LeftoverLife['verdict'], 'ready' | 'caution' | 'danger'> = {
  good: 'ready',
  drinkToday: 'caution',
  useToday: 'caution',
  past: 'danger',
  throwOut: 'danger',
};

/** The date as it stands under a bottle: the last whole day. */
export function deadlineWord(
  life: Pick<BottleLife, 'deadlineMs'> & { verdict: keyof typeof TONE },
  nowMs: number,
  zone: string,
): string {
  switch (life.verdict) {
    case 'throwOut':
      return say('verdict.throwOut');
    case 'past':
      return `past ${shortDay(life.deadlineMs, zone)}`;
    case 'drinkToday':
      return say('verdict.drinkToday');
    case 'useToday':
      return say('verdict.useToday');
    default:
      return lastWholeDay(life.deadlineMs, nowMs, zone);
  }
}

/** What is left of a life, as a bar. */
export function LifeBar({ life }: { life: BottleLife }) {
  return (
    <Box
      role="img"
      aria-label={life.leftShare > 0 ? `${days(Math.max(0, life.leftDays))} left` : 'nothing left'}
      sx={{
        height: 10,
        borderRadius: 5,
        bgcolor: role('hairline'),
        border: `1px solid ${role('line')}`,
        overflow: 'hidden',
        maxWidth: 320,
      }}
    >
      <Box
        sx={{ height: '100%', bgcolor: role(TONE[life.verdict]) }}
        style={{ width: `${Math.round(life.leftShare * 100)}%` }}
      />
    </Box>
  );
}
