import * as v from 'valibot';
import { id, moment, whole } from '../../units/fields.ts';
import { EVENTS_ABOUT_EVENTS } from './about.ts';
import { ITEM_EVENTS } from './item.ts';
import { STREAM_KINDS, STREAMS_OF, type StreamKind, type Touched } from './row.ts';
import { STOVE_EVENTS } from './stove.ts';

/** Every kind of event there is. A new kind is a new row, and nothing else but its words. */
export const EVENTS = { ...STOVE_EVENTS, ...ITEM_EVENTS, ...EVENTS_ABOUT_EVENTS } as const;

export type EventKind = keyof typeof EVENTS;
export const EVENT_KINDS = Object.keys(EVENTS) as EventKind[];

type BodyOf<K extends EventKind> = v.InferOutput<(typeof EVENTS)[K]['body']>;

/** What a screen says happened; id, time and device are put to it where it is sent. */
export type EventBody = { [K in EventKind]: { kind: K; body: BodyOf<K> } }[EventKind];

interface Envelope {
  id: string;
  stream: { kind: StreamKind; id: string };
  v: number;
  atMs: number;
  deviceId: string;
  deviceSeq: number;
}
/** One entry of an append-only stream. */
export type LogEvent = EventBody & Envelope;
export type EventOf<K extends EventKind> = Extract<LogEvent, { kind: K }>;

/** One kind of event, with its envelope. */
export const shapeOf = <K extends EventKind>(kind: K) =>
  v.strictObject({
    id,
    stream: v.strictObject({ kind: v.picklist(STREAM_KINDS), id }),
    kind: v.literal(kind),
    v: v.literal(EVENTS[kind].v),
    atMs: moment,
    deviceId: id,
    deviceSeq: whole(0, Number.MAX_SAFE_INTEGER),
    body: EVENTS[kind].body,
  });

/** Whether events of a kind may stand in a stream. */
export const mayStandIn = (kind: EventKind, stream: StreamKind): boolean =>
  STREAMS_OF[EVENTS[kind].of].includes(stream);

/** An event as it is newly written: in a stream of its kind, within all bounds. */
export const eventSchema: v.GenericSchema<unknown, LogEvent> = v.pipe(
  v.variant('kind', EVENT_KINDS.map(shapeOf) as unknown as [ReturnType<typeof shapeOf>]),
  v.check((event) => mayStandIn(event.kind, event.stream.kind), 'wrongStream'),
) as unknown as v.GenericSchema<unknown, LogEvent>;

/** What is to be fetched anew once these were stored, beside the logs they stand in. */
export const touchedBy = (events: readonly Pick<LogEvent, 'kind'>[]): ReadonlySet<Touched> =>
  new Set(events.flatMap((event): readonly Touched[] => EVENTS[event.kind].touches));
