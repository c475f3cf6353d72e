import '../../../../words/places/batch.ts';
import {
  cookNext,
  hiddenFactors,
  REHEARSAL_SPEEDS,
  type RehearsalSpeed,
  simulateTruth,
} from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../../../shared/Choice.tsx';
import { notify } from '../../../../shared/notices.ts';
import { readingAt } from '../../../../shared/readings.ts';
import { tellError, useSend } from '../../../../shared/send.ts';
import { heading, role, thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { useProbeReadings } from './InstrumentStrip.tsx';
import { TempChart } from './TempChart.tsx';

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
  const put = useSend('changeRehearsal');
  const forget = useSend('forgetRehearsal');
  if (!batch.rehearsal) return null;
  const { speed, kept } = batch.rehearsal;
  const onError = (error: unknown) => tellError(error, say('rehearsing.theKitchenServerDoes'));
  const change = (body: { speed?: RehearsalSpeed; kept?: boolean }) =>
    put.mutate({ params: { id: batch.id }, body }, { onError });
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
          onChange={(v) => change({ speed: Number(v) as RehearsalSpeed })}
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
          onClick={() => change({ kept: !kept })}
        >
          {kept ? say('rehearsing.doNotKeepIt') : say('common.keepIt')}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          onClick={() =>
            forget.mutate({ params: { id: batch.id } }, { onSuccess: () => navigate('/'), onError })
          }
        >
          {say('rehearsing.endAndForgetIt')}
        </Button>
      </Box>
      <TempChart live={live} readings={readings} />
    </Box>
  );
}
