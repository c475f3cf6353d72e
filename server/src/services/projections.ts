import type { LikedPoint } from '@big-ladle/core/balance';
import type { Batch, BatchAtAGlance } from '@big-ladle/core/contract';
import { type Composition, massG, sournessGPerL, sweetnessPct } from '@big-ladle/core/liquor';
import { type BatchLog, FIRST_PLACE, type ItemLog, readBatch } from '@big-ladle/core/log';
import { finishedL, finishedLiquor, type StepProblem, simulateBatch } from '@big-ladle/core/program';
import type { BottleItem, LeftoverItem } from '@big-ladle/core/shelf';
import { isOfFile } from '../db/dataFileError.ts';
import type { Db } from '../db/db.ts';
import { HttpProblem } from '../problems.ts';
import { rebuildOwners, takenFrom } from './itemOwners.ts';
import { bottlesOf, type ItemRow, leftoversOf, madeMsOf, type Put, writeItem } from './itemProjections.ts';
import { forgetEvidence } from './learning.ts';
import { batchOf, eventsOf, streamKindOf, tablesOf } from './streams.ts';

/** What a verdict says of what this household likes: only a batch that is over, and only its last word. */
function likedOf(log: BatchLog, liquor: Composition | undefined): LikedPoint | null {
  const last = log.tastes.findLast((t) => t.sweet !== undefined);
  if (log.endedMs === null || last?.sweet !== 0 || !liquor || !(massG(liquor) > 0)) return null;
  return { sweetPct: sweetnessPct(liquor), sourGPerL: sournessGPerL(liquor) };
}

/** A batch whose log cannot be folded: it hurts itself, and no other. */
class UnreadableBatch extends HttpProblem {
  constructor(
    id: string,
    readonly why: string,
  ) {
    super('unreadable', { params: { id } });
  }
}

/**
 * Folds a batch's log again and rewrites its projections, in the caller's transaction.
 * @returns the problem that the log makes the interpreter meet, if any.
 * @throws HttpProblem `unreadable` where it cannot be folded.
 */
export async function projectBatch(db: Db, batch: Batch): Promise<StepProblem | null> {
  try {
    return await writeProjections(db, batch);
  } catch (error) {
    // What the file says is the file's; all else is met in what is stored of this batch.
    if (error instanceof HttpProblem || isOfFile(error)) throw error;
    throw new UnreadableBatch(batch.id, error instanceof Error ? error.message : String(error));
  }
}

/** A batch that cannot be folded is shown as that; its bottles stay as they were last known. */
async function markUnreadable(db: Db, batch: Batch, why: string): Promise<void> {
  const state: BatchAtAGlance = {
    startedMs: null,
    endedMs: null,
    currentStepId: null,
    litres: 0,
    unreadable: why,
  };
  await putRow(db, 'batch_now', {
    batch_id: batch.id,
    state: JSON.stringify(state),
    done: 0,
    gift_ms: null,
  });
  await db('task_now').where({ batch_id: batch.id }).del();
}

/** Writes the one row of a batch, in the place of the one before. */
const putRow = (db: Db, table: string, row: { batch_id: string } & Record<string, string | number | null>) =>
  db(table).insert(row).onConflict('batch_id').merge();

/** Whether a batch is marked as one that cannot be folded. */
export async function isUnreadable(db: Db, id: string): Promise<boolean> {
  const row = await db('batch_now')
    .where({ batch_id: id })
    .whereRaw("json_extract(state, '$.unreadable') is not null")
    .first('batch_id');
  return row !== undefined;
}

async function writeProjections(db: Db, batch: Batch): Promise<StepProblem | null> {
  if (!batch.pins) {
    for (const table of ['batch_now', 'task_now', 'item_now'])
      await db(table).where({ batch_id: batch.id }).del();
    return null;
  }
  // Its log has changed, and with it what it tells of the kitchen.
  await forgetEvidence(db, batch.id);
  const { pins } = batch;
  const events = await eventsOf(db, streamKindOf(batch), batch.id);
  // As of the last thing that happened, so that a rebuild gives the same rows whenever it runs.
  const atMs = events.reduce((latest, e) => Math.max(latest, e.atMs), 0);
  const read = readBatch(pins, () => tablesOf(pins), events, atMs);
  if (!read.ok) throw new UnreadableBatch(batch.id, read.problem);
  const now = read.value;
  const finished = finishedLiquor(now.forecast);
  const litres = finishedL(now.forecast);
  const state: BatchAtAGlance = {
    startedMs: now.log.startedMs,
    endedMs: now.log.endedMs,
    currentStepId: now.log.currentStepId,
    litres,
  };
  if (now.log.stopped) state.stopped = true;
  // For the logbook, once and not with each deed on the way.
  if (now.log.endedMs !== null) {
    state.expectedL = finishedL(simulateBatch(pins.program, pins.kitchen, tablesOf(pins)));
    if (finished && massG(finished) > 0) state.sweetPct = sweetnessPct(finished);
  }
  const liked = batch.rehearsal ? null : likedOf(now.log, finished);
  if (liked) state.liked = liked;
  if (now.log.score) {
    state.score = now.log.score.score;
    if (now.log.score.words) state.words = now.log.score.words;
  }
  if (now.log.gifts) state.gifts = now.log.gifts;
  const giftMs = now.log.gifts?.remindNextYear ? (now.log.bottled.at(-1)?.atMs ?? null) : null;
  await putRow(db, 'batch_now', {
    batch_id: batch.id,
    state: JSON.stringify(state),
    done: now.log.endedMs === null ? 0 : 1,
    gift_ms: batch.rehearsal ? null : giftMs,
  });
  const step = now.log.program.steps.find((s) => s.id === now.log.currentStepId);
  if (step) {
    await putRow(db, 'task_now', {
      batch_id: batch.id,
      step_id: step.id,
      kind: step.kind,
      due_ms: now.clock?.endMs ?? atMs,
    });
  } else await db('task_now').where({ batch_id: batch.id }).del();

  const wanted: Put[] = [];
  // Bottles of a rehearsal stand on no shelf.
  if (finished && now.log.startedMs !== null && !batch.rehearsal)
    wanted.push(...(await bottlesOf(db, batch, batch.pins, now, events)));
  if (!batch.rehearsal) wanted.push(...leftoversOf(batch, batch.pins, now));
  const stored = (await db('item_now').where({ batch_id: batch.id }).select('item_id')) as {
    item_id: string;
  }[];
  const others = await takenFrom(
    db,
    batch.id,
    wanted.map((w) => w.facts.itemId),
  );
  const own = wanted.filter((w) => !others.has(w.facts.itemId));
  const kept = new Set(own.map((w) => w.facts.itemId));
  for (const { item_id } of stored) if (!kept.has(item_id)) await db('item_now').where({ item_id }).del();
  for (const put of own) await writeItem(db, put);
  return now.forecast.problem ?? now.moment?.problem ?? null;
}

export async function projectItem(db: Db, itemId: string): Promise<void> {
  const row = (await db('item_now').where({ item_id: itemId }).first()) as ItemRow | undefined;
  if (!row) return;
  const facts = JSON.parse(row.facts) as BottleItem | LeftoverItem;
  const before = JSON.parse(row.log) as ItemLog;
  await writeItem(db, {
    kind: row.kind,
    facts,
    madeMs: madeMsOf(facts),
    placeId: before.places?.[0]?.place ?? FIRST_PLACE,
  });
}

/** Folds a batch's log again; one that cannot be folded is marked. */
export async function rebuildBatch(db: Db, id: string): Promise<void> {
  const batch = await batchOf(db, id);
  if (!batch) return;
  try {
    // In a savepoint: what it has written before it failed goes with it.
    await db.transaction((trx) => projectBatch(trx, batch));
  } catch (error) {
    if (!(error instanceof UnreadableBatch)) throw error;
    await markUnreadable(db, batch, error.why);
  }
}

/** Folds all logs again and writes every projection anew; @returns of how many batches. */
export async function rebuildAll(db: Db): Promise<number> {
  await rebuildOwners(db);
  for (const table of ['batch_now', 'item_now', 'task_now'])
    await db(table).whereNotIn('batch_id', db('batch').select('id')).del();
  const ids = (await db('batch').orderBy('id').pluck('id')) as string[];
  for (const id of ids) await rebuildBatch(db, id);
  return ids.length;
}

/** What the projections hold; raise it when that changes, and old files are folded again at their next start. */
const PROJECTIONS = '10';

/** Says that a file's projections are of this version. */
export async function projectionsAreFresh(db: Db): Promise<void> {
  await db('meta').insert({ key: 'projections', value: PROJECTIONS }).onConflict('key').merge();
}

/** Folds everything again where the file's projections are of another version. */
export async function refreshProjections(db: Db): Promise<void> {
  const stored = (await db('meta').where({ key: 'projections' }).first()) as { value: string } | undefined;
  if (stored?.value === PROJECTIONS) return;
  await db.transaction(async (trx) => {
    await rebuildAll(trx);
    await projectionsAreFresh(trx);
  });
}
