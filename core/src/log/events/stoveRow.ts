import type * as v from 'valibot';
import type { StoveRow } from './row.ts';
import { EVENTS, type LogEvent } from './table.ts';

/**
 * The row of an event that stands in the log of a batch; null for any other. The table pairs a kind with its body, and so
 * does an event; that one and the same kind stands on both sides is beyond what the types can follow.
 */
export function rowOfStove(event: LogEvent): StoveRow<v.GenericSchema<unknown>> | null {
  const row = EVENTS[event.kind];
  return row.of === 'stove' ? (row as unknown as StoveRow<v.GenericSchema<unknown>>) : null;
}
