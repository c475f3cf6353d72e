import type { Deed, LogEvent } from '@big-ladle/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { v7 as uuid } from 'uuid';
import { ApiError, call, OfflineError } from './api.ts';
import { notify } from './notices.ts';
import { useOutbox } from './outboxStore.ts';
import { takeEvents } from './queries.ts';
import { serverNow } from './time.ts';

interface OutboxSchema extends DBSchema {
  event: { key: string; value: LogEvent };
  device: { key: 'id' | 'seq'; value: string | number };
}

let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null;
const database = (): Promise<IDBPDatabase<OutboxSchema>> => {
  opened ??= openDB<OutboxSchema>('big-ladle', 1, {
    upgrade(db) {
      db.createObjectStore('event', { keyPath: 'id' });
      db.createObjectStore('device');
    },
  });
  return opened;
};

async function deviceMark(): Promise<{ deviceId: string; deviceSeq: number }> {
  const tx = (await database()).transaction('device', 'readwrite');
  let deviceId = (await tx.store.get('id')) as string | undefined;
  if (!deviceId) {
    deviceId = uuid();
    await tx.store.put(deviceId, 'id');
  }
  const deviceSeq = (((await tx.store.get('seq')) as number | undefined) ?? 0) + 1;
  await tx.store.put(deviceSeq, 'seq');
  await tx.done;
  return { deviceId, deviceSeq };
}

/** A deed as an event of a stream, with id, time and device. */
export async function eventFor(
  stream: LogEvent['stream'],
  deed: Deed,
  atMs = serverNow(),
): Promise<LogEvent> {
  return { id: uuid(), stream, v: 1, atMs, ...(await deviceMark()), ...deed } as LogEvent;
}

const waiting = new Map<string, { onStored?: () => void; onRefused?: (error: ApiError) => void }>();

/**
 * Says that something happened. It is kept in this browser first, shown at once, and sent until the server has it,
 * also after a reload. Resolves when it is kept. A refusal of the server goes to `onRefused`, else to the notices.
 */
export async function record(
  stream: LogEvent['stream'],
  deeds: readonly Deed[],
  answer: { onStored?: () => void; onRefused?: (error: ApiError) => void } = {},
  atMs = serverNow(),
): Promise<void> {
  const events: LogEvent[] = [];
  // One millisecond apart, so that what was said first stays first.
  for (const [i, deed] of deeds.entries()) events.push(await eventFor(stream, deed, atMs + i));
  const tx = (await database()).transaction('event', 'readwrite');
  for (const event of events) await tx.store.put(event);
  await tx.done;
  const last = events.at(-1);
  if (last) waiting.set(last.id, answer);
  useOutbox.setState((s) => ({ pending: [...s.pending, ...events] }));
  void flush();
}

async function forget(ids: readonly string[]): Promise<void> {
  const tx = (await database()).transaction('event', 'readwrite');
  for (const id of ids) await tx.store.delete(id);
  await tx.done;
  const gone = new Set(ids);
  useOutbox.setState((s) => ({ pending: s.pending.filter((e) => !gone.has(e.id)) }));
}

async function sendAll(events: LogEvent[]): Promise<void> {
  try {
    await call('POST', '/events', { events });
    takeEvents(events);
    await forget(events.map((e) => e.id));
    for (const event of events) waiting.get(event.id)?.onStored?.();
  } catch (error) {
    // Not let in, or asked to wait: what waits here goes on waiting.
    if (!(error instanceof ApiError) || error.status >= 500 || [401, 429].includes(error.status)) throw error;
    if (events.length > 1) {
      // One of them is refused: the others must not wait for it.
      for (const event of events) await sendAll([event]);
      return;
    }
    await forget(events.map((e) => e.id));
    const told = waiting.get(events[0]!.id)?.onRefused;
    if (told) told(error);
    else notify('error', `Not stored: ${error.detail}`);
  }
  for (const event of events) waiting.delete(event.id);
}

let flushing = false;
let again: ReturnType<typeof setTimeout> | null = null;
const RETRY_MS = 1500;

/** Sends what waits, oldest first; tries again by itself while the server does not answer. */
export async function flush(): Promise<void> {
  if (flushing) return;
  flushing = true;
  try {
    for (
      let events = useOutbox.getState().pending;
      events.length > 0;
      events = useOutbox.getState().pending
    ) {
      const stream = events[0]!.stream;
      // Deeds of one moment travel together: what the server refuses, it refuses whole.
      await sendAll(
        events.filter((e) => e.stream.kind === stream.kind && e.stream.id === stream.id).slice(0, 100),
      );
    }
    useOutbox.setState({ offline: false });
  } catch (error) {
    const offline = error instanceof OfflineError || (error instanceof ApiError && error.status >= 500);
    useOutbox.setState({ offline });
    if (again) clearTimeout(again);
    again = setTimeout(() => void flush(), RETRY_MS);
  } finally {
    flushing = false;
  }
}

/** At start: what an earlier page could not send goes first. */
export async function startOutbox(): Promise<void> {
  const kept = await (await database()).getAll('event');
  if (kept.length) {
    useOutbox.setState((s) => ({
      pending: [...kept.filter((e) => !s.pending.some((p) => p.id === e.id)), ...s.pending].sort(
        (a, b) => a.atMs - b.atMs,
      ),
    }));
  }
  window.addEventListener('online', () => void flush());
  await flush();
}
