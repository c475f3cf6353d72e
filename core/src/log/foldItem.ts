import type * as v from 'valibot';
import { activeEvents } from './events/order.ts';
import type { ItemRow } from './events/row.ts';
import { EVENTS, type LogEvent } from './events/table.ts';
import type { ItemLog } from './itemLog.ts';

/** Where things go that nobody has placed: the first shelf of the fridge. */
export const FIRST_PLACE = 'fridge';

/** A thing that has just been put by. */
export const freshItem = (madeMs: number, placeId = FIRST_PLACE): ItemLog => ({
  openedMs: null,
  pouredMl: 0,
  finishedMs: null,
  discarded: null,
  given: null,
  places: [{ place: placeId, fromMs: madeMs }],
  ventedMs: null,
  looks: [],
  used: [],
});

/** What one more event makes of it; events that do not belong to an item leave it as it is. */
export function itemAfter(log: ItemLog, event: LogEvent): ItemLog {
  const row = EVENTS[event.kind];
  // A row and an event of one kind have one body: beyond what the types can follow.
  return row.of === 'item' ? (row as unknown as ItemRow<v.GenericSchema<unknown>>).fold(log, event) : log;
}

/** Folds the events of one item's own stream. */
export const foldItem = (madeMs: number, events: readonly LogEvent[], firstPlace = FIRST_PLACE): ItemLog =>
  activeEvents(events).reduce(itemAfter, freshItem(madeMs, firstPlace));

/** Whether it stands nowhere in the house any more. */
export const isGone = (log: ItemLog): boolean =>
  log.finishedMs !== null || log.discarded !== null || log.given !== null;
