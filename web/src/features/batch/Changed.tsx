import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import { role } from '../../theme/theme.ts';
import { differenceOf, type Outcome, outcomeOf } from './outcome.ts';
import type { LiveBatch } from './useLiveBatch.ts';

/** Entries, besides readings and additions, that change what is to come. */
const CHANGES: ReadonlySet<string> = new Set(['removed', 'swapped', 'strainedEarly']);

/** What a reading or an addition has made of the rest: "8.3 instead of 8.9 L: sweetener 60 g less, one bottle fewer". */
export function Changed({ live }: { live: LiveBatch }) {
  const { log, forecast } = live.now;
  // Only what the cook enters changes the rest at once; time passing does so by itself, and is not told.
  const entered =
    log.measured.length + log.added.length + live.events.filter((e) => CHANGES.has(e.kind)).length;
  const before = useRef<{ entered: number; outcome: Outcome } | null>(null);
  const [text, setText] = useState('');
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once for each entry
  useEffect(() => {
    const outcome = outcomeOf(forecast, live.kitchen.bottles);
    const last = before.current;
    if (last && last.entered !== entered) setText(differenceOf(last.outcome, outcome));
    before.current = { entered, outcome };
  }, [entered, forecast]);
  return text ? (
    <Box role="status" data-testid="changed" sx={{ borderLeft: `4px solid ${role('rim')}`, pl: 1.5 }}>
      {text}
    </Box>
  ) : null;
}
