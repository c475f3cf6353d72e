import '../../../words/places/batch.ts';
import { coldAfterMs } from '@big-ladle/core/keeping';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { PageTitle } from '../../../shared/PageTitle.tsx';
import { heading, role, thumb } from '../../../theme/theme.ts';
import { moment, say, sayCode } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** After the last step: how many bottles, their labels, a word for next time, what to clean. Or that it was stopped. */
export function StoveEnd({ live }: { live: LiveBatch }) {
  const { now, batch } = live;
  const bottles = now.log.bottled.reduce((sum, b) => sum + b.bottles.length, 0);
  const { stopped } = now.log;
  const coldMs = coldAt(live);
  return (
    <Box data-testid="stove-end" sx={{ display: 'grid', gap: 2 }}>
      <PageTitle
        title={stopped ? say('stoveEnd.stopped') : say('stoveEnd.done', { bottles })}
        sx={{ ...heading, fontSize: 'clamp(2.2rem, 9vw, 3.4rem)', lineHeight: 1.05, m: 0 }}
        own
      />
      {stopped && (
        <Box>
          {stopped.body.code ? sayCode(stopped.body.code) : (stopped.body.why ?? '')}{' '}
          {say(`stop.rest.${stopped.body.rest}.how`)}
        </Box>
      )}
      {!batch.rehearsal && bottles > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button variant="contained" sx={thumb} component={Link} to="/shelf/labels">
            {say('stoveEnd.labels')}
          </Button>
          <Button variant="outlined" sx={thumb} component={Link} to="/shelf">
            {say('common.coldShelf')}
          </Button>
        </Box>
      )}
      {coldMs !== null && !stopped && (
        <Box data-testid="cold-at">
          {say('stoveEnd.cold', { at: moment(coldMs, live.nowMs, live.kitchen.zone) })}
        </Box>
      )}
      {batch.rehearsal && <Box>{say('stoveEnd.practised')}</Box>}
      {!batch.rehearsal && <NextTime live={live} />}
      {!stopped && <Box sx={{ color: role('inkMuted') }}>{say('stoveEnd.clean')}</Box>}
      <Button
        variant="text"
        sx={{ ...thumb, justifySelf: 'start' }}
        component={Link}
        to={`/batches/${batch.id}`}
      >
        {say('batchPage.theBatch')}
      </Button>
    </Box>
  );
}

/** When the largest of the bottles that were filled last is cold enough to serve, in the fridge. */
function coldAt(live: LiveBatch): number | null {
  const filled = live.now.log.bottled.at(-1);
  const largest = [...(filled?.bottles ?? [])].sort((a, b) => b.sizeMl - a.sizeMl)[0];
  const entry = live.now.forecast.trace.findLast((t) => t.kind === 'bottle');
  if (!filled || !largest || !entry) return null;
  const lengthMs = coldAfterMs(largest, entry.after.liquor.tempC, live.kitchen.fridgeC);
  return lengthMs === null || lengthMs === 0 ? null : filled.atMs + lengthMs;
}

/** A word that stands at the first step when it is made again. */
function NextTime({ live }: { live: LiveBatch }) {
  const [text, setText] = useState('');
  const first = live.program.steps[0];
  if (!first) return null;
  const keep = () => {
    if (!text.trim()) return;
    void live.record([{ kind: 'noted', body: { text: text.trim().slice(0, 2000), stepId: first.id } }]);
    setText('');
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
      <TextField
        label={say('stoveEnd.nextTime')}
        value={text}
        onChange={(e) => setText(e.target.value)}
        sx={{ flex: '1 1 220px' }}
        slotProps={{ htmlInput: { maxLength: 2000, 'data-testid': 'next-time' } }}
      />
      <Button variant="outlined" sx={thumb} disabled={!text.trim()} onClick={keep}>
        {say('batchPage.noteIt')}
      </Button>
    </Box>
  );
}
