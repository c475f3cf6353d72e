import { toLayOut } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { num, say } from '../../words/say.ts';
import type { LiveBatch } from './useBatchNow.ts';

/** Vessels, sieves, cloths and bottles, ticked off before the first step: clean, sound, and at hand. */
export function LayOut({ live }: { live: LiveBatch }) {
  const things = toLayOut(live.program, live.kitchen, live.tables);
  const key = `big-ladle-laid-out-${live.batch.id}`;
  const [ticked, setTicked] = useState<readonly string[]>(() => read(key));
  const tick = (code: string, on: boolean) => {
    const next = on ? [...ticked, code] : ticked.filter((c) => c !== code);
    setTicked(next);
    sessionStorage.setItem(key, JSON.stringify(next));
  };
  const left = things.filter((t) => !ticked.includes(t.code)).length;
  return (
    <Box component="details" data-testid="lay-out">
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 48, py: 1 }}>
        {left > 0 ? say('layOut.left', { count: num(left) }) : say('layOut.done')}
      </Box>
      {things.map(({ code, names }) => (
        <FormControlLabel
          key={code}
          sx={{ display: 'flex', alignItems: 'flex-start', minHeight: 48, mr: 0 }}
          control={<Checkbox checked={ticked.includes(code)} onChange={(_, on) => tick(code, on)} />}
          label={<Box sx={{ pt: 1 }}>{say(`layOut.${code}`, { names: names.join(', ') })}</Box>}
        />
      ))}
    </Box>
  );
}

function read(key: string): string[] {
  try {
    const stored: unknown = JSON.parse(sessionStorage.getItem(key) ?? '[]');
    return Array.isArray(stored) ? stored.filter((s): s is string => typeof s === 'string') : [];
  } catch {
    // What cannot be read has not been ticked.
    return [];
  }
}
