import { POT } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../shared/Choice.tsx';
import { notify } from '../../shared/notices.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { role, thumb } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { volume } from '../../words/say.ts';
import { vesselNowId } from './MeasureForm.tsx';
import type { LiveBatch } from './useBatchNow.ts';

const SPLASHES_ML = [100, 250, 500, 1000];
const SPILLS_ML = [50, 100, 250, 500];
/** What was not as planned and changes no figure: it stands in the log, for next time. */
const NOTED = ['It burnt a little', 'The power was off', 'The flame went out', 'It boiled over'];

/** Quick adds and what was not as planned: a tap each, all of it undone with a tap. */
export function SomethingElse({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const { step, program, tables, now } = live;
  const [what, setWhat] = useState<'water' | 'more' | 'spill' | 'other'>('water');
  const solids = program.lines.filter((l) => l.kind === 'solid' && tables.ingredients.has(l.itemId));
  const [lineId, setLineId] = useState(solids[0]?.id ?? '');
  const [grams, setGrams] = useState(5);
  if (!step) return null;
  const vesselId = vesselNowId(live);
  const hereL = now.moment?.vessels[vesselId] ? (now.moment.trace.at(-1)?.now.volumeL ?? 0) : 0;
  const tell = (deed: Parameters<LiveBatch['say']>[0][number]) => {
    void live.say([deed], { onRefused: (error) => notify('error', `Not stored: ${error.detail}`) });
    onDone();
  };
  const added = (lineKind: 'solid' | 'liquid', itemId: string, massG: number) =>
    tell({
      kind: 'added',
      body: { stepId: step.id, vesselId, lineKind, itemId, lineId: `extra-${uuid().slice(-12)}`, massG },
    });
  const tap = (label: string, act: () => void) => (
    <Button key={label} variant="outlined" color="inherit" sx={thumb} onClick={act}>
      {label}
    </Button>
  );
  return (
    <Box
      component="section"
      aria-label="Something else"
      data-testid="something-else"
      sx={{ display: 'grid', gap: 1.25 }}
    >
      <Choice
        label="What happened"
        value={what}
        options={[
          { value: 'water', text: 'a splash of water' },
          { value: 'more', text: 'more of something' },
          { value: 'spill', text: 'spilt' },
          { value: 'other', text: 'not as planned' },
        ]}
        onChange={(v) => setWhat(v as 'water')}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        {what === 'water' &&
          SPLASHES_ML.map((ml) => tap(volume(ml / 1000), () => added('liquid', 'water', ml * 0.9982)))}
        {what === 'spill' &&
          SPILLS_ML.filter((ml) => ml / 1000 < hereL).map((ml) =>
            tap(volume(ml / 1000), () =>
              tell({
                kind: 'removed',
                body: { stepId: step.id, vesselId, volumeL: ml / 1000, why: 'spill' },
              }),
            ),
          )}
        {what === 'spill' && hereL < 0.06 && <Box>There is nothing here to spill.</Box>}
        {what === 'other' &&
          NOTED.map((text) => tap(text, () => tell({ kind: 'noted', body: { stepId: step.id, text } })))}
        {what === 'more' && (
          <>
            {solids.map((line) => (
              <Button
                key={line.id}
                variant={line.id === lineId ? 'contained' : 'outlined'}
                color={line.id === lineId ? 'primary' : 'inherit'}
                sx={thumb}
                aria-pressed={line.id === lineId}
                onClick={() => setLineId(line.id)}
              >
                {sayItem(line.itemId)}
              </Button>
            ))}
            <QuantityField
              label="Grams"
              value={grams}
              min={0.1}
              max={2000}
              decimals={1}
              unit="g"
              width={140}
              onCommit={setGrams}
            />
            <Button
              variant="contained"
              sx={thumb}
              onClick={() => {
                const line = solids.find((l) => l.id === lineId);
                if (line) added('solid', line.itemId, grams);
              }}
            >
              It is in
            </Button>
          </>
        )}
      </Box>
      {what !== 'other' && (
        <Box sx={{ color: role('inkMuted') }}>
          {vesselId === POT ? 'Counted into the pot' : 'Counted where the drink stands now'}; strength,
          sweetener and bottles follow.
        </Box>
      )}
    </Box>
  );
}
