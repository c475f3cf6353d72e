import type { AskedSlip } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { say } from '../words/say.ts';
import { saySlip, saySlipName } from '../words/slipWords.ts';

/** Amounts and times far outside what is usual, asked about once: with a tap they are meant. */
export function SlipQuestions(props: {
  slips: readonly AskedSlip[];
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
        <strong>{saySlipName(slip)}</strong>: {saySlip(slip, forL)}
      </Box>
      <Button size="small" color="inherit" onClick={() => onMeant(key)}>
        {say('slip.meant')}
      </Button>
    </Box>
  ));
}
