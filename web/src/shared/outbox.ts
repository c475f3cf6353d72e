import { FINAL_PROBLEMS, ROUTES } from '@big-ladle/core/contract';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { v7 as uuid } from 'uuid';
import { say } from '../words/say.ts';
import { ApiError, ask, OfflineError } from './api.ts';
import { notify } from './notices.ts';
import { moveToStored, useOutbox } from './outboxStore.ts';
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

/**
 * Does something with what this browser keeps. A private window and a full disk keep nothing: that is said, and what is
 * entered goes straight to the server.
 * @returns null where it could not be done.
 */
async function inStore<T>(work: (db: IDBPDatabase<OutboxSchema>) => Promise<T>): Promise<T | null> {
  try {
    return await work(await database());
  } catch {
    opened = null;
    useOutbox.setState({ keepsNothing: true });
    return null;
  }
}

/** Entries that wait and are not kept here, because nothing could be. */
const unkept = new Set<string>();

/** Keeps entries here, with those that could not be kept before. */
async function keep(events: readonly LogEvent[]): Promise<void> {
  const late = useOutbox.getState().pending.filter((e) => unkept.has(e.id));
  const kept = await inStore(async (db) => {
    const tx = db.transaction('event', 'readwrite');
    for (const event of [...late, ...events]) await tx.store.put(event);
    await tx.done;
    return true;
  });
  if (!kept) {
    for (const event of events) unkept.add(event.id);
    return;
  }
  unkept.clear();
  useOutbox.setState({ keepsNothing: false });
}

/** The mark of a window that keeps nothing. */
const passing = { deviceId: uuid(), deviceSeq: 0 };

async function deviceMark(): Promise<{ deviceId: string; deviceSeq: number }> {
  const kept = await inStore(nextMark);
  if (kept) return kept;
  passing.deviceSeq++;
  return { ...passing };
}

async function nextMark(db: IDBPDatabase<OutboxSchema>): Promise<{ deviceId: string; deviceSeq: number }> {
  const tx = db.transaction('device', 'readwrite');
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
  deed: EventBody,
  atMs = serverNow(),
): Promise<LogEvent> {
  return { id: uuid(), stream, v: 1, atMs, ...(await deviceMark()), ...deed } as LogEvent;
}

const waiting = new Map<string, { onStored?: () => void; onRefused?: (error: ApiError) => void }>();

/** Two taps are further apart than what one tap says, which stands a millisecond after another (`saidTogether`). */
const APART_MS = 2;
/** The server's time is found again now and then: it may step back by so much without a tap coming before the last. */
const STEP_BACK_MS = 10_000;
let lastMs = 0;

/** When a tap that says so much is made: after the one before it, on this window. */
function momentOfTap(count: number): number {
  const now = Math.round(serverNow());
  const after = lastMs + APART_MS;
  const atMs = after > now && after - now < STEP_BACK_MS ? after : now;
  lastMs = atMs + count - 1;
  return atMs;
}

/**
 * Says that something happened. It is kept in this browser first, shown at once, and sent until the server has it,
 * also after a reload. Resolves when it is kept, or cannot be. A refusal of the server goes to `onRefused`, else to the notices.
 */
export async function record(
  stream: LogEvent['stream'],
  deeds: readonly EventBody[],
  answer: { onStored?: () => void; onRefused?: (error: ApiError) => void } = {},
  atMs = momentOfTap(deeds.length),
): Promise<void> {
  const events: LogEvent[] = [];
  // One millisecond apart, so that what was said first stays first.
  for (const [i, deed] of deeds.entries()) events.push(await eventFor(stream, deed, atMs + i));
  await keep(events);
  const last = events.at(-1);
  if (last) waiting.set(last.id, answer);
  useOutbox.setState((s) => ({ pending: [...s.pending, ...events] }));
  void flush();
}

async function forget(ids: readonly string[]): Promise<void> {
  await inStore(async (db) => {
    const tx = db.transaction('event', 'readwrite');
    for (const id of ids) await tx.store.delete(id);
    await tx.done;
  });
  const gone = new Set(ids);
  useOutbox.setState((s) => ({
    pending: s.pending.filter((e) => !gone.has(e.id)),
    held: Object.fromEntries(Object.entries(s.held).filter(([id]) => !gone.has(id))),
  }));
}

/** Whether the entry itself is what is refused: sent again, the same server would say the same. */
const isFinal = (error: ApiError): boolean => error.ours && FINAL_PROBLEMS.has(error.code);

const isOfSameStream = (a: LogEvent, b: LogEvent): boolean =>
  a.stream.kind === b.stream.kind && a.stream.id === b.stream.id;

/** Whether something said earlier of the same thing still waits: with it, the answer may be another. */
const waitsBefore = (event: LogEvent): boolean =>
  useOutbox
    .getState()
    .pending.some((e) => isOfSameStream(e, event) && e.id !== event.id && e.atMs < event.atMs);

/**
 * Sends entries of one stream. An entry is let go of only when our own server names it as stored, or refuses it for
 * what it is; any other answer, whoever gives it, leaves it waiting.
 * @returns the entries that our server does not take for now.
 * @throws OfflineError or ApiError when nothing can be sent at present.
 */
async function sendAll(events: readonly LogEvent[]): Promise<LogEvent[]> {
  try {
    const kept = new Set((await ask(ROUTES.events, { body: { events: [...events] } })).kept);
    const stored = events.filter((e) => kept.has(e.id));
    if (stored.length === 0) throw new OfflineError(true);
    moveToStored(stored);
    takeEvents(stored);
    await forget(stored.map((e) => e.id));
    for (const event of stored) {
      waiting.get(event.id)?.onStored?.();
      waiting.delete(event.id);
    }
    return events.filter((e) => !kept.has(e.id));
  } catch (error) {
    // Not ours, not let in, or asked to wait: all that waits here goes on waiting.
    if (
      !(error instanceof ApiError) ||
      !error.ours ||
      error.status >= 500 ||
      [401, 429].includes(error.status)
    )
      throw error;
    if (events.length > 1) {
      // One of them is refused: the others must not wait for it.
      const held: LogEvent[] = [];
      for (const event of events) held.push(...(await sendAll([event])));
      return held;
    }
    const [event] = events;
    if (!event) return [];
    if (!isFinal(error) || waitsBefore(event)) {
      useOutbox.setState((s) => ({ held: { ...s.held, [event.id]: error.detail } }));
      return [event];
    }
    await forget([event.id]);
    const told = waiting.get(event.id)?.onRefused;
    waiting.delete(event.id);
    if (told) told(error);
    else notify('error', say('common.notStored', { detail: error.detail }));
    return [];
  }
}

function whyOffline(error: unknown): 'silent' | 'foreign' | { detail: string } {
  if (error instanceof ApiError) return error.ours ? { detail: error.detail } : 'foreign';
  return error instanceof OfflineError && error.foreign ? 'foreign' : 'silent';
}

/** Throws away what waits here, by hand: it is never sent. */
export async function discard(id: string): Promise<void> {
  waiting.delete(id);
  await forget([id]);
}

let flushing = false;
let again: ReturnType<typeof setTimeout> | null = null;
const RETRY_MS = 1500;
/** What the server does not take for now is tried again after this. */
const HELD_RETRY_MS = 15_000;

function tryAgainIn(ms: number): void {
  if (again) clearTimeout(again);
  again = setTimeout(() => void flush(), ms);
}

/** Sends what waits, oldest first; tries again by itself while the server does not answer or does not take it yet. */
export async function flush(): Promise<void> {
  if (flushing) return;
  flushing = true;
  const held = new Set<string>();
  const open = () => useOutbox.getState().pending.filter((e) => !held.has(e.id));
  try {
    for (let events = open(); events.length > 0; events = open()) {
      const [first] = events;
      // Deeds of one moment travel together: what the server refuses, it refuses whole.
      const together = events.filter((e) => isOfSameStream(e, first!)).slice(0, 100);
      for (const event of await sendAll(together)) held.add(event.id);
    }
    useOutbox.setState({ offline: false });
    if (held.size > 0) tryAgainIn(HELD_RETRY_MS);
  } catch (error) {
    const offline = !(error instanceof ApiError) || !error.ours || error.status >= 500;
    useOutbox.setState({ offline, because: whyOffline(error) });
    tryAgainIn(RETRY_MS);
  } finally {
    flushing = false;
  }
}

/** At start: what an earlier page could not send goes first. */
export async function startOutbox(): Promise<void> {
  const kept = await inStore((db) => db.getAll('event'));
  if (kept?.length) {
    useOutbox.setState((s) => ({
      pending: [...kept.filter((e) => !s.pending.some((p) => p.id === e.id)), ...s.pending].sort(
        (a, b) => a.atMs - b.atMs,
      ),
    }));
  }
  window.addEventListener('online', () => void flush());
  await flush();
}
