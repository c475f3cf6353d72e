import type { EventBody, LogEvent } from './events/table.ts';

/** Where most of what is told in tests stands. */
const BATCH: LogEvent['stream'] = { kind: 'batch', id: 'b' };

/** What was told at a moment, as it stands in a log. @param seq of the device: with the moment it gives the order. */
export const toldAt = (
  atMs: number,
  seq: number,
  deed: EventBody,
  { stream = BATCH, id = `e${String(seq).padStart(9, '0')}` }: Partial<Pick<LogEvent, 'stream' | 'id'>> = {},
): LogEvent => ({ id, stream, v: 1, atMs, deviceId: 'd', deviceSeq: seq, ...deed }) as LogEvent;
