import '../../../../words/places/batch.ts';
import type { EventBody } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Choice } from '../../../../shared/Choice.tsx';
import { notify } from '../../../../shared/notices.ts';
import { Caution } from '../../../../shared/ui.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

type Stop = Extract<EventBody, { kind: 'stopped' }>['body'];
const REASONS = ['stop.fell', 'stop.wrong', 'stop.noTime', 'stop.other'] as const;
/** Hot enough to scald who pours it away, °C. */
const SCALDS_C = 50;

/** A batch that will not come to its bottles: why, and what becomes of what is left. */
export function StopBatch({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const [reason, setReason] = useState<string>(REASONS[0]);
  const [words, setWords] = useState('');
  const [rest, setRest] = useState<Stop['rest']>('pouredAway');
  const here = live.now.moment?.trace.at(-1)?.now;
  const isHot = (here?.volumeL ?? 0) > 0.05 && (here?.tempC ?? 0) > SCALDS_C;
  const stop = () => {
    const body: Stop =
      reason === 'stop.other'
        ? { rest, ...(words.trim() ? { why: words.trim() } : {}) }
        : { rest, code: reason };
    void live.record([{ kind: 'stopped', body }], {
      onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })),
    });
    onDone();
  };
  return (
    <Box
      component="section"
      aria-label={say('stop.title')}
      data-testid="stop-batch"
      sx={{ display: 'grid', gap: 1.25 }}
    >
      <Choice
        label={say('stop.why')}
        value={reason}
        options={REASONS.map((value) => ({ value, text: say(value) }))}
        onChange={setReason}
      />
      {reason === 'stop.other' && (
        <TextField
          label={say('stop.words')}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
      )}
      <Choice
        label={say('stop.left')}
        value={rest}
        options={[
          { value: 'pouredAway', text: say('stop.rest.pouredAway') },
          { value: 'drunk', text: say('stop.rest.drunk') },
          { value: 'none', text: say('stop.rest.none') },
        ]}
        onChange={(v) => setRest(v as Stop['rest'])}
      />
      <Box sx={{ color: role('inkMuted') }}>{say(`stop.rest.${rest}.how`)}</Box>
      {isHot && rest !== 'none' && (
        <Caution severity="danger" word={say('severity.danger')} text={say('stop.hot')} />
      )}
      <Button variant="contained" color="error" sx={thumb} onClick={stop}>
        {say('stop.do')}
      </Button>
    </Box>
  );
}
