import { createHash } from 'node:crypto';
import { activeEvents, EVENTS, type LogEvent } from '@big-ladle/core/log';

/** Whether the drink itself feels an event. Stored keys rest on it: a row of the table that says so keeps saying it. */
const isFelt = ({ kind }: LogEvent): boolean => {
  const row = EVENTS[kind];
  return row.of !== 'stove' || row.drinkFeels;
};

/** A log as a short key: the same for as long as nothing is said, undone or moved in it that a drink would feel. */
export const keyOfLog = (events: readonly LogEvent[]): string =>
  createHash('sha256')
    .update(
      activeEvents(events)
        .filter(isFelt)
        .map((e) => `${e.id} ${e.atMs}`)
        .sort()
        .join('\n'),
    )
    .digest('base64url')
    .slice(0, 22);
