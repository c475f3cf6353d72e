import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import { type NextTime as Change, lookBack, nextTime } from '@big-ladle/core/learn';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { stepAlone } from '../../../shared/batch/stepNames.ts';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams } from '../../../words/quantities.ts';
import { sayNoted } from '../../../words/saidWords.ts';
import { duration, say, sayCode } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** What is proposed, in words that the cook may change. */
function sayChange(change: Change, live: LiveBatch): string {
  const step = live.program.steps.find((s) => s.id === change.stepId);
  const name = step ? stepAlone(step, live.program) : '';
  switch (change.kind) {
    case 'sweetness':
      return say('nextTime.sweetness', { pct: num(change.pct, 1), aimed: num(change.aimedPct, 1) });
    case 'sour':
    case 'strong':
    case 'hot':
      return sayCode(`nextTime.${change.kind}.${change.tooMuch ? 'less' : 'more'}`);
    case 'added':
      return say('nextTime.added', { mass: grams(change.massG), item: sayItem(change.itemId).toLowerCase() });
    case 'leaveOut':
      return say('nextTime.leaveOut', { step: name });
    case 'time':
      return say('nextTime.time', { step: name, time: duration(change.byMin) });
  }
}

/** One thing to change when it is made again: proposed, put in the cook's own words, and noted at its step. */
export function NextTime({ live }: { live: LiveBatch }) {
  const { log, forecast } = live.now;
  const { planned, kitchen, tables } = live;
  const { question } = live.batch.plan;
  // The plan is run once more for it: only when something was said.
  const proposed = useMemo(
    () => nextTime(log, lookBack(planned, kitchen, tables, { log, forecast }, question).otherwise),
    [log, forecast, planned, kitchen, tables, question],
  );
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (proposed ? sayChange(proposed, live) : '');
  const stepId = proposed?.stepId ?? live.program.steps[0]!.id;
  const noted = log.notes.filter((n) => n.body.stepId !== undefined && n.atMs >= (log.endedMs ?? 0));
  return (
    <Box data-testid="next-time" sx={{ display: 'grid', gap: 1, mt: 1.5 }}>
      {noted.map((n) => (
        <Box key={n.id} sx={{ borderLeft: `4px solid ${role('ready')}`, pl: 1.5 }}>
          <strong>{say('nextTime.title')}</strong> {sayNoted(n.body)}
        </Box>
      ))}
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          const words = text.trim().slice(0, 300);
          if (!words) return;
          void live.record([{ kind: 'noted', body: { stepId, text: words } }]);
          setTyped('');
        }}
      >
        <TextField
          label={say('nextTime.oneThing')}
          value={text}
          onChange={(e) => setTyped(e.target.value)}
          sx={{ flex: '1 1 260px' }}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
        <Button type="submit" variant="outlined" sx={{ flexShrink: 0 }}>
          {say('nextTime.note')}
        </Button>
      </Box>
    </Box>
  );
}
