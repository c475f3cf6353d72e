import { TZDate } from '@date-fns/tz';
import type { MessageKind, MessageTo } from '../documents/kitchen.ts';
import type { ItemLog } from '../log/itemLog.ts';
import type { LotName } from '../program/model/ids.ts';
import { KEEPING } from '../tables/keeping.ts';
import type { LeftoverKind } from '../tables/leftovers.ts';
import { DAY_MS } from '../units/time.ts';
import { checkKindOf, nextLookMs } from './check.ts';
import { lastWholeDay } from './date.ts';
import type { BottleFacts } from './follower.ts';
import type { BottleLife } from './spoilage.ts';

/** What it is about beside the drink. */
export type ReminderAbout =
  | { what: 'lot'; lot: LotName }
  | { what: 'leftover'; leftover: LeftoverKind }
  | { what: 'occasion'; occasion: string }
  | { what: 'warmth'; highestC: number };

/** Something that wants doing on the cold shelf. */
export interface Reminder {
  /** The same for the same thing, however often it is worked out. */
  key: string;
  kind: MessageKind;
  /** Its time is over: it is not to be drunk. */
  over?: true;
  /** When it is told. */
  atMs: number;
  itemIds: readonly string[];
  recipeId: string;
  drinkName?: string;
  about?: ReminderAbout;
}

/** Told in the morning, by the kitchen's own clock. */
const MORNING_H = 9;
/** Frozen things are told of so long before their time ends; gifts so long before the day comes round. */
const DEFROST_DAYS = 3;
const GIFT_DAYS = 21;
const QUARTER_MS = 15 * 60_000;

/** Nine in the morning of a moment's local day. */
export function morningOf(ms: number, zone: string): number {
  const day = new TZDate(ms, zone);
  day.setHours(MORNING_H, 0, 0, 0);
  return day.getTime();
}

/** The first such morning not before a moment. */
export function morningFrom(ms: number, zone: string): number {
  const same = morningOf(ms, zone);
  if (same >= ms) return same;
  const next = new TZDate(same, zone);
  next.setDate(next.getDate() + 1);
  return next.getTime();
}

/** A bottle, jar or bag as reminders ask for it. */
export interface Reminded {
  itemId: string;
  batchId: string;
  recipeId: string;
  drinkName?: string;
  lot?: LotName & { id: string };
  bottle: BottleFacts;
  log: ItemLog;
  life: BottleLife;
}

/**
 * What the shelf asks for: bottles of one lot and one moment are told together.
 * Past and thrown-out bottles are told at once, due ones on the morning of their last whole day, live ones every
 * morning they were not let off, others when they want a look, frozen ones some days before their time ends.
 */
export function remindersOf(items: readonly Reminded[], zone: string, nowMs: number): Reminder[] {
  // A shelf has few mornings and many bottles; days begin at full quarters of an hour in every zone.
  const known = new Map<number, number>();
  const morning = (ms: number): number => {
    const quarter = Math.floor(ms / QUARTER_MS);
    const before = known.get(quarter);
    if (before !== undefined) return before;
    const at = morningOf(quarter * QUARTER_MS, zone);
    known.set(quarter, at);
    return at;
  };
  const next = (ms: number): number => {
    const same = morning(ms);
    // A day on, and into its morning: a day of 23 or 25 hours has one as well.
    return same >= ms ? same : morning(same + 1.25 * DAY_MS);
  };
  const groups = new Map<string, Reminder & { itemIds: string[] }>();
  const put = (item: Reminded, kind: MessageKind, atMs: number, over = false) => {
    const key = `${kind}${over ? '-over' : ''}:${item.batchId}:${item.lot?.id ?? ''}:${atMs}`;
    const group = groups.get(key);
    if (group) group.itemIds.push(item.itemId);
    else
      groups.set(key, {
        key,
        kind,
        ...(over ? { over } : {}),
        atMs,
        itemIds: [item.itemId],
        recipeId: item.recipeId,
        ...(item.drinkName ? { drinkName: item.drinkName } : {}),
        ...(item.lot ? { about: { what: 'lot' as const, lot: item.lot } } : {}),
      });
  };
  for (const item of items) {
    const { life, log, bottle } = item;
    if (life.verdict === 'past' || life.verdict === 'throwOut') {
      put(item, 'due', morning(Math.min(life.deadlineMs, nowMs)), true);
      continue;
    }
    if (life.frozen) {
      put(item, 'defrost', morning(life.deadlineMs - DEFROST_DAYS * DAY_MS));
      continue;
    }
    put(item, 'due', morning(lastWholeDay(life.deadlineMs, zone)));
    const kind = checkKindOf(bottle.keeping);
    if (kind === 'live') put(item, 'vent', next((log.ventedMs ?? bottle.filledMs) + DAY_MS / 2));
    const last = Math.max(bottle.filledMs, log.looks.at(-1)?.atMs ?? 0);
    const lookMs = next(nextLookMs(kind, last));
    if (lookMs < life.deadlineMs) put(item, 'look', lookMs);
  }
  return [...groups.values()].sort((a, b) => a.atMs - b.atMs || (a.key < b.key ? -1 : 1));
}

/** An occasion comes round: told three weeks before a year is over. */
export function giftReminder(
  batch: { batchId: string; recipeId: string; drinkName?: string; occasion: string; atMs: number },
  zone: string,
): Reminder {
  const day = new TZDate(batch.atMs, zone);
  day.setFullYear(day.getFullYear() + 1);
  const atMs = morningOf(day.getTime() - GIFT_DAYS * DAY_MS, zone);
  return {
    key: `gift:${batch.batchId}`,
    kind: 'gift',
    atMs,
    itemIds: [],
    recipeId: batch.recipeId,
    ...(batch.drinkName ? { drinkName: batch.drinkName } : {}),
    about: { what: 'occasion', occasion: batch.occasion },
  };
}

/** A message that would be sent: nothing leaves the machine. */
export interface Message {
  key: string;
  atMs: number;
  to: string;
  reminder: Reminder;
}

/** What would be sent, when and to whom, of everything that is to be reminded of. */
export const messagesOf = (reminders: readonly Reminder[], people: readonly MessageTo[]): Message[] =>
  reminders.flatMap((reminder) =>
    people
      .filter((person) => person.kinds.includes(reminder.kind))
      .map((person) => ({
        key: `${reminder.key}>${person.id}`,
        atMs: reminder.atMs,
        to: person.name,
        reminder,
      })),
  );

/** A sealed thing that makes gas: pressure in glass. */
export function pressureAlarm(item: { bottle: BottleFacts; log: ItemLog; material: string }): boolean {
  const seen = item.log.looks.at(-1)?.signs ?? [];
  const gassy = item.bottle.keeping.live === true || seen.includes('gas') || seen.includes('bulge');
  return gassy && item.material === 'glass' && item.log.openedMs === null;
}

/** How long a thawed thing keeps at most, for the words beside "take it out". */
export const THAWED_DAYS = KEEPING.thawedDays;
