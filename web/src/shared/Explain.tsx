import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { type Term, useOverlay } from './help.ts';

/** A figure's word or unit: a tap tells what it means. */
export function Explain({ term, children }: { term: Term; children: ReactNode }) {
  const help = useOverlay((s) => s.help);
  return (
    <ButtonBase
      onClick={() => help(term)}
      aria-haspopup="dialog"
      data-explains={term}
      title={say('help.what')}
      sx={{
        font: 'inherit',
        color: 'inherit',
        verticalAlign: 'baseline',
        borderBottom: `1.5px dotted ${role('line')}`,
        minHeight: 24,
      }}
    >
      {children}
    </ButtonBase>
  );
}
