import type { Batch, BatchDoc, BodyOf, Pins, Rehearsal, ROUTES } from '@big-ladle/core/contract';
import { isTooFarAhead, type Kitchen, type PlanDoc } from '@big-ladle/core/documents';
import { type LogEvent, rehearsalNow } from '@big-ladle/core/log';
import { solvePlanDoc } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import { joinedRows, type PinnedRows, pinRows, SHIPPED_TABLES } from '@big-ladle/core/tables';
import type { Db } from '../db/db.ts';
import { batchToRow, readKitchen } from '../db/rows.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, notFound } from '../problems.ts';
import type { StoredEvent } from '../stream.ts';
import { rowsOfOwn, tablesWith, wholeBook } from './book.ts';
import { storeEvents } from './events.ts';
import { forgetEvidence } from './learning.ts';
import { batchOf, eventsOf, streamKindOf } from './streams.ts';

export async function requireBatch(db: Db, id: string): Promise<Batch> {
  const batch = await batchOf(db, id);
  if (!batch) throw notFound('batch', id);
  return batch;
}

async function checkPlan(db: Db, plan: PlanDoc, nowMs: number): Promise<void> {
  if (isTooFarAhead(plan.readyAtMs, nowMs)) {
    throw new HttpProblem('tooFarAhead', { fields: [{ field: 'plan.readyAtMs', message: 'tooFarAhead' }] });
  }
  const { kitchen } = await readKitchen(db);
  const book = await wholeBook(db);
  const missing = !book.some((r) => r.id === plan.recipeId)
    ? 'recipeId'
    : !kitchen.pots.some((p) => p.id === plan.potId)
      ? 'potId'
      : !kitchen.burners.some((b) => b.id === plan.burnerId)
        ? 'burnerId'
        : null;
  if (missing) {
    throw new HttpProblem('unknownPart', {
      params: { what: missing },
      fields: [{ field: `plan.${missing}`, message: 'unknown' }],
    });
  }
}

/** Makes a plan; the same id with the same plan again is the same plan. */
export async function createBatch(
  db: Db,
  { id, plan }: { id: string; plan: PlanDoc },
  nowMs: number,
): Promise<Outcome<Batch>> {
  return db.transaction(async (trx) => {
    const before = await batchOf(trx, id);
    if (before) {
      if (JSON.stringify(before.plan) === JSON.stringify(plan)) return { answer: before };
      throw new HttpProblem('alreadyThere', { stored: before });
    }
    await checkPlan(trx, plan, nowMs);
    const batch: Batch = {
      id,
      status: 'planned',
      plan,
      version: 1,
      pins: null,
      createdMs: nowMs,
      updatedMs: nowMs,
    };
    await trx('batch').insert(batchToRow(batch));
    return told(batch);
  });
}

/** A batch that was changed: answered, and told to the other windows. */
const told = (batch: Batch, stored: readonly StoredEvent[] = []): Outcome<Batch> => ({
  answer: batch,
  changed: [{ doc: 'batch', id: batch.id, version: batch.version }],
  stored,
});

function requireVersion(batch: Batch, version: number, sent: unknown): void {
  if (batch.version === version) return;
  throw new HttpProblem('changedElsewhere', { params: { what: 'plan' }, stored: batch, sent });
}

/** Changes a plan that has not started. */
export async function updatePlan(
  db: Db,
  id: string,
  { version, plan }: { version: number; plan: PlanDoc },
  nowMs: number,
): Promise<Outcome<Batch>> {
  return db.transaction(async (trx) => {
    const batch = await requireBatch(trx, id);
    if (batch.status !== 'planned') {
      throw new HttpProblem('alreadyStarted', { stored: batch });
    }
    requireVersion(batch, version, plan);
    await checkPlan(trx, plan, nowMs);
    const next: Batch = { ...batch, plan, version: version + 1, updatedMs: nowMs };
    await trx('batch').where({ id }).update(batchToRow(next));
    return told(next);
  });
}

/** Puts a batch out of sight, or back into it. Nothing of it is changed. */
export async function putAway(db: Db, id: string, away: boolean, nowMs: number): Promise<Outcome<Batch>> {
  return db.transaction(async (trx) => {
    const { awayMs: _, ...batch } = await requireBatch(trx, id);
    const next: Batch = { ...batch, version: batch.version + 1, ...(away ? { awayMs: nowMs } : {}) };
    await trx('batch').where({ id }).update(batchToRow(next));
    return told(next);
  });
}

export async function deletePlan(db: Db, id: string, version: number): Promise<Outcome<undefined>> {
  return db.transaction(async (trx) => {
    const batch = await requireBatch(trx, id);
    if (batch.status !== 'planned') {
      throw new HttpProblem('alreadyStarted', { stored: batch });
    }
    requireVersion(batch, version, null);
    await trx('batch').where({ id }).del();
    return { answer: undefined, changed: [{ doc: 'batch', id, version: version + 1 }] };
  });
}

/** The cook's own ingredients that a batch takes, to be pinned with it. */
function usedOf(own: PinnedRows, lines: readonly { itemId: string }[]): PinnedRows {
  const used = <T extends { id: string }>(rows: readonly T[]) =>
    rows.filter((row) => lines.some((l) => l.itemId === row.id));
  return {
    ingredients: used(own.ingredients),
    liquids: used(own.liquids),
    sweeteners: used(own.sweeteners),
  };
}

/** Everything whose row a batch stands on when it begins: its lines, and what its labels correct. */
export const itemsToPin = (program: Program, kitchen: Pick<Kitchen, 'labels'>): string[] => [
  ...program.lines.map((l) => l.itemId),
  ...kitchen.labels.map((l) => l.like),
];

/** Solves a plan once more and fixes all that it stands on. */
async function pinsFor(trx: Db, plan: PlanDoc): Promise<Pins> {
  const { kitchen } = await readKitchen(trx);
  const own = await rowsOfOwn(trx);
  const tables = tablesWith(own, kitchen);
  const solved = solvePlanDoc(plan, await wholeBook(trx), kitchen, tables);
  if (!solved.ok) {
    throw new HttpProblem('cannotStart', { problem: solved.problem });
  }
  return {
    recipe: solved.value.recipe,
    program: solved.value.program,
    kitchen,
    tablesVersion: SHIPPED_TABLES.version,
    rows: joinedRows(
      pinRows(SHIPPED_TABLES, itemsToPin(solved.value.program, kitchen)),
      usedOf(own, solved.value.program.lines),
    ),
  };
}

/** The first events of a batch stand in its own stream. */
function requireOwnStream(events: readonly LogEvent[], stream: LogEvent['stream']): void {
  const other = events.find((e) => e.stream.kind !== stream.kind || e.stream.id !== stream.id);
  if (other) throw new HttpProblem('otherStream', { eventId: other.id });
}

/** Starts a batch: solves its plan once more, pins recipe, program, kitchen and tables, and writes its first events. */
export async function startBatch(
  db: Db,
  id: string,
  { version, events: first }: { version: number; events: readonly LogEvent[] },
  nowMs: number,
): Promise<Outcome<Batch>> {
  requireOwnStream(first, { kind: 'batch', id });
  return db.transaction(async (trx) => {
    const batch = await requireBatch(trx, id);
    if (batch.status !== 'planned') return { answer: batch };
    requireVersion(batch, version, null);
    const pins = await pinsFor(trx, batch.plan);
    const started: Batch = { ...batch, status: 'on', version: version + 1, updatedMs: nowMs, pins };
    await trx('batch').where({ id }).update(batchToRow(started));
    const stored = await storeEvents(trx, first, nowMs);
    return told(await requireBatch(trx, id), stored);
  });
}

export async function batchWithEvents(db: Db, id: string): Promise<BatchDoc> {
  const batch = await requireBatch(db, id);
  return { batch, events: await eventsOf(db, streamKindOf(batch), id) };
}

/** A plan practised: pinned like a batch, with a clock of its own, in a stream of its own. */
export async function createRehearsal(
  db: Db,
  sent: BodyOf<typeof ROUTES.createRehearsal>,
  nowMs: number,
): Promise<Outcome<Batch>> {
  requireOwnStream(sent.events, { kind: 'rehearsal', id: sent.id });
  return db.transaction(async (trx) => {
    const before = await batchOf(trx, sent.id);
    if (before?.rehearsal) return { answer: before };
    if (before) throw new HttpProblem('alreadyThere', { stored: before });
    await checkPlan(trx, sent.plan, nowMs);
    const batch: Batch = {
      id: sent.id,
      status: 'on',
      plan: sent.plan,
      version: 1,
      pins: await pinsFor(trx, sent.plan),
      createdMs: nowMs,
      updatedMs: nowMs,
      rehearsal: { speed: sent.speed, seed: sent.seed, realMs: nowMs, atMs: nowMs, kept: false },
    };
    await trx('batch').insert(batchToRow(batch));
    const stored = await storeEvents(trx, sent.events, nowMs);
    return told(await requireBatch(trx, sent.id), stored);
  });
}

async function requireRehearsal(db: Db, id: string): Promise<Batch & { rehearsal: Rehearsal }> {
  const batch = await requireBatch(db, id);
  if (!batch.rehearsal) throw notFound('rehearsal', id);
  return { ...batch, rehearsal: batch.rehearsal };
}

/** From now on at another speed, or to be kept: the time it has come to stays. */
export async function changeRehearsal(
  db: Db,
  id: string,
  change: BodyOf<typeof ROUTES.changeRehearsal>,
  nowMs: number,
): Promise<Outcome<Batch>> {
  return db.transaction(async (trx) => {
    const batch = await requireRehearsal(trx, id);
    const next: Batch = {
      ...batch,
      version: batch.version + 1,
      updatedMs: nowMs,
      rehearsal: {
        ...batch.rehearsal,
        speed: change.speed ?? batch.rehearsal.speed,
        kept: change.kept ?? batch.rehearsal.kept,
        realMs: nowMs,
        atMs: rehearsalNow(batch.rehearsal, nowMs),
      },
    };
    await trx('batch').where({ id }).update(batchToRow(next));
    return told(next);
  });
}

/** A rehearsal that is over leaves nothing behind. */
export async function forgetRehearsal(db: Db, id: string): Promise<Outcome<undefined>> {
  return db.transaction(async (trx) => {
    await requireRehearsal(trx, id);
    await trx('event').where({ stream_kind: 'rehearsal', stream_id: id }).del();
    await trx('item_owner').where({ batch_id: id }).del();
    await forgetEvidence(trx, id);
    await trx('batch').where({ id }).del();
    return { answer: undefined, changed: [{ doc: 'batch', id, version: 0 }] };
  });
}
