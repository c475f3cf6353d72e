import '../words/places/steps.ts';
import { type StrongShare, strongShares } from '@big-ladle/core/balance';
import { startOfToday } from '@big-ladle/core/keeping';
import Box from '@mui/material/Box';
import { role } from '../theme/theme.ts';
import { grams } from '../words/quantities.ts';
import { percent, say, sayCode } from '../words/say.ts';
import { useUse } from './queries.ts';

/** How much of a moderate day each strong herb is: "12 g of ginger, 60 % of a moderate day". */
export const sharesText = (shares: readonly StrongShare[]): string =>
  shares
    .map((s) =>
      say('strongToday.ofOfAModerate', {
        mass: grams(s.massG),
        what: sayCode(`strong.${s.marker}`),
        share: percent(s.share),
      }),
    )
    .join('; ');

/** Strong herbs in all that was poured today, for one person who drank it. */
export function useStrongToday(zone: string, nowMs: number): StrongShare[] {
  const { data } = useUse(startOfToday(nowMs, zone));
  const total: Record<string, number> = {};
  for (const u of data?.use ?? [])
    for (const [marker, massG] of Object.entries(u.strongG)) total[marker] = (total[marker] ?? 0) + massG;
  return strongShares(total);
}

/** The same, said where a glass is poured. */
export function StrongToday({ zone, nowMs }: { zone: string; nowMs: number }) {
  const shares = useStrongToday(zone, nowMs);
  if (shares.length === 0) return null;
  return (
    <Box
      data-testid="strong-today"
      sx={{ mt: 1, color: role(shares[0]!.share > 1 ? 'caution' : 'inkMuted') }}
    >
      {say('strongToday.pouredTodayInAll', { sharesText: sharesText(shares), defer: say('audience.defer') })}
    </Box>
  );
}
