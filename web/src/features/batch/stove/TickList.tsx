import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';

/** Ticks of a list, kept for as long as this page of the browser lives: they are not part of the log. */
export function useTicks(key: string) {
  const [ticked, setTicked] = useState<readonly string[]>(() => read(key));
  const tick = (code: string, on: boolean) => {
    const next = on ? [...ticked, code] : ticked.filter((c) => c !== code);
    setTicked(next);
    sessionStorage.setItem(key, JSON.stringify(next));
  };
  return { ticked, tick };
}

export function TickList(props: {
  things: readonly { code: string; text: string }[];
  ticks: ReturnType<typeof useTicks>;
}) {
  const { things, ticks } = props;
  return (
    <>
      {things.map(({ code, text }) => (
        <FormControlLabel
          key={code}
          sx={{ display: 'flex', alignItems: 'flex-start', minHeight: 48, mr: 0 }}
          control={
            <Checkbox checked={ticks.ticked.includes(code)} onChange={(_, on) => ticks.tick(code, on)} />
          }
          label={<Box sx={{ pt: 1, fontSize: '1.1rem' }}>{text}</Box>}
        />
      ))}
    </>
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
