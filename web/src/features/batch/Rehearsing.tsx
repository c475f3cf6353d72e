import { say } from '../../words/say.ts';
import '../../words/places/batch.ts';
import {
  cookNext,
  hiddenFactors,
  REHEARSAL_SPEEDS,
  type RehearsalSpeed,
  ROUTES,
  simulateTruth,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ask } from '../../shared/api.ts';
import { Choice } from '../../shared/Choice.tsx';
import { notify } from '../../shared/notices.ts';
import { keys, queryClient } from '../../shared/queries.ts';
import { readingAt } from '../../shared/readings.ts';
import { heading, role, thumb } from '../../theme/theme.ts';
import { useProbeReadings } from './InstrumentStrip.tsx';
import { TempChart } from './TempChart.tsx';
import type { LiveBatch } from './useBatchNow.ts';

/** A simulated cook at this pot: says each deed when it is due by the rehearsal's own clock. */
function useSimulatedCook(live: LiveBatch, on: boolean, probeId: string | undefined): void {
  const busy = useRef(false);
  const { batch, nowMs } = live;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked at every tick of the rehearsal's clock
  useEffect(() => {
    if (!on || !batch.rehearsal || busy.current) return;
    const { planned, kitchen, tables, events } = live;
    const truth = simulateTruth(planned, kitchen, tables, events, nowMs, hiddenFactors(batch.rehearsal.seed));
    const next = cookNext({
      program: planned,
      kitchen,
      tables,
      events,
      truth,
      probeAt: (ms) => (probeId ? readingAt(probeId, batch.id, ms) : null),
      newId: uuid,
    });
    if (!next || next.atMs > nowMs) return;
    busy.current = true;
    const done = () => {
      busy.current = false;
    };
    void live.record(
      next.deeds,
      {
        onStored: done,
        onRefused: (error) => {
          notify('error', say('rehearsing.theSimulatedCookWas', { detail: error.detail }));
          done();
        },
      },
      Math.round(next.atMs),
    );
  }, [nowMs, on]);
}

/** What marks a rehearsal, wherever it is looked at, and how it is led. */
export function Rehearsing({ live }: { live: LiveBatch }) {
  const { batch } = live;
  const navigate = useNavigate();
  const [cooking, setCooking] = useState(false);
  const { probe, readings } = useProbeReadings(live);
  useSimulatedCook(live, cooking, probe?.id);
  if (!batch.rehearsal) return null;
  const { speed, kept } = batch.rehearsal;
  const change = async (body: object) => {
    await ask(ROUTES.changeRehearsal, { params: { id: batch.id }, body });
    await queryClient.invalidateQueries({ queryKey: keys.batch(batch.id) });
  };
  const forget = async () => {
    await ask(ROUTES.forgetRehearsal, { params: { id: batch.id } });
    await queryClient.invalidateQueries({ queryKey: keys.rehearsals });
    navigate('/');
  };
  const failed = () => notify('error', say('rehearsing.theKitchenServerDoes'));
  return (
    <Box
      component="section"
      aria-label={say('rehearsing.rehearsal')}
      data-testid="rehearsal"
      sx={{
        border: `2px dashed ${role('caution')}`,
        borderRadius: 2,
        p: 1.5,
        display: 'grid',
        gridTemplateColumns: 'minmax(0,1fr)',
        gap: 1.25,
      }}
    >
      <Box sx={{ ...heading, fontSize: '1.2rem' }}>
        {say('rehearsing.rehearsalTimesAsFast', { speed, isKept: Boolean(kept) })}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choice
          label={say('rehearsing.speed')}
          value={String(speed)}
          options={REHEARSAL_SPEEDS.map((s) => ({ value: String(s), text: `${s} ×` }))}
          onChange={(v) => void change({ speed: Number(v) as RehearsalSpeed }).catch(failed)}
        />
        <Button
          variant={cooking ? 'contained' : 'outlined'}
          color={cooking ? 'primary' : 'inherit'}
          sx={thumb}
          aria-pressed={cooking}
          onClick={() => setCooking(!cooking)}
        >
          {cooking ? say('rehearsing.theSimulatedCookIs') : say('rehearsing.letASimulatedCook')}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          aria-pressed={kept}
          onClick={() => void change({ kept: !kept }).catch(failed)}
        >
          {kept ? say('rehearsing.doNotKeepIt') : say('common.keepIt')}
        </Button>
        <Button variant="outlined" color="inherit" sx={thumb} onClick={() => void forget().catch(failed)}>
          {say('rehearsing.endAndForgetIt')}
        </Button>
      </Box>
      <TempChart live={live} readings={readings} />
    </Box>
  );
}
