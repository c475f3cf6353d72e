import { audienceOf, type LotMark } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { say } from '../words/say.ts';
import { Caution } from './ui.tsx';

/** What a lot is marked with, and who is to be told before a glass of it is poured. */
export function LotMarks({ marks }: { marks: readonly LotMark[] }) {
  const told = audienceOf(marks);
  if (marks.length === 0) return null;
  return (
    <Box data-testid="marks" sx={{ display: 'grid', gap: 0.75 }}>
      <Box>{marks.map((m) => say(`mark.${m}`)).join(', ')}.</Box>
      {told.length > 0 && (
        <Caution
          severity="caution"
          word="Say so first"
          text={`${told.map((a) => say(`audience.${a}`)).join(', ')}. ${say('audience.defer')}`}
        />
      )}
    </Box>
  );
}
