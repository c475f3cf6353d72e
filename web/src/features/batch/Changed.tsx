import { bottledMl, fillMl, type Simulation } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import { role } from '../../theme/theme.ts';
import { duration, grams, litres, num } from '../../words/say.ts';
import type { LiveBatch } from './useBatchNow.ts';

/** Entries, besides readings and additions, that change what is to come. */
const CHANGES: ReadonlySet<string> = new Set(['removed', 'swapped', 'strainedEarly']);

interface Outcome {
  litres: number;
  sweetG: number;
  endMin: number;
  bottles: number;
}

function outcomeOf(sim: Simulation, live: LiveBatch): Outcome {
  const mls = bottledMl(sim);
  const ml = mls.reduce((sum, each) => sum + each, 0);
  const largest = Math.max(0, ...live.kitchen.bottles.map((b) => b.volumeMl));
  return {
    litres: ml / 1000,
    // What is in already and what is still to come.
    sweetG:
      Object.values(sim.dosedG).reduce((sum, g) => sum + g, 0) +
      live.now.log.added.reduce((sum, e) => sum + (e.body.lineKind === 'sweetener' ? e.body.massG : 0), 0),
    endMin: sim.endMin,
    bottles: largest > 0 ? mls.reduce((sum, each) => sum + Math.floor(each / fillMl(largest)), 0) : 0,
  };
}

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
    const outcome = outcomeOf(forecast, live);
    const last = before.current;
    if (last && last.entered !== entered) setText(difference(last.outcome, outcome));
    before.current = { entered, outcome };
  }, [entered, forecast]);
  return text ? (
    <Box role="status" data-testid="changed" sx={{ borderLeft: `4px solid ${role('rim')}`, pl: 1.5 }}>
      {text}
    </Box>
  ) : null;
}

function difference(a: Outcome, b: Outcome): string {
  const parts: string[] = [];
  const sweet = b.sweetG - a.sweetG;
  if (Math.abs(sweet) >= 1) parts.push(`sweetener ${grams(Math.abs(sweet))} ${sweet < 0 ? 'less' : 'more'}`);
  const bottles = b.bottles - a.bottles;
  if (bottles !== 0)
    parts.push(
      `${num(Math.abs(bottles))} ${Math.abs(bottles) === 1 ? 'bottle' : 'bottles'} ${bottles < 0 ? 'fewer' : 'more'}`,
    );
  const later = b.endMin - a.endMin;
  if (Math.abs(later) >= 2) parts.push(`${duration(Math.abs(later))} ${later > 0 ? 'later' : 'sooner'}`);
  const litresText =
    Math.abs(b.litres - a.litres) >= 0.02
      ? `${litres(b.litres)} instead of ${litres(a.litres)}`
      : 'As many litres as before';
  return parts.length || Math.abs(b.litres - a.litres) >= 0.02
    ? `${litresText}${parts.length ? `: ${parts.join(', ')}` : ''}.`
    : 'As expected: nothing of the rest changes.';
}
