import '../../words/places/shelf.ts';
import { startOfToday } from '@big-ladle/core/keeping';
import { type Message, messagesOf, type Reminder } from '@big-ladle/core/shelf';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { saveCalendar } from '../../shared/calendar.ts';
import { Fold } from '../../shared/Fold.tsx';
import { useUse } from '../../shared/queries.ts';
import { useRates, useReminders } from '../../shared/reminders.ts';
import { StrongToday } from '../../shared/StrongToday.tsx';
import type { Shelf } from '../../shared/shelf.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayDrinkOf } from '../../words/names.ts';
import { celsius, litres, volume } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { dayOf, moment, say } from '../../words/say.ts';
import '../../words/places/items.ts';

/** What a reminder is about: a drink and its lot, a leftover, a warm fridge. */
export function aboutWords(r: Reminder): string {
  if (r.kind === 'warm') return say('reminders.theFridge');
  const what = sayDrink(r.recipeId, r.drinkName);
  if (r.about?.what === 'leftover')
    return say('reminders.leftoverOf', { leftover: say(`leftover.${r.about.leftover}`), what });
  return r.about?.what === 'lot' ? sayDrinkOf(r, r.about.lot) : what;
}

const countWords = (r: Reminder): string =>
  r.about?.what === 'leftover'
    ? say('reminders.leftOver')
    : say('count.bottles', { count: r.itemIds.length });

/** What a reminder asks for. */
const askedWords = (r: Reminder): string => say(r.over ? 'remind.over' : `remind.${r.kind}`);

/** A message as it would be read on a phone. */
export const messageWords = (r: Reminder): string =>
  say(r.over ? 'message.over' : `message.${r.kind}`, {
    what: aboutWords(r),
    count: countWords(r),
    about: r.about?.what === 'occasion' ? r.about.occasion : '',
    temp: celsius(r.about?.what === 'warmth' ? r.about.highestC : 0),
  });

/** How far ahead reminders are shown. */
const AHEAD_MS = 400 * 24 * 3_600_000;

/** What wants doing and when; into a calendar; and what would be sent to whom. */
export function Reminders({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const { kitchen } = shelf;
  const reminders = useReminders(shelf, nowMs).filter((r) => r.atMs < nowMs + AHEAD_MS);
  const due = reminders.filter((r) => r.atMs <= nowMs);
  const later = reminders.filter((r) => r.atMs > nowMs);
  const people = kitchen.messageTo ?? [];
  const messages = messagesOf(reminders, people);
  const save = () =>
    saveCalendar(
      'cold-shelf',
      { name: say('common.coldShelf'), product: 'shelf' },
      reminders.map((r) => ({
        id: r.key,
        startMs: r.atMs,
        endMs: r.atMs + 15 * 60_000,
        summary: `${askedWords(r)}: ${aboutWords(r)}`,
        description: messageWords(r),
        free: true,
        ...(r.itemIds.length === 1 ? { url: `${window.location.origin}/shelf/${r.itemIds[0]}` } : {}),
      })),
    );
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.75,
        gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'repeat(2, minmax(0,1fr))' },
        alignItems: 'start',
      }}
    >
      <Panel title={say('reminders.whatWantsDoing')} testId="reminders">
        {reminders.length === 0 && <Box>{say('reminders.nothingNoBottleAsks')}</Box>}
        <List reminders={due} nowMs={nowMs} zone={kitchen.zone} due />
        <List reminders={later} nowMs={nowMs} zone={kitchen.zone} />
        {reminders.length > 0 && (
          <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => void save()}>
            {say('common.intoTheCalendar')}
          </Button>
        )}
      </Panel>
      <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
        <Today shelf={shelf} nowMs={nowMs} />
        <Rates shelf={shelf} nowMs={nowMs} />
        <Outbox messages={messages} people={people.length} nowMs={nowMs} zone={kitchen.zone} />
      </Box>
    </Box>
  );
}

function List(props: { reminders: readonly Reminder[]; nowMs: number; zone: string; due?: boolean }) {
  const { reminders, nowMs, zone, due } = props;
  return reminders.map((r) => {
    const [only] = r.itemIds;
    const to =
      r.itemIds.length === 1 && only
        ? `/shelf/${only}`
        : r.kind === 'warm'
          ? '/kitchen?part=cold'
          : '/shelf?view=drink';
    return (
      <Row
        key={r.key}
        testId="reminder"
        label={
          <>
            <Link to={to}>{askedWords(r)}</Link>: {aboutWords(r)}
            {r.itemIds.length > 1 && `, ${countWords(r)}`}
            {r.about?.what === 'occasion' ? `, ${r.about.occasion}` : ''}
            {r.about?.what === 'warmth' && say('reminders.upTo', { count: celsius(r.about.highestC) })}
          </>
        }
        note={
          <Box
            component="span"
            sx={
              due
                ? { color: role('caution'), fontWeight: 700, whiteSpace: 'nowrap' }
                : { whiteSpace: 'nowrap' }
            }
          >
            {due ? say('common.now') : moment(r.atMs, nowMs, zone)}
          </Box>
        }
      >
        {null}
      </Row>
    );
  });
}

/** What was poured today, and how much of a moderate day of strong herbs that is. */
function Today({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const { data } = useUse(startOfToday(nowMs, shelf.kitchen.zone));
  const use = (data?.use ?? []).filter((u) => u.pouredMl > 1);
  if (use.length === 0) return null;
  return (
    <Panel title={say('reminders.pouredToday')} testId="today">
      {use.map((u) => (
        <Row key={u.recipeId} label={sayDrink(u.recipeId)}>
          {volume(u.pouredMl / 1000)}
        </Row>
      ))}
      <StrongToday zone={shelf.kitchen.zone} nowMs={nowMs} />
    </Panel>
  );
}

/** How fast each drink goes and when to make the next. */
function Rates({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const rates = useRates(shelf, nowMs);
  const { zone } = shelf.kitchen;
  if (rates.length === 0) return null;
  return (
    <Panel title={say('reminders.howFastItGoes')} testId="rates">
      {rates.map(({ recipeId, drinkName, leftMl, rate }) => (
        <Box key={recipeId} sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
          {sayRich('reminders.left', {
            drink: <strong>{sayDrink(recipeId, drinkName)}</strong>,
            left: litres(leftMl / 1000),
          })}
          <Box sx={{ color: role('inkMuted') }}>
            {rate.lastGlassMs === null
              ? say('reminders.noneWasPouredOf')
              : say('reminders.aDayOfLate', {
                  mlPerDay: volume(rate.mlPerDay / 1000),
                  lastGlass: dayOf(rate.lastGlassMs, zone),
                  make: dayOf(rate.makeMs ?? nowMs, zone),
                })}
            {rate.lastGlassMs !== null &&
              rate.leftOverMl > 50 &&
              say('reminders.wouldOutliveTheirDate', { leftOver: volume(rate.leftOverMl / 1000) })}
          </Box>
        </Box>
      ))}
    </Panel>
  );
}

/** So many of either are shown. */
const SHOWN = 8;

/** A stand-in for phone messages: what would be sent, when, to whom. Nothing leaves the machine. */
function Outbox(props: { messages: readonly Message[]; people: number; nowMs: number; zone: string }) {
  const { messages, people, nowMs, zone } = props;
  const sent = messages.filter((m) => m.atMs <= nowMs).slice(-SHOWN);
  const coming = messages.filter((m) => m.atMs > nowMs).slice(0, SHOWN);
  const line = (m: Message) => (
    <Box key={m.key} data-testid="message" sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
        {say('reminders.to', { to: m.to, at: moment(m.atMs, nowMs, zone) })}
      </Box>
      {messageWords(m.reminder)}
    </Box>
  );
  return (
    <Panel
      title={say('reminders.messages')}
      aside={say('reminders.simulatedNothingLeavesThis')}
      testId="outbox"
    >
      {people === 0 ? (
        <Box sx={{ color: role('inkMuted') }}>
          {sayRich('reminders.nobodyIsToBe', {
            link: <Link to="/kitchen?part=practice">{say('common.kitchen')}</Link>,
          })}
        </Box>
      ) : (
        <Fold summary={say('reminders.whatWouldGoOut', { count: sent.length + coming.length })}>
          {sent.length > 0 && (
            <Box component="h3" sx={{ fontSize: '1rem', m: 0 }}>
              {say('reminders.wouldHaveGoneOut')}
            </Box>
          )}
          {sent.map(line)}
          <Box component="h3" sx={{ fontSize: '1rem', m: 0, mt: 1.5 }}>
            {say('reminders.toCome')}
          </Box>
          {coming.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('reminders.noneForNow')}</Box>}
          {coming.map(line)}
        </Fold>
      )}
    </Panel>
  );
}
