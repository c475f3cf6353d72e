import '../../words/places/shelf.ts';
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
      return say('history.opened');
    case 'poured':
      return say('history.poured', { volume: volume(event.body.volumeMl / 1000) });
    case 'finished':
      return say('history.finished');
    case 'discarded':
      return say('history.thrownOut', { why: sayWhy(event.body) });
    case 'gaveAway':
      return say('history.givenTo', { to: event.body.to });
    case 'moved':
      return say('history.standsOn', { placeName: placeName(kitchen, event.body.place).toLowerCase() });
    case 'vented':
      return say('history.gasLetOff');
    case 'looked':
      return event.body.signs.length
        ? say('history.lookedAt', { signs: event.body.signs.map((s) => say(`sign.${s}`)).join(', ') })
        : say('history.lookedAtNothingSeen');
    case 'used':
      return say('history.for', {
        mass: grams(event.body.massG),
        what: say(`use.${event.body.use}`).toLowerCase(),
      });
    default:
      return event.kind;
  }
}

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
          label={deedWords(event, kitchen)}
          note={moment(event.atMs, nowMs, kitchen.zone)}
          testId="deed-row"
        >
          {event.id === back?.last.id && (
            <Button
              size="small"
              onClick={() => void record(back.deeds)}
              aria-label={say('history.undo', { deedWords: deedWords(back.told, kitchen) })}
            >
              {say('common.undo')}
            </Button>
          )}
        </Row>
      ))}
    </Panel>
  );
}
