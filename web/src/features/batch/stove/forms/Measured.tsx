import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import { readingText } from '../../../../shared/log/logWords.ts';
import { volume } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** What was measured in this step, against what the model had. */
export function Measured({ live }: { live: LiveBatch }) {
  const { step, now } = live;
  const mine = now.log.measured.filter((e) => e.body.stepId === step?.id);
  if (mine.length === 0) return null;
  const differenceL = now.forecast.flows
    .filter((f) => f.stepId === step?.id && f.code === 'measured')
    .reduce((sum, f) => sum + f.volumeL, 0);
  return (
    <Box data-testid="measured" role="status">
      {say('stovePage.enteredTrueOtherThan', {
        mine: mine.map((e) => readingText(e.body.reading)).join(', '),
        difference: volume(Math.abs(differenceL)),
        differenceSome: differenceL > 0,
        differenceSome2: Math.abs(differenceL) > 0.005,
      })}
    </Box>
  );
}
