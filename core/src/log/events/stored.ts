import * as v from 'valibot';
import { withoutBounds } from '../../units/withoutBounds.ts';
import { EVENT_KINDS, EVENTS, type EventKind, type LogEvent, shapeOf } from './table.ts';

const SHAPES: ReadonlyMap<string, v.GenericSchema<unknown, LogEvent>> = new Map(
  EVENT_KINDS.map((kind) => [kind, withoutBounds(shapeOf(kind)) as v.GenericSchema<unknown, LogEvent>]),
);

const headSchema = v.looseObject({ kind: v.string(), v: v.number(), body: v.unknown() });

/** An event of any version as today's: its body taken from one version to the next. */
function upcast(head: v.InferOutput<typeof headSchema>, kind: EventKind): unknown {
  const row = EVENTS[kind];
  const body = row.upcasts.slice(Math.max(0, head.v - 1)).reduce((old, step) => step(old), head.body);
  return { ...head, v: row.v, body };
}

/**
 * An event as it was stored or archived, by this version or an older one. Limits that have come since do not make it
 * unreadable.
 * @returns null for a kind that is not known, or a body of another shape: it is passed over.
 */
export function readStored(value: unknown): LogEvent | null {
  const head = v.safeParse(headSchema, value);
  const schema = head.success ? SHAPES.get(head.output.kind) : undefined;
  if (!head.success || !schema) return null;
  const read = v.safeParse(schema, upcast(head.output, head.output.kind as EventKind));
  return read.success ? read.output : null;
}
