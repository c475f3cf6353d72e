import { withCustom } from '@big-ladle/core/book';
import type { Batch, EventsStored } from '@big-ladle/core/contract';
import { USUAL_PLACES } from '@big-ladle/core/documents';
import {
  activeEvents,
  effectiveProgram,
  isEntryProblem,
  type LogEvent,
  rehearsalNow,
  touchedBy,
} from '@big-ladle/core/log';
import type { PlannedProgram, Program } from '@big-ladle/core/program';
import { joinedRows, type PinnedRows, pinRows, SHIPPED_TABLES } from '@big-ladle/core/tables';
import type { Db } from '../db/db.ts';
import { eventFrom, eventToRow, readKitchen } from '../db/rows.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, notFound } from '../problems.ts';
import type { StoredEvent } from '../stream.ts';
import { rowsOfOwn } from './book.ts';
import { itemIdsOf, ownedAmong, ownItems } from './itemOwners.ts';
import { isUnreadable, projectBatch, projectItem } from './projections.ts';
import { batchOf, eventsOf, streamKindOf } from './streams.ts';

/** Entries on their way into the log: written together, and before anybody reads it. */
class NewEntries {
  readonly stored: StoredEvent[] = [];
  private waiting: LogEvent[] = [];

  constructor(
    private readonly db: Db,
    private readonly nowMs: number,
  ) {}

  add(event: LogEvent): void {
    this.waiting.push(event);
  }

  /** The database, with all of them in it. */
  async written(): Promise<Db> {
    const { db, waiting } = this;
    if (waiting.length === 0) return db;
    this.waiting = [];
    // The rows of one insert are numbered one after another; told is the number of the last.
    const [last] = (await db('event').insert(waiting.map((e) => eventToRow(e, this.nowMs)))) as [number];
    for (const [i, event] of waiting.entries())
      this.stored.push({ seq: last - waiting.length + 1 + i, event });
    return db;
  }
}

/** A clock may run ahead by this much before what it dates is refused. */
const FUTURE_MS = 10 * 60_000;

function checkTime(event: LogEvent, nowMs: number): void {
  const latest = event.kind === 'retimed' ? Math.max(event.atMs, event.body.toMs) : event.atMs;
  if (latest > nowMs + FUTURE_MS) {
    throw new HttpProblem('inTheFuture', { eventId: event.id });
  }
}

/** A place of this kitchen, or one that every kitchen begins with. */
async function checkPlace(db: Db, placeId: string, eventId: string): Promise<void> {
  const isIt = (p: { id: string }) => p.id === placeId;
  if (USUAL_PLACES.some(isIt) || (await readKitchen(db)).kitchen.places.some(isIt)) return;
  throw new HttpProblem('unknownPlace', { params: { id: placeId }, eventId });
}

/** Steps of the plan, and those that the log has added to it. */
async function hasStep(
  log: NewEntries,
  batch: Batch,
  planned: PlannedProgram,
  stepId: string,
): Promise<boolean> {
  const has = (program: Program) => program.steps.some((s) => s.id === stepId);
  if (has(planned)) return true;
  const db = await log.written();
  const events = await eventsOf(db, streamKindOf(batch), batch.id);
  return has(effectiveProgram(planned, activeEvents(events)));
}

/** A rehearsal has its own stream, and its own time. */
async function checkBatchEvent(
  log: NewEntries,
  batch: Batch | null,
  event: LogEvent,
  nowMs: number,
): Promise<void> {
  if (!batch || (batch.rehearsal !== undefined) !== (event.stream.kind === 'rehearsal'))
    throw notFound(event.stream.kind, event.stream.id);
  checkTime(event, batch.rehearsal ? rehearsalNow(batch.rehearsal, nowMs) : nowMs);
  if (!batch.pins) throw new HttpProblem('notStarted', { eventId: event.id });
  const stepId = 'stepId' in event.body ? event.body.stepId : undefined;
  if (stepId !== undefined && !(await hasStep(log, batch, batch.pins.program, stepId))) {
    throw new HttpProblem('unknownStep', { params: { id: stepId }, eventId: event.id });
  }
}

/** A thing on the shelf is one thing: its id is new. */
async function checkItemIds(db: Db, event: LogEvent): Promise<void> {
  const ids = itemIdsOf(event);
  const reused = ids.find((id, i) => ids.indexOf(id) !== i) ?? (await ownedAmong(db, ids))[0];
  if (reused !== undefined) throw new HttpProblem('idTaken', { params: { id: reused }, eventId: event.id });
}

/** Undo and a new time are about an event of the same stream. */
async function checkTarget(log: NewEntries, event: LogEvent): Promise<void> {
  if (event.kind !== 'undone' && event.kind !== 'retimed') return;
  const db = await log.written();
  const target = (await db('event').where({ id: event.body.target }).first('stream_kind', 'stream_id')) as
    | { stream_kind: string; stream_id: string }
    | undefined;
  if (target && (target.stream_kind !== event.stream.kind || target.stream_id !== event.stream.id))
    throw new HttpProblem('otherStream', { eventId: event.id });
}

/** What is put in at the stove is pinned with the row that it has now. @returns whether that changed the batch. */
async function pinRow(db: Db, batch: Batch | null, event: LogEvent): Promise<boolean> {
  if (event.kind !== 'added' && event.kind !== 'swapped') return false;
  if (!batch?.pins) return false;
  const tables = withCustom(SHIPPED_TABLES, await rowsOfOwn(db));
  const rows = joinedRows(batch.pins.rows ?? NO_ROWS, pinRows(tables, [event.body.itemId]));
  if (rows === batch.pins.rows) return false;
  await db('batch')
    .where({ id: batch.id })
    .update({ pins: JSON.stringify({ ...batch.pins, rows }) });
  return true;
}
const NO_ROWS: PinnedRows = { ingredients: [], liquids: [], sweeteners: [] };

/**
 * Appends events, each once: an id seen with the same body is passed over, with another body it is a 409. The
 * projections of every stream that was touched are rewritten in the same transaction; an entry that cannot be true
 * of its batch (more than the vessel holds) is refused and nothing is stored.
 */
export async function storeEvents(
  db: Db,
  events: readonly LogEvent[],
  nowMs: number,
): Promise<StoredEvent[]> {
  const log = new NewEntries(db, nowMs);
  const touched = new Map<string, { kind: LogEvent['stream']['kind']; id: string; last: string }>();
  const changes = new Set<string>();
  const bodies = await bodiesOf(db, events);
  const batches = new Map<string, Batch | null>();
  for (const event of events) {
    const { stream } = event;
    const body = JSON.stringify(event);
    const before = bodies.get(event.id);
    if (before !== undefined) {
      if (before === body) continue;
      throw new HttpProblem('sameIdOtherBody', { eventId: event.id });
    }
    bodies.set(event.id, body);
    if (stream.kind === 'batch' || stream.kind === 'rehearsal') {
      const batch = batches.get(stream.id) ?? (await batchOf(db, stream.id));
      await checkBatchEvent(log, batch, event, nowMs);
      batches.set(stream.id, (await pinRow(db, batch, event)) ? null : batch);
    } else checkTime(event, nowMs);
    await checkItemIds(db, event);
    await checkTarget(log, event);
    if (event.kind === 'moved') await checkPlace(db, event.body.place, event.id);
    if (stream.kind === 'item' && !(await db('item_now').where({ item_id: stream.id }).first('item_id'))) {
      throw notFound('bottle', stream.id);
    }
    log.add(event);
    await ownItems(db, event);
    touched.set(`${stream.kind}:${stream.id}`, { ...stream, last: event.id });
    if (touchedBy([event]).size > 0) changes.add(stream.id);
  }
  await log.written();
  for (const { kind, id, last } of touched.values()) {
    // What changes nothing that others look at was said in the log, and that is all.
    if (!changes.has(id) && !(await isUnreadable(db, id))) continue;
    if (kind === 'batch' || kind === 'rehearsal') {
      const batch = batches.get(id) ?? (await batchOf(db, id));
      const problem = batch ? await projectBatch(db, batch) : null;
      if (problem && isEntryProblem(problem)) {
        throw new HttpProblem('cannotBeTrue', { problem, eventId: last });
      }
    }
    if (kind === 'item') await projectItem(db, id);
  }
  return log.stored;
}

/** What is stored already under the ids of entries, as text. */
async function bodiesOf(db: Db, events: readonly LogEvent[]): Promise<Map<string, string>> {
  const rows = (await db('event')
    .whereIn(
      'id',
      events.map((e) => e.id),
    )
    .select('id', 'body')) as { id: string; body: string }[];
  return new Map(rows.map((r) => [r.id, r.body]));
}

/** What a window sends of its log, all of it or nothing. */
export async function acceptEvents(
  db: Db,
  events: readonly LogEvent[],
  nowMs: number,
): Promise<Outcome<EventsStored>> {
  const stored = await db.transaction((trx) => storeEvents(trx, events, nowMs));
  return {
    answer: {
      stored: stored.map((s) => ({ id: s.event.id, seq: s.seq })),
      // All that were sent are there now, also those that were there before.
      kept: events.map((e) => e.id),
    },
    stored,
  };
}

/** More missed events than this, and a window loads everything anew. */
const CATCH_UP = 2000;

/** What a window has missed since an event. */
export interface Missed {
  events: StoredEvent[];
  /** The newest event there is: from there the window goes on. */
  seq: number;
  /** It is too much to be told one by one, or the window knows of more than there is: an older file was put back. */
  reload: boolean;
}

export async function latestSeq(db: Db): Promise<number> {
  const row = (await db('event').max({ seq: 'seq' }).first()) as { seq: number | null };
  return row.seq ?? 0;
}

export async function missedAfter(db: Db, seq: number): Promise<Missed> {
  const latest = await latestSeq(db);
  const rows = (await db('event')
    .where('seq', '>', seq)
    .orderBy('seq')
    .limit(CATCH_UP + 1)
    .select('seq', 'body')) as { seq: number; body: string }[];
  if (rows.length > CATCH_UP || seq > latest) return { events: [], seq: latest, reload: true };
  const events = rows.flatMap((r) => {
    const event = eventFrom(r.body);
    return event ? [{ seq: r.seq, event }] : [];
  });
  return { events, seq: latest, reload: false };
}
