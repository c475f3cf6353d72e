import { activeEvents, type LogEvent } from './events.ts';

export type ShelfPlace = 'fridge' | 'counter';

/** What has happened to a bottle since it was filled. */
export interface ItemLog {
  openedMs: number | null;
  pouredMl: number;
  finishedMs: number | null;
  discarded: { atMs: number; why: string } | null;
  /** Where it stood, from when; the first entry is the filling. */
  places: readonly { place: ShelfPlace; fromMs: number }[];
}

/** Folds the events of one bottle's own stream. It goes to the fridge when it is filled. */
export function foldItem(filledMs: number, events: readonly LogEvent[]): ItemLog {
  let openedMs: number | null = null;
  let pouredMl = 0;
  let finishedMs: number | null = null;
  let discarded: ItemLog['discarded'] = null;
  const places: { place: ShelfPlace; fromMs: number }[] = [{ place: 'fridge', fromMs: filledMs }];
  for (const event of activeEvents(events)) {
    switch (event.kind) {
      case 'opened':
        openedMs ??= event.atMs;
        break;
      case 'poured':
        openedMs ??= event.atMs;
        pouredMl += event.body.volumeMl;
        break;
      case 'finished':
        finishedMs = event.atMs;
        break;
      case 'discarded':
        discarded = { atMs: event.atMs, why: event.body.why };
        break;
      case 'moved':
        if (event.atMs >= filledMs) places.push({ place: event.body.place, fromMs: event.atMs });
        break;
      default:
        break;
    }
  }
  return { openedMs, pouredMl, finishedMs, discarded, places };
}
