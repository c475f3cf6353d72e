import { type EventBody, type Kitchen, type LogEvent, shownEvents } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { placeName } from '../../shared/house.ts';
import { useOutbox } from '../../shared/outboxStore.ts';
import { useThingEvents } from '../../shared/queries.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { undoOf } from '../../shared/undo.ts';
import { role } from '../../theme/theme.ts';
import { grams, moment, say, volume } from '../../words/say.ts';
import { sayWhy } from '../../words/thrownWords.ts';

function deedWords(event: LogEvent, kitchen: Kitchen): string {
  switch (event.kind) {
    case 'opened':
      return 'opened';
    case 'poured':
      return `${volume(event.body.volumeMl / 1000)} poured`;
    case 'finished':
      return 'finished';
    case 'discarded':
      return `thrown out: ${sayWhy(event.body)}`;
    case 'gaveAway':
      return `given to ${event.body.to}`;
    case 'moved':
      return `stands on: ${placeName(kitchen, event.body.place).toLowerCase()}`;
    case 'vented':
      return 'gas let off';
    case 'looked':
      return event.body.signs.length
        ? `looked at: ${event.body.signs.map((s) => say(`sign.${s}`)).join(', ')}`
        : 'looked at, nothing seen';
    case 'used':
      return `${grams(event.body.massG)} for ${say(`use.${event.body.use}`).toLowerCase()}`;
    default:
      return event.kind;
  }
}

/** What has happened to a thing, the last first, and one tap back. */
export function History(props: {
  id: string;
  kitchen: Kitchen;
  nowMs: number;
  say: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  const { id, kitchen, nowMs, say: tell } = props;
  const stored = useThingEvents(id).data?.events ?? [];
  const pending = useOutbox((s) => s.pending).filter((e) => e.stream.kind === 'item' && e.stream.id === id);
  const known = new Set(stored.map((e) => e.id));
  const events = [...stored, ...pending.filter((e) => !known.has(e.id))];
  const shown = shownEvents(events);
  const back = undoOf(events);
  return (
    <Panel title="What has happened" testId="history">
      {shown.length === 0 && (
        <Box sx={{ color: role('inkMuted') }}>Nothing yet: it stands where it was put.</Box>
      )}
      {shown.map((event) => (
        <Row
          key={event.id}
          label={deedWords(event, kitchen)}
          note={moment(event.atMs, nowMs, kitchen.zone)}
          testId="deed-row"
        >
          {event.id === back?.last.id && (
            <Button
              size="small"
              onClick={() => void tell(back.deeds)}
              aria-label={`Undo: ${deedWords(back.told, kitchen)}`}
            >
              Undo
            </Button>
          )}
        </Row>
      ))}
    </Panel>
  );
}
