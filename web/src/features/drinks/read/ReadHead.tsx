import '../../../words/places/drinks.ts';
import type { Mark } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import { heading } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { say } from '../../../words/say.ts';
import { MARK_STYLES } from './marks.ts';

/** How much was read, how much of it is unsure, how much nobody understood: never "all clear" over something lost. */
export function ReadHead({ counts }: { counts: Readonly<Record<Mark, number>> }) {
  const one = (mark: Mark, key: 'readPage.read' | 'readPage.unsure' | 'readPage.notUnderstood') => (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.75 }} data-testid={`count-${mark}`}>
      <Box component="span" sx={{ ...heading, fontSize: '1.5rem' }}>
        {num(counts[mark])}
      </Box>
      <Box component="span" sx={counts[mark] > 0 || mark === 'read' ? MARK_STYLES[mark] : {}}>
        {say(key)}
      </Box>
    </Box>
  );
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }} role="status">
      {one('read', 'readPage.read')}
      {one('unsure', 'readPage.unsure')}
      {one('notUnderstood', 'readPage.notUnderstood')}
    </Box>
  );
}
