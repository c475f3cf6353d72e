import Box from '@mui/material/Box';
import { useState } from 'react';
import { role } from '../../../../theme/theme.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { differenceOf, outcomeOf } from './outcome.ts';

/** Entries, besides readings and additions, that change what is to come. */
const CHANGES: ReadonlySet<string> = new Set(['removed', 'swapped', 'strainedEarly']);

/** What a reading or an addition has made of the rest: "8.3 instead of 8.9 L: sweetener 60 g less, one bottle fewer". */
export function Changed({ live }: { live: LiveBatch }) {
  const { log, forecast } = live.now;
  // Only what the cook enters changes the rest at once; time passing does so by itself, and is not told.
  const entered =
    log.measured.length + log.added.length + live.events.filter((e) => CHANGES.has(e.kind)).length;
  const [seen, setSeen] = useState(() => ({
    forecast,
    entered,
    outcome: outcomeOf(forecast, live.kitchen.bottles),
    text: '',
  }));
  if (seen.forecast !== forecast) {
    const outcome = outcomeOf(forecast, live.kitchen.bottles);
    const text = seen.entered === entered ? seen.text : differenceOf(seen.outcome, outcome);
    setSeen({ forecast, entered, outcome, text });
  }
  const { text } = seen;
  return text ? (
    <Box role="status" data-testid="changed" sx={{ borderLeft: `4px solid ${role('rim')}`, pl: 1.5 }}>
      {text}
    </Box>
  ) : null;
}
