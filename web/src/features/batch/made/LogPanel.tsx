import '../../../words/places/batch.ts';
import { shownEvents } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { deedText } from '../../../shared/log/logWords.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { undoOf } from '../../../shared/undo.ts';
import { moment, say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** What happened, the newest first; the newest can be taken back, and a note can be left. */
export function LogPanel({ live }: { live: LiveBatch }) {
  const [text, setText] = useState('');
  const [all, setAll] = useState(false);
  const shown = shownEvents(live.events);
  const back = undoOf(live.events);
  return (
    <Panel title={say('batchPage.log')} testId="log">
      {(all ? shown : shown.slice(0, 8)).map((event) => (
        <Row
          key={event.id}
          label={
            live.now.log.doubled.includes(event.id)
              ? say('batchPage.saidOnAnotherDevice', { deedText: deedText(event, live.program) })
              : deedText(event, live.program)
          }
          note={moment(event.atMs, live.nowMs, live.kitchen.zone)}
        >
          {event.id === back?.told.id && (
            <Button
              size="small"
              onClick={() => void live.record(back.deeds)}
              aria-label={say('batchPage.undo', { deedText: deedText(event, live.program) })}
            >
              {say('common.undo')}
            </Button>
          )}
        </Row>
      ))}
      {shown.length > 8 && !all && (
        <Button onClick={() => setAll(true)}>{say('batchPage.allEntries', { count: shown.length })}</Button>
      )}
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 1.5 }}
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          if (!text.trim()) return;
          void live.record([{ kind: 'noted', body: { text: text.trim().slice(0, 2000) } }]);
          setText('');
        }}
      >
        <TextField
          label={say('batchPage.aNote')}
          value={text}
          onChange={(e) => setText(e.target.value)}
          fullWidth
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        <Button type="submit" variant="outlined" sx={{ flexShrink: 0 }}>
          {say('batchPage.noteIt')}
        </Button>
      </Box>
    </Panel>
  );
}
