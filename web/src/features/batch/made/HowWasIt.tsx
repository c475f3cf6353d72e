import '../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';
import { NextTime } from './NextTime.tsx';

const SCORES = [1, 2, 3, 4, 5] as const;

/** A score and a word for the notebook, once a batch is over. */
export function HowWasIt({ live }: { live: LiveBatch }) {
  const { score } = live.now.log;
  const [words, setWords] = useState(score?.words ?? '');
  const give = (value: number) =>
    void live.record([
      {
        kind: 'scored',
        body: { score: value, ...(words.trim() ? { words: words.trim().slice(0, 200) } : {}) },
      },
    ]);
  return (
    <Panel
      title={say('howWasIt.howWasIt')}
      aside={score ? say('common.of', { score: score.score }) : undefined}
      testId="how-was-it"
    >
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        <TextField
          label={say('howWasIt.inAFewWords')}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        <Box sx={{ display: 'flex', gap: 1 }} role="group" aria-label={say('howWasIt.scoreOfFive')}>
          {SCORES.map((value) => (
            <Button
              key={value}
              variant={score?.score === value ? 'contained' : 'outlined'}
              color={score?.score === value ? 'primary' : 'inherit'}
              sx={{ minWidth: 48 }}
              aria-pressed={score?.score === value}
              onClick={() => give(value)}
            >
              {value}
            </Button>
          ))}
        </Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{say('howWasIt.itStandsInThe')}</Box>
      </Box>
      <NextTime live={live} />
    </Panel>
  );
}
