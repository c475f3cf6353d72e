import '../../words/places/items.ts';
import '../../words/places/shelf.ts';
import { type BottleLife, keepDate } from '@big-ladle/core/keeping';
import type { LeftoverLife } from '@big-ladle/core/shelf';
import Box from '@mui/material/Box';
import { role } from '../../theme/theme.ts';
import { days, say, sayDate } from '../../words/say.ts';

/** The colour of a verdict; its word always stands with it. */
export const TONE: Record<BottleLife['verdict'] | LeftoverLife['verdict'], 'ready' | 'caution' | 'danger'> = {
  good: 'ready',
  drinkToday: 'caution',
  useToday: 'caution',
  past: 'danger',
  throwOut: 'danger',
};

/** The date as it stands under a bottle or a leftover. */
export const deadlineWord = (
  life: { deadlineMs: number; verdict: keyof typeof TONE },
  zone: string,
): string =>
  sayDate(
    keepDate(life, zone),
    zone,
    say(life.verdict === 'useToday' ? 'verdict.useToday' : 'verdict.drinkToday'),
  );

/** What is left of a life, as a bar. */
export function LifeBar({ life }: { life: BottleLife }) {
  return (
    <Box
      role="img"
      aria-label={
        life.leftShare > 0
          ? say('lifeDisplay.left', { left: days(Math.max(0, life.leftDays)) })
          : say('bottleShelves.nothingLeft')
      }
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
        sx={{
          height: '100%',
          bgcolor: role(TONE[life.verdict]),
          '@media (forced-colors: active)': { background: 'Highlight', forcedColorAdjust: 'none' },
        }}
        style={{ width: `${Math.round(life.leftShare * 100)}%` }}
      />
    </Box>
  );
}
