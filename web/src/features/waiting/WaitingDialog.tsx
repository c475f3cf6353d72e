import '../../words/places/pages.ts';
import '../../words/places/waiting.ts';
import type { LogEvent } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { copyText } from '../../shared/copyText.ts';
import { OverlayDialog } from '../../shared/OverlayDialog.tsx';
import { discard, flush } from '../../shared/outbox.ts';
import { useOutbox } from '../../shared/outboxStore.ts';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { serverNow } from '../../shared/time.ts';
import { heading, role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { moment, say } from '../../words/say.ts';
import { entryOf } from './entry.ts';

/** What was entered here and is not stored yet, in order: to look at, to copy, to discard one by hand. */
export function WaitingDialog({ onClose }: { onClose: () => void }) {
  const { pending, held, keepsNothing } = useOutbox();
  const kitchen = useKitchen().data?.kitchen;
  const [asked, setAsked] = useState<string | null>(null);
  const zone = kitchen?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const rows = pending.map((event) => ({
    event,
    when: moment(event.atMs, serverNow(), zone),
    ...entryOf(event, kitchen),
  }));
  const text = rows
    .map(({ when, whose, deed }) => say('waiting.line', { when, whose, deed }))
    .concat('')
    .join('\n');
  return (
    <OverlayDialog title={say('waiting.title')} testId="waiting" onClose={onClose}>
      <Box component="h2" sx={{ ...heading, m: 0, mb: 1 }}>
        {say('waiting.title')}
      </Box>
      <Box sx={{ mb: 1 }}>{say('waiting.lead', { count: rows.length, number: num(rows.length) })}</Box>
      {keepsNothing && rows.length > 0 && <Box sx={{ mb: 1 }}>{say('waiting.unkept')}</Box>}
      <Box component="ol" sx={{ m: 0, mb: 2, p: 0, listStyle: 'none' }}>
        {rows.map(({ event, when, whose, deed }) => (
          <Entry
            key={event.id}
            {...{ event, when, whose, deed }}
            held={held[event.id] ?? null}
            asked={asked === event.id}
            ask={(open) => setAsked(open ? event.id : null)}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {rows.length > 0 && (
          <>
            <Button variant="contained" onClick={() => void flush()}>
              {say('waiting.tryNow')}
            </Button>
            <Button variant="outlined" onClick={() => void copyText(text, say('waiting.copied'))}>
              {say('textOut.copyAsText')}
            </Button>
            <Button variant="outlined" onClick={() => saveText(say('waiting.fileName'), text, 'text/plain')}>
              {say('textOut.saveAsText')}
            </Button>
          </>
        )}
        <Button onClick={onClose}>{say('waiting.close')}</Button>
      </Box>
    </OverlayDialog>
  );
}

function Entry(props: {
  event: LogEvent;
  when: string;
  whose: string;
  deed: string;
  held: string | null;
  asked: boolean;
  ask: (open: boolean) => void;
}) {
  const { event, when, whose, deed, held, asked, ask } = props;
  return (
    <Box
      component="li"
      data-testid="waiting-entry"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        py: 0.75,
        borderTop: `1px solid ${role('line')}`,
      }}
    >
      <Box sx={{ flex: '1 1 240px', minWidth: 0, overflowWrap: 'anywhere' }}>
        <Box sx={{ fontWeight: 700 }}>{deed}</Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.875rem' }}>
          {whose}, {when}
        </Box>
        {held && <Box sx={{ fontSize: '0.875rem' }}>{say('waiting.held', { detail: held })}</Box>}
        {asked && <Box sx={{ fontSize: '0.875rem' }}>{say('waiting.sure')}</Box>}
      </Box>
      {asked ? (
        <>
          <Button size="small" variant="contained" color="error" onClick={() => void discard(event.id)}>
            {say('waiting.yes')}
          </Button>
          <Button size="small" onClick={() => ask(false)}>
            {say('waiting.no')}
          </Button>
        </>
      ) : (
        <Button size="small" aria-label={say('waiting.discardOne', { deed })} onClick={() => ask(true)}>
          {say('waiting.discard')}
        </Button>
      )}
    </Box>
  );
}
