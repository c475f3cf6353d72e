import '../words/places/steps.ts';
import type { Guidance as Row } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { num } from '../words/numbers.ts';
import { say, sayCode } from '../words/say.ts';
import { Caution } from './ui.tsx';

/** What is to be said here: dangers in sight, the rest one tap away. */
export function Guidance({ rows }: { rows: readonly Row[] }) {
  const [open, setOpen] = useState(false);
  const dangers = rows.filter((r) => r.severity === 'danger');
  const rest = rows.filter((r) => r.severity !== 'danger');
  if (rows.length === 0) return null;
  const line = (row: Row) => (
    <Caution
      key={row.code}
      severity={row.severity}
      word={say(`severity.${row.severity}`)}
      text={sayCode(`guide.${row.code}`)}
    />
  );
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'stretch' }} data-testid="guidance">
      {dangers.map(line)}
      {rest.length > 0 && (
        <Button
          variant="text"
          aria-expanded={open}
          sx={{ justifySelf: 'start', minHeight: 56 }}
          onClick={() => setOpen(!open)}
          data-testid="guidance-more"
        >
          {open ? say('guidance.fewer') : say('guidance.more', { count: num(rest.length) })}
        </Button>
      )}
      {open && rest.map(line)}
    </Box>
  );
}
