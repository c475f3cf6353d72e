import { EVENTS, type LogEvent } from './table.ts';

/** The order in which events are folded, whatever order they arrived in. */
export const inLogOrder = (a: Pick<LogEvent, 'atMs' | 'id'>, b: Pick<LogEvent, 'atMs' | 'id'>): number =>
  a.atMs - b.atMs || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * Ids of what was taken back, by an undo that was not itself undone.
 * @param ordered in the order of the log.
 */
function undoneIn(ordered: readonly LogEvent[]): ReadonlySet<string> {
  const undone = new Set<string>();
  const before = new Map(ordered.map((e, index) => [e.id, index]));
  // From the newest back: an undo that was itself undone does nothing.
  for (const [i, event] of [...ordered.entries()].reverse())
    if (event.kind === 'undone' && !undone.has(event.id) && (before.get(event.body.target) ?? i) < i)
      undone.add(event.body.target);
  return undone;
}

/** What a log shows: all that was not taken back, the newest first. */
export function shownEvents(events: readonly LogEvent[]): LogEvent[] {
  const ordered = [...events].sort(inLogOrder);
  const undone = undoneIn(ordered);
  return ordered.filter((e) => e.kind !== 'undone' && !undone.has(e.id)).reverse();
}

/**
 * The events that count, in order, with the time that counts: what was undone is left out (undoing an undo brings
 * it back), what was retimed has its new time. An undo reaches only what stands before it.
 */
export function activeEvents(events: readonly LogEvent[]): LogEvent[] {
  const ordered = [...events].sort(inLogOrder);
  const undone = undoneIn(ordered);
  const retimed = new Map<string, number>();
  for (const event of ordered.toReversed())
    if (event.kind === 'retimed' && !undone.has(event.id) && !retimed.has(event.body.target))
      retimed.set(event.body.target, event.body.toMs);
  return ordered
    .filter((e) => !undone.has(e.id) && e.kind !== 'undone' && e.kind !== 'retimed')
    .map((e) => (retimed.has(e.id) ? { ...e, atMs: retimed.get(e.id)! } : e))
    .sort(inLogOrder);
}

/** The newest event that undo would take back; null when there is nothing. */
export const lastUndoable = (events: readonly LogEvent[]): LogEvent | null =>
  shownEvents(events).find((e) => EVENTS[e.kind].undo === 'takenBack') ?? null;

/**
 * Everything that was said with the same tap as an event, in order: one tap back takes all of it back. A window numbers
 * its events and puts those of one tap a millisecond apart.
 */
export function saidTogether(events: readonly LogEvent[], event: LogEvent): LogEvent[] {
  const mine = new Map(
    events
      .filter((e) => e.deviceId === event.deviceId && e.kind !== 'undone')
      .map((e) => [e.deviceSeq, e] as const),
  );
  const together = [event];
  for (
    let e = mine.get(event.deviceSeq - 1);
    e && e.atMs === together[0]!.atMs - 1;
    e = mine.get(e.deviceSeq - 1)
  )
    together.unshift(e);
  return together;
}
