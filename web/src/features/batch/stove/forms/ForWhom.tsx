import '../../../../words/places/batch.ts';
import type { Gifts } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Counter } from '../../../../shared/Counter.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { num } from '../../../../words/numbers.ts';
import { say } from '../../../../words/say.ts';

interface Row {
  id: string;
  to: string;
  count: number;
}

const emptyRow = (): Row => ({ id: uuid(), to: '', count: 1 });

/** Whom bottles are meant for: so many for each, and whether to think of it next year. */
export function ForWhom(props: { bottles: number; onGifts: (gifts: Gifts | null) => void }) {
  const { bottles, onGifts } = props;
  const [open, setOpen] = useState(false);
  const [rows, setRows] = useState<readonly Row[]>(() => [emptyRow()]);
  const [occasion, setOccasion] = useState('');
  const [again, setAgain] = useState(true);
  const meant = rows.reduce((sum, r) => sum + (r.to.trim() ? r.count : 0), 0);
  const change = (next: { rows?: readonly Row[]; occasion?: string; again?: boolean }) => {
    const all = next.rows ?? rows;
    const name = (next.occasion ?? occasion).trim();
    const remind = next.again ?? again;
    setRows(all);
    setOccasion(next.occasion ?? occasion);
    setAgain(remind);
    const named = all.filter((r) => r.to.trim());
    onGifts(
      named.length === 0
        ? null
        : {
            occasion: name || say('forWhom.aGift'),
            remindNextYear: remind,
            rows: named.map((r) => ({ to: r.to.trim().slice(0, 60), count: r.count })),
          },
    );
  };
  const put = (id: string, part: Partial<Row>) =>
    change({ rows: rows.map((r) => (r.id === id ? { ...r, ...part } : r)) });
  if (!open)
    return (
      <Button variant="outlined" color="inherit" sx={thumb} onClick={() => setOpen(true)}>
        {say('forWhom.someAreForSomebody')}
      </Button>
    );
  return (
    <Box data-testid="for-whom" sx={{ display: 'grid', gap: 1.25 }}>
      <TextField
        label={say('forWhom.forWhatAFeast')}
        value={occasion}
        onChange={(e) => change({ occasion: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      {rows.map((row, i) => (
        <Box key={row.id} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <TextField
            label={say('forWhom.forWhom', { number: i + 1 })}
            value={row.to}
            onChange={(e) => put(row.id, { to: e.target.value })}
            sx={{ flex: '1 1 180px' }}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          <Counter
            count={row.count}
            text={num(row.count)}
            fewer={say('forWhom.oneFewerFor', { to: row.to || 'them' })}
            more={say('forWhom.oneMoreFor', { to: row.to || 'them' })}
            onChange={(count) => put(row.id, { count: Math.max(1, count) })}
          />
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          disabled={rows.length >= 40}
          onClick={() => change({ rows: [...rows, emptyRow()] })}
        >
          {say('forWhom.somebodyElse')}
        </Button>
        <FormControlLabel
          control={<Checkbox checked={again} onChange={(_, on) => change({ again: on })} />}
          label={say('forWhom.thinkOfItAgain')}
        />
      </Box>
      <Box sx={{ color: role(meant > bottles ? 'danger' : 'inkMuted') }}>
        {say('forWhom.ofBottlesAreMeant', {
          meant: num(meant),
          bottles: num(bottles),
          meantSome: meant > bottles,
        })}
      </Box>
    </Box>
  );
}
