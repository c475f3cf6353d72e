import { FINAL_PROBLEMS, ROUTES } from '@big-ladle/core/contract';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { type DBSchema, type IDBPDatabase, type IDBPTransaction, openDB } from 'idb';
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

/** Whose entry it is, and which of that device's. */
type Mark = Pick<LogEvent, 'deviceId' | 'deviceSeq'>;
/** An entry that has no mark yet. */
type Draft = Omit<LogEvent, keyof Mark>;

const marked = (drafts: readonly Draft[], marks: readonly Mark[]): LogEvent[] =>
  drafts.map((draft, i) => ({ ...draft, ...marks[i] }) as LogEvent);

const draftOf = (stream: LogEvent['stream'], deed: EventBody, atMs: number): Draft =>
  ({ id: uuid(), stream, v: 1, atMs, ...deed }) as Draft;

/** The device of a window that keeps nothing. */
const passing = { deviceId: uuid(), deviceSeq: 0 };

const passingMarks = (count: number): Mark[] =>
  Array.from({ length: count }, () => ({ ...passing, deviceSeq: ++passing.deviceSeq }));

type Stores = ('event' | 'device')[];

/** The next marks of this device, within a transaction. */
async function nextMarks(
  tx: IDBPTransaction<OutboxSchema, Stores, 'readwrite'>,
  count: number,
): Promise<Mark[]> {
  const store = tx.objectStore('device');
  const [id, seq] = await Promise.all([store.get('id'), store.get('seq')]);
  const deviceId = (id as string | undefined) ?? uuid();
  const last = (seq as number | undefined) ?? 0;
  if (id === undefined) void store.put(deviceId, 'id');
  void store.put(last + count, 'seq');
  return Array.from({ length: count }, (_, i) => ({ deviceId, deviceSeq: last + i + 1 }));
}

/**
 * Gives entries their marks and keeps them here, with those that could not be kept before. In one transaction, so that
 * a page that is left right after a tap has kept it.
 */
async function keep(drafts: readonly Draft[]): Promise<LogEvent[]> {
  const late = useOutbox.getState().pending.filter((e) => unkept.has(e.id));
  const kept = await inStore(async (db) => {
    const tx = db.transaction<Stores, 'readwrite'>(['event', 'device'], 'readwrite');
    const events = marked(drafts, await nextMarks(tx, drafts.length));
    for (const event of [...late, ...events]) void tx.objectStore('event').put(event);
    await tx.done;
    return events;
  });
  if (!kept) {
    const events = marked(drafts, passingMarks(drafts.length));
    for (const event of events) unkept.add(event.id);
    return events;
  }
  unkept.clear();
  useOutbox.setState({ keepsNothing: false });
  return kept;
}

/** A deed as an event of a stream, with id, time and device. */
export async function eventFor(
  stream: LogEvent['stream'],
  deed: EventBody,
  atMs = serverNow(),
): Promise<LogEvent> {
  const marks = await inStore(async (db) => {
    const tx = db.transaction<Stores, 'readwrite'>(['event', 'device'], 'readwrite');
    const next = await nextMarks(tx, 1);
    await tx.done;
    return next;
  });
  return marked([draftOf(stream, deed, atMs)], marks ?? passingMarks(1))[0]!;
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
  // One millisecond apart, so that what was said first stays first.
  const events = await keep(deeds.map((deed, i) => draftOf(stream, deed, atMs + i)));
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
