import '../../words/places/logbook.ts';
import {
  LOGBOOK_ORDERS,
  type LogbookOrder,
  type LookedFor,
  QUARTERS,
  type Quarter,
} from '@big-ladle/core/learn';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { num } from '../../words/numbers.ts';
import { monthName, say } from '../../words/say.ts';

/** What a cook looks for, as she enters it. */
export type Asked = Omit<LookedFor, 'text'> & { text: string };

export const NOTHING_ASKED: Asked = {
  text: '',
  quarter: null,
  atLeast: null,
  wasted: false,
  order: 'newest',
};

/** Scores that are looked for, or better ones. */
const SCORES = [3, 4, 5];

/** A few answers in a list, as the system draws it: said in one line, chosen by thumb as well. */
function Pick(props: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  const { label, value, onChange, children } = props;
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
      sx={{ minWidth: 150 }}
    >
      {children}
    </TextField>
  );
}

/** By drink or word, time of the year, score, and what was thrown out; in which order. */
export function LookFor({ asked, onAsk }: { asked: Asked; onAsk: (asked: Asked) => void }) {
  const change = (part: Partial<Asked>) => onAsk({ ...asked, ...part });
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
      <TextField
        label={say('logbook.find')}
        value={asked.text}
        onChange={(e) => change({ text: e.target.value })}
        sx={{ width: 220, maxWidth: '100%' }}
      />
      <Pick
        label={say('logbook.when')}
        value={String(asked.quarter ?? '')}
        onChange={(q) => change({ quarter: q === '' ? null : (Number(q) as Quarter) })}
      >
        <option value="">{say('logbook.anyTime')}</option>
        {QUARTERS.map(([first, , last], i) => (
          <option key={first} value={i}>
            {say('logbook.quarter', { first: monthName(first), last: monthName(last) })}
          </option>
        ))}
      </Pick>
      <Pick
        label={say('logbook.liked')}
        value={String(asked.atLeast ?? '')}
        onChange={(score) => change({ atLeast: score === '' ? null : Number(score) })}
      >
        <option value="">{say('logbook.anyScore')}</option>
        {SCORES.map((score) => (
          <option key={score} value={score}>
            {score === 5
              ? say('common.of', { score: num(5) })
              : say('logbook.atLeast', { score: num(score) })}
          </option>
        ))}
      </Pick>
      <Pick
        label={say('logbook.order')}
        value={asked.order}
        onChange={(order) => change({ order: order as LogbookOrder })}
      >
        {LOGBOOK_ORDERS.map((order) => (
          <option key={order} value={order}>
            {say(`logbook.order.${order}`)}
          </option>
        ))}
      </Pick>
      <FormControlLabel
        control={<Checkbox checked={asked.wasted} onChange={(_, wasted) => change({ wasted })} />}
        label={say('logbook.wasted')}
      />
    </Box>
  );
}
