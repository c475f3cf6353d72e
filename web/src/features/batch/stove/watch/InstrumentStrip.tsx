import '../../../../words/places/batch.ts';
import type { Instrument } from '@big-ladle/core/contract';
import { INSTRUMENT_ROWS } from '@big-ladle/core/log';
import type { Reading } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { vesselNowId } from '../../../../shared/batch/vesselNow.ts';
import { notify } from '../../../../shared/notices.ts';
import { useInstruments } from '../../../../shared/queries.ts';
import { useAllReadings, useReadings } from '../../../../shared/readings.ts';
import { send } from '../../../../shared/send.ts';
import { heading, role, thumb } from '../../../../theme/theme.ts';
import { sayReading } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** Steps in which a temperature tells something of what is to come. */
const WARMED: ReadonlySet<string> = new Set(['heat', 'cool', 'steep', 'soak']);

/** Changes a paired instrument; everything else of it stays. */
export async function changeInstrument(one: Instrument, change: Partial<Instrument>): Promise<void> {
  const { id, seed: _, ...body } = { ...one, ...change };
  try {
    await send('putInstrument', { params: { id }, body });
  } catch {
    notify('error', say('instrumentStrip.theInstrumentCouldNot'));
  }
}

/** What an instrument shows, as an entry of the log. */
function entryOf(one: Instrument, value: number): Reading {
  const row = INSTRUMENT_ROWS.find((r) => r.kind === one.kind)!;
  switch (row.reads) {
    case 'tempC':
      return { what: 'temperature', tempC: value };
    case 'massKg':
      return { what: 'mass', massKg: value, withVessel: one.tareKg === 0 };
    case 'brix':
      return { what: 'brix', brix: value };
    case 'pH':
      return { what: 'pH', pH: value, by: 'strip' };
  }
}

/** All that the probe of a batch has read: what the server kept, and what came since. */
export function useProbeReadings(live: LiveBatch | null) {
  const { data } = useInstruments();
  const batchId = live?.batch.id ?? '';
  const probe = data?.instruments.find((i) => i.kind === 'probe' && i.batchId === batchId);
  const readings = useAllReadings(probe?.id, batchId);
  return { probe, readings };
}

/** The instruments at this pot: what each shows now, taken over with a tap. */
export function InstrumentStrip({ live }: { live: LiveBatch }) {
  const { data } = useInstruments();
  const all = (data?.instruments ?? []).filter((i) => i.kind !== 'fridgeLogger');
  if (all.length === 0 || !live.step) return null;
  const here = all.filter((i) => i.batchId === live.batch.id);
  const free = all.filter((i) => i.batchId !== live.batch.id);
  return (
    <Box sx={{ display: 'grid', gap: 1 }} data-testid="instruments">
      {here.map((one) => (
        <Shown key={one.id} one={one} live={live} />
      ))}
      {free.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {free.map((one) => (
            <Button
              key={one.id}
              variant="outlined"
              color="inherit"
              sx={thumb}
              onClick={() => void changeInstrument(one, { batchId: live.batch.id })}
            >
              {say('instrumentStrip.useHere', { name: one.name })}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Shown({ one, live }: { one: Instrument; live: LiveBatch }) {
  const readings = useReadings(one.id, live.batch.id);
  const last = readings.at(-1);
  const [follows, setFollows] = useState(false);
  const { step } = live;
  const takenMs = useRef(0);
  const value = last?.value ?? null;
  const enter = (shown: number, atMs: number) =>
    step &&
    live.record(
      [
        {
          kind: 'measured',
          body: { stepId: step.id, vesselId: vesselNowId(live), reading: entryOf(one, shown) },
        },
      ],
      { onRefused: (error) => notify('error', say('instrumentStrip.notTaken', { detail: error.detail })) },
      Math.round(atMs),
    );
  const warmed = one.kind === 'probe' && step !== null && WARMED.has(step.kind);
  // biome-ignore lint/correctness/useExhaustiveDependencies: one entry a minute of the batch, when a reading comes
  useEffect(() => {
    if (!follows || !warmed || !last || last.value === null) return;
    if (last.atMs - takenMs.current < MINUTE_MS) return;
    takenMs.current = last.atMs;
    void enter(last.value, last.atMs);
  }, [last, follows, warmed]);
  return (
    <Box
      data-testid={`shown-${one.kind}`}
      sx={{
        border: `1.5px solid ${role('line')}`,
        borderRadius: 2,
        p: 1.25,
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: '1 1 150px' }}>
        <Box sx={{ ...heading, fontSize: '1.8rem' }} data-value={value ?? ''}>
          {value === null ? '–' : sayReading(one.kind, value)}
        </Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '1rem' }}>
          {say('instrumentStrip.simulated', { name: one.name })}
          {last?.fault && <Box sx={{ color: role('caution') }}>{say(`fault.${last.fault}`)}</Box>}
          {!last && <Box>{say('instrumentStrip.waitingForItsFirst')}</Box>}
        </Box>
      </Box>
      <Button
        variant="contained"
        sx={thumb}
        disabled={value === null}
        onClick={() => value !== null && last && void enter(value, last.atMs)}
      >
        {say('common.takeIt')}
      </Button>
      {warmed && (
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          aria-pressed={follows}
          onClick={() => setFollows(!follows)}
        >
          {follows ? say('instrumentStrip.following') : say('instrumentStrip.letItFollow')}
        </Button>
      )}
      {one.kind === 'scale' && (
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          disabled={value === null}
          onClick={() =>
            void changeInstrument(one, {
              tareKg: one.tareKg > 0 ? 0 : Math.max(0, (value ?? 0) + one.tareKg),
            })
          }
        >
          {one.tareKg > 0 ? say('instrumentStrip.tareOff') : say('instrumentStrip.tare')}
        </Button>
      )}
      <Button
        variant="outlined"
        color="inherit"
        sx={thumb}
        aria-pressed={one.lost}
        onClick={() => void changeInstrument(one, { lost: !one.lost })}
      >
        {one.lost ? say('instrumentStrip.foundAgain') : say('instrumentStrip.lostIt')}
      </Button>
      <Button
        variant="outlined"
        color="inherit"
        sx={thumb}
        onClick={() => void changeInstrument(one, { batchId: null })}
      >
        {say('instrumentStrip.putAway')}
      </Button>
    </Box>
  );
}
