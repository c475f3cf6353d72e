import type { AskedWarning } from '@big-ladle/core/compare';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { sayWarning, sayWarningSubject } from '../words/plausibilityWords.ts';
import { say } from '../words/say.ts';

/** Amounts and times far outside what is usual, asked about once: with a tap they are meant. */
export function PlausibilityQuestions(props: {
  slips: readonly AskedWarning[];
  /** Litres that the amounts are for. */
  forL: number;
  onMeant: (key: string) => void;
}) {
  const { slips, forL, onMeant } = props;
  return slips.map(({ key, slip }) => (
    <Box
      key={key}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
      data-testid="slip"
    >
      <Box sx={{ flex: 1, minWidth: 200 }}>
        <strong>{sayWarningSubject(slip)}</strong>: {sayWarning(slip, forL)}
      </Box>
      <Button size="small" color="inherit" onClick={() => onMeant(key)}>
        {say('slip.meant')}
      </Button>
    </Box>
  ));
}
