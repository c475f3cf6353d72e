import type { Sign } from '../tables/checks.ts';
import type { LeftoverUse } from '../tables/leftovers.ts';
import { activeEvents, type LogEvent } from './events.ts';

/** What has happened to a bottle, jar, bag or leftover since it was put by. */
export interface ItemLog {
  openedMs: number | null;
  pouredMl: number;
  finishedMs: number | null;
  discarded: { atMs: number; why: string } | null;
  given: { atMs: number; to: string } | null;
  /** Where it stood, from when; the first entry is the filling. */
  places: readonly { place: string; fromMs: number }[];
  ventedMs: number | null;
  /** Each look at it, with what was seen. */
  looks: readonly { atMs: number; signs: readonly Sign[] }[];
  /** Of a leftover: what went into something else, g. */
  used: readonly { atMs: number; massG: number; use: LeftoverUse }[];
}

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

/** What one more event makes of it; events of other kinds leave it as it is. */
export function itemAfter(log: ItemLog, event: LogEvent): ItemLog {
  const { atMs } = event;
  switch (event.kind) {
    case 'opened':
      return { ...log, openedMs: log.openedMs ?? atMs };
    case 'poured':
      return { ...log, openedMs: log.openedMs ?? atMs, pouredMl: log.pouredMl + event.body.volumeMl };
    case 'finished':
      return { ...log, finishedMs: atMs };
    case 'discarded':
      return { ...log, discarded: { atMs, why: event.body.why } };
    case 'gaveAway':
      return { ...log, given: { atMs, to: event.body.to } };
    case 'moved':
      return atMs < log.places[0]!.fromMs
        ? log
        : { ...log, places: [...log.places, { place: event.body.place, fromMs: atMs }] };
    case 'vented':
      return { ...log, ventedMs: atMs };
    case 'looked':
      return { ...log, looks: [...log.looks, { atMs, signs: event.body.signs }] };
    case 'used':
      return { ...log, used: [...log.used, { atMs, massG: event.body.massG, use: event.body.use }] };
    default:
      return log;
  }
}

/** Folds the events of one item's own stream. */
export const foldItem = (madeMs: number, events: readonly LogEvent[], firstPlace = FIRST_PLACE): ItemLog =>
  activeEvents(events).reduce(itemAfter, freshItem(madeMs, firstPlace));

/** Whether it stands nowhere in the house any more. */
export const isGone = (log: ItemLog): boolean =>
  log.finishedMs !== null || log.discarded !== null || log.given !== null;
