import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { batchTime } from '../../../../shared/batch/state.ts';
import { stepName } from '../../../../shared/batch/stepNames.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** "It boiled six minutes ago." */
export function Retime({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const [minutes, setMinutes] = useState(6);
  const { step, now, nowMs } = live;
  const times = step ? now.log.steps[step.id] : undefined;
  if (!step || !times?.startedBy || times.startMs === null) return null;
  const before = live.program.steps[live.program.steps.indexOf(step) - 1];
  const earliestMs = before ? (now.log.steps[before.id]?.startMs ?? times.startMs) : times.startMs;
  const most = Math.max(1, Math.floor((nowMs - earliestMs) / 60_000));
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
      <QuantityField
        label={say('stovePage.began', { stepName: stepName(step, live.program) })}
        value={minutes}
        min={0}
        max={most}
        decimals={0}
        unit={say('stovePage.minAgo')}
        onValue={setMinutes}
        width={240}
        testId="retime-minutes"
      />
      <Button
        variant="contained"
        sx={thumb}
        disabled={minutes > most}
        onClick={() => {
          void live.record([
            {
              kind: 'retimed',
              body: { target: times.startedBy!, toMs: Math.round(batchTime(live.batch) - minutes * 60_000) },
            },
          ]);
          onDone();
        }}
      >
        {say('stovePage.setIt')}
      </Button>
    </Box>
  );
}
