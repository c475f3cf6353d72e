import Box from '@mui/material/Box';
import { BottleDrawing } from '../../shared/drawings/BottleDrawing.tsx';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';

/** More bottles than these do not stand beside one another: then their number stands there. */
const MOST = 9;
const HIGH = 58;

/** Bottles of a litre, the last one as full as it is. */
export function LotBottles({ litres, colour }: { litres: number; colour: string }) {
  const count = Math.ceil(litres - 0.05);
  const shown = Math.min(count, MOST);
  return (
    <Box
      sx={{ display: 'flex', alignItems: 'flex-end', gap: '2px', borderBottom: `2px solid ${role('rim')}` }}
      aria-hidden="true"
    >
      {Array.from({ length: shown }, (_, i) => (
        <BottleDrawing
          // biome-ignore lint/suspicious/noArrayIndexKey: bottles of one drink are all the same
          key={i}
          sizeMl={1000}
          share={i === count - 1 ? litres - i : 1}
          colour={colour}
          height={HIGH}
        />
      ))}
      {count > MOST && <Box sx={{ pl: 0.5, fontSize: '0.9rem' }}>×{num(count)}</Box>}
    </Box>
  );
}
