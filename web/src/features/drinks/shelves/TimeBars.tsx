import '../../../words/places/drinks.ts';
import Box from '@mui/material/Box';
import { role } from '../../../theme/theme.ts';
import { sayRich } from '../../../words/rich.ts';
import { duration } from '../../../words/say.ts';

/** Working time as a thick bar, all of it as a thin one, both out of the shelf's time. */
export function TimeBars({
  handsOnMin,
  totalMin,
  barMin,
}: {
  handsOnMin: number;
  totalMin: number;
  barMin: number;
}) {
  const bar = (minutes: number, height: number, colour: string) => (
    <Box
      aria-hidden
      sx={{
        height,
        width: `${Math.max(4, Math.min(100, (100 * minutes) / barMin))}%`,
        bgcolor: colour,
        borderRadius: 1,
      }}
    />
  );
  return (
    <Box sx={{ flex: 1, minWidth: 0, fontSize: '0.85rem', lineHeight: 1.5 }}>
      {bar(handsOnMin, 6, role('rim'))}
      <span>{sayRich('drinksPage.work', { time: <strong>{duration(handsOnMin)}</strong> })}</span>
      {bar(totalMin, 3, role('line'))}
      <span>{sayRich('drinksPage.inAll', { time: <strong>{duration(totalMin)}</strong> })}</span>
    </Box>
  );
}
