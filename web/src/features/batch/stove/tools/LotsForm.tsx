import '../../../../words/places/batch.ts';
import { LOT_KINDS, type LotKind } from '@big-ladle/core/documents';
import { volumeMl } from '@big-ladle/core/liquor';
import type { EventBody } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { vesselNowId } from '../../../../shared/batch/vesselNow.ts';
import { notify } from '../../../../shared/notices.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { litres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** Steps before whose end a batch may be parted: the solids are out, nothing is bottled yet. */
export const SPLITTABLE: ReadonlySet<string> = new Set(['cool', 'mix', 'sweeten', 'bottle']);

interface Row {
  id: string;
  kind: LotKind;
  volumeL: number;
}

const row = (kind: LotKind, volumeL: number): Row => ({ id: uuid().slice(-8), kind, volumeL });

/** Lots of one kind are numbered. */
const numberOf = (rows: readonly Row[], at: Row): { number?: number } => {
  const same = rows.filter((r) => r.kind === at.kind);
  return same.length > 1 ? { number: same.indexOf(at) + 1 } : {};
};

/** One batch in several: each lot gets a vessel, additions and bottles of its own; what is not in a lot goes on as planned. */
export function LotsForm({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const { step, now, program } = live;
  const vessel = now.moment?.vessels[vesselNowId(live)];
  const hereL = vessel ? volumeMl(vessel.liquor) / 1000 : 0;
  const [rows, setRows] = useState<readonly Row[]>(() => [row('plain', Math.round(hereL * 5) / 20)]);
  if (!step || hereL < 0.2) return null;
  const inLots = rows.reduce((sum, r) => sum + r.volumeL, 0);
  const restL = hereL - inLots;
  const change = (id: string, part: Partial<Row>) =>
    setRows(rows.map((r) => (r.id === id ? { ...r, ...part } : r)));
  const split = () => {
    // What was stirred in already is in every lot: then the parting comes after this step.
    const stirred = now.log.added.some((e) => e.body.stepId === step.id);
    const next = program.steps[program.steps.indexOf(step) + 1];
    const at = stirred && next ? next : step;
    const deeds: EventBody[] = [
      ...(at === step ? [] : [{ kind: 'stepEnded' as const, body: { stepId: step.id } }]),
      {
        kind: 'split',
        body: {
          stepId: at.id,
          restL: Math.max(0, Math.round(restL * 1000) / 1000),
          lots: rows.map((r) => ({
            lotId: r.id,
            kind: r.kind,
            ...numberOf(rows, r),
            volumeL: Math.round(r.volumeL * 1000) / 1000,
          })),
        },
      },
    ];
    void live.record(deeds, {
      onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })),
    });
    onDone();
  };
  return (
    <Box
      component="section"
      aria-label={say('lotsForm.splitItIntoLots')}
      data-testid="lots-form"
      sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0,1fr)' }}
    >
      <Box>{say('lotsForm.hereEachLotIs', { here: litres(hereL, 2) })}</Box>
      {rows.map((r, i) => (
        <Box key={r.id} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <TextField
            select
            label={say('lotsForm.lot', { number: i + 1 })}
            value={r.kind}
            onChange={(e) => change(r.id, { kind: e.target.value as LotKind })}
            sx={{ flex: '1 1 170px' }}
          >
            {LOT_KINDS.map((kind) => (
              <MenuItem key={kind} value={kind} sx={{ minHeight: 56 }}>
                {say(`lot.${kind}`)}
              </MenuItem>
            ))}
          </TextField>
          <QuantityField
            label={say('lotsForm.amount')}
            value={r.volumeL}
            min={0.05}
            max={400}
            decimals={2}
            unit="L"
            width={130}
            onValue={(v) => change(r.id, { volumeL: v })}
            testId={`lot-litres-${i}`}
          />
          <Button
            variant="outlined"
            color="inherit"
            sx={thumb}
            aria-label={say('lotsForm.leaveOutLot', { number: i + 1 })}
            disabled={rows.length === 1}
            onClick={() => setRows(rows.filter((o) => o.id !== r.id))}
          >
            {say('lotsForm.leaveOut')}
          </Button>
          <Box sx={{ color: role('inkMuted'), width: '100%' }}>{say(`lot.${r.kind}.about`)}</Box>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          disabled={rows.length >= 12}
          onClick={() =>
            setRows([
              ...rows,
              row(rows.length === 1 ? 'sweet' : 'children', Math.max(0.1, Math.round(restL * 10) / 20)),
            ])
          }
        >
          {say('lotsForm.oneMoreLot')}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          disabled={restL <= 0.01}
          onClick={() => {
            const last = rows.at(-1);
            if (last) change(last.id, { volumeL: Math.round((last.volumeL + restL) * 1000) / 1000 });
          }}
        >
          {say('lotsForm.allTheRestInto')}
        </Button>
      </Box>
      <Box data-testid="lots-rest" sx={{ color: restL < -0.005 ? role('danger') : undefined }}>
        {restL < -0.005
          ? say('lotsForm.moreThanThereIs', { rest: litres(-restL, 2) })
          : restL < 0.03
            ? say('lotsForm.allOfItIs')
            : say('lotsForm.goOnAsPlanned', { rest: litres(restL, 2) })}
      </Box>
      <Button variant="contained" sx={thumb} disabled={restL < -0.005} onClick={split}>
        {say('lotsForm.splitIt')}
      </Button>
    </Box>
  );
}
