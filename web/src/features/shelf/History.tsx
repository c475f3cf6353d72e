import '../../words/places/shelf.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { type EventBody, shownEvents } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { itemDeedText } from '../../shared/log/itemWords.ts';
import { useOutbox } from '../../shared/outboxStore.ts';
import { useThingEvents } from '../../shared/queries.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { undoOf } from '../../shared/undo.ts';
import { role } from '../../theme/theme.ts';
import { moment, say } from '../../words/say.ts';

/** What has happened to a thing, the last first, and one tap back. */
export function History(props: {
  id: string;
  kitchen: Kitchen;
  nowMs: number;
  record: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  const { id, kitchen, nowMs, record } = props;
  const stored = useThingEvents(id).data?.events ?? [];
  const pending = useOutbox((s) => s.pending).filter((e) => e.stream.kind === 'item' && e.stream.id === id);
  const known = new Set(stored.map((e) => e.id));
  const events = [...stored, ...pending.filter((e) => !known.has(e.id))];
  const shown = shownEvents(events);
  const back = undoOf(events);
  return (
    <Panel title={say('history.whatHasHappened')} testId="history">
      {shown.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('history.nothingYetItStands')}</Box>}
      {shown.map((event) => (
        <Row
          key={event.id}
          label={itemDeedText(event, kitchen)}
          note={moment(event.atMs, nowMs, kitchen.zone)}
          testId="deed-row"
        >
          {event.id === back?.last.id && (
            <Button
              size="small"
              onClick={() => void record(back.deeds)}
              aria-label={say('history.undo', { deedWords: itemDeedText(back.told, kitchen) })}
            >
              {say('common.undo')}
            </Button>
          )}
        </Row>
      ))}
    </Panel>
  );
}
