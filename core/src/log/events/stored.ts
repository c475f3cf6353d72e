import * as v from 'valibot';
import { withoutBounds } from '../../units/withoutBounds.ts';
import { EVENT_KINDS, EVENTS, type EventKind, type LogEvent, shapeOf } from './table.ts';

const SHAPES: ReadonlyMap<string, v.GenericSchema<unknown, LogEvent>> = new Map(
  EVENT_KINDS.map((kind) => [kind, withoutBounds(shapeOf(kind)) as v.GenericSchema<unknown, LogEvent>]),
);

const headSchema = v.looseObject({ kind: v.string(), v: v.number(), body: v.unknown() });

/** A body taken from the version in which it was written to the newest, one step after another. */
export const upcastBody = (
  upcasts: readonly ((body: unknown) => unknown)[],
  writtenV: number,
  body: unknown,
): unknown => upcasts.slice(Math.max(0, writtenV - 1)).reduce((old, step) => step(old), body);

/** An event of any version as today's. */
function upcast(head: v.InferOutput<typeof headSchema>, kind: EventKind): unknown {
  const { upcasts, v: newest } = EVENTS[kind];
  return { ...head, v: newest, body: upcastBody(upcasts, head.v, head.body) };
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
