import { type EventBody, type LogEvent, lastUndoable, saidTogether } from '@big-ladle/core/log';

/** What one tap back takes back: all that was said with the last tap, told by what it was about. */
export interface Undo {
  /** The newest event of it. */
  last: LogEvent;
  /** What the button names. */
  told: LogEvent;
  deeds: EventBody[];
}

/** @returns null where there is nothing to take back. */
export function undoOf(events: readonly LogEvent[]): Undo | null {
  const last = lastUndoable(events);
  if (!last) return null;
  const together = saidTogether(events, last);
  // A batch that never began would stand there as done: whoever wants to leave it stops it.
  if (together.some((e) => e.kind === 'stepStarted')) return null;
  return {
    last,
    // "The step is over" is what follows from the rest of a tap.
    told: together.find((e) => e.kind !== 'stepEnded') ?? last,
    // The newest first, so that the log can be read back at every point.
    deeds: together.toReversed().map((e): EventBody => ({ kind: 'undone', body: { target: e.id } })),
  };
}
