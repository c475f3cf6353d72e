import {
  type BatchLog,
  BOTTLES,
  type BottleFacts,
  batchAt,
  type Composition,
  colourOf,
  foldItem,
  GLASS_PATH_CM,
  glassFacts,
  itemsOf,
  keepingOf,
  type LikedPoint,
  type LogEvent,
  type LotKind,
  type LotMark,
  lotOf,
  MINUTE_MS,
  marksOf,
  massG,
  SHIPPED_TABLES,
  type StepProblem,
  sournessGPerL,
  sweetnessPct,
  type Tables,
  withCustom,
  withLabels,
} from '@big-ladle/core';
import type { Db } from '../db/open.ts';
import { type Batch, batchFromRow, type Pins } from '../db/rows.ts';

/** A batch at a glance, for lists. Rebuilt from the log at any time. */
export interface BatchNowState {
  startedMs: number | null;
  endedMs: number | null;
  currentStepId: string | null;
  litres: number;
  /** Where the drink stood on the plane, once the last word on its sweetness was "about right". */
  liked?: LikedPoint;
  /** Of five, with a word, as the cook said. */
  score?: number;
  words?: string;
}

/** What a verdict says of what this household likes: only a batch that is over, and only its last word. */
function likedOf(log: BatchLog, liquor: Composition | undefined): LikedPoint | null {
  const last = log.tastes.findLast((t) => t.sweet !== undefined);
  if (log.endedMs === null || last?.sweet !== 0 || !liquor || !(massG(liquor) > 0)) return null;
  return { sweetPct: sweetnessPct(liquor), sourGPerL: sournessGPerL(liquor) };
}

/** A bottle as it was filled; what happened to it since stands in its own stream. */
export interface ItemFacts {
  itemId: string;
  batchId: string;
  recipeId: string;
  /** A cook's own drink goes by its own name. */
  drinkName?: string;
  sizeName: string;
  sizeMl: number;
  colour: string;
  brix: number;
  /** What is said of it wherever it is shown; older rows do not have it. */
  marks?: LotMark[];
  lot?: { id: string; kind: LotKind; name: string };
  glass: ReturnType<typeof glassFacts>;
  bottle: BottleFacts;
}

export async function eventsOf(db: Db, kind: string, id: string): Promise<LogEvent[]> {
  const rows = (await db('event')
    .where({ stream_kind: kind, stream_id: id })
    .orderBy('seq')
    .select('body')) as { body: string }[];
  return rows.map((r) => JSON.parse(r.body) as LogEvent);
}

/** The stream that a batch's deeds stand in. */
export const streamKindOf = (batch: Batch): 'batch' | 'rehearsal' =>
  batch.rehearsal ? 'rehearsal' : 'batch';

export async function batchOf(db: Db, id: string): Promise<Batch | null> {
  const row = await db('batch').where({ id }).first();
  return row ? batchFromRow(row) : null;
}

/** The tables as a batch pinned them. */
export const tablesOf = (pins: Pins): Tables =>
  withLabels(withCustom(SHIPPED_TABLES, pins.ingredients ?? []), pins.kitchen.labels);

/**
 * Folds a batch's log again and rewrites its projections, in the caller's transaction.
 * @returns the problem that the log makes the interpreter meet, if any.
 */
export async function projectBatch(db: Db, batch: Batch): Promise<StepProblem | null> {
  await db('batch_now').where({ batch_id: batch.id }).del();
  await db('task_now').where({ batch_id: batch.id }).del();
  if (!batch.pins) {
    await db('item_now').where({ batch_id: batch.id }).del();
    return null;
  }
  const { program, kitchen } = batch.pins;
  const events = await eventsOf(db, streamKindOf(batch), batch.id);
  // As of the last thing that happened, so that a rebuild gives the same rows whenever it runs.
  const atMs = events.reduce((latest, e) => Math.max(latest, e.atMs), 0);
  const now = batchAt(program, kitchen, tablesOf(batch.pins), events, atMs);
  const finished = now.forecast.vessels[BOTTLES];
  const litres = now.forecast.trace.at(-1)?.now.volumeL ?? 0;
  const state: BatchNowState = {
    startedMs: now.log.startedMs,
    endedMs: now.log.endedMs,
    currentStepId: now.log.currentStepId,
    litres,
  };
  const liked = batch.rehearsal ? null : likedOf(now.log, finished?.liquor);
  if (liked) state.liked = liked;
  if (now.log.score) {
    state.score = now.log.score.score;
    if (now.log.score.words) state.words = now.log.score.words;
  }
  await db('batch_now').insert({ batch_id: batch.id, state: JSON.stringify(state) });
  const status = now.log.endedMs !== null ? 'done' : 'on';
  if (status !== batch.status) await db('batch').where({ id: batch.id }).update({ status });
  const step = now.log.program.steps.find((s) => s.id === now.log.currentStepId);
  if (step) {
    await db('task_now').insert({
      batch_id: batch.id,
      step_id: step.id,
      kind: step.kind,
      due_ms: now.clock?.endMs ?? atMs,
    });
  }

  const wanted = new Map<string, ItemFacts>();
  // Bottles of a rehearsal stand on no shelf.
  if (finished && now.log.startedMs !== null && !batch.rehearsal) {
    const startedMs = now.log.startedMs;
    for (const filling of now.log.bottled) {
      // A lot has bottles of its own: each filling is what its own step left in them.
      const entry = now.forecast.trace.find((t) => t.stepId === filling.stepId);
      const liquor = entry?.after.liquor;
      if (!entry || !liquor) continue;
      const lotId = lotOf(entry.vesselId);
      const lot = now.log.lots.find((l) => l.lotId === lotId);
      const keeping = keepingOf({ liquor, trace: now.forecast.trace, hygiene: filling.hygiene });
      for (const b of filling.bottles) {
        wanted.set(b.itemId, {
          itemId: b.itemId,
          batchId: batch.id,
          recipeId: program.recipeId,
          ...(batch.pins.recipe.name ? { drinkName: batch.pins.recipe.name } : {}),
          sizeName: b.name,
          sizeMl: b.sizeMl,
          colour: colourOf(liquor, GLASS_PATH_CM),
          brix: entry.now.brix,
          marks: marksOf(liquor, itemsOf(now.log, liquor)),
          ...(lot ? { lot: { id: lot.lotId, kind: lot.kind, name: lot.name } } : {}),
          glass: glassFacts(liquor, kitchen.servingMl),
          bottle: {
            filledMs: filling.atMs,
            clockStartMs:
              keeping.clockStartMin === null
                ? filling.atMs
                : Math.min(filling.atMs, startedMs + keeping.clockStartMin * MINUTE_MS),
            filledC: liquor.tempC,
            volumeMl: b.volumeMl,
            diameterCm: b.diameterCm,
            keeping,
          },
        });
      }
    }
  }
  const stored = (await db('item_now').where({ batch_id: batch.id }).select('item_id')) as {
    item_id: string;
  }[];
  for (const { item_id } of stored) if (!wanted.has(item_id)) await db('item_now').where({ item_id }).del();
  for (const facts of wanted.values()) await writeItem(db, facts);
  return now.forecast.problem ?? now.moment?.problem ?? null;
}

async function writeItem(db: Db, facts: ItemFacts): Promise<void> {
  const log = foldItem(facts.bottle.filledMs, await eventsOf(db, 'item', facts.itemId));
  const row = {
    item_id: facts.itemId,
    batch_id: facts.batchId,
    gone: log.finishedMs !== null || log.discarded !== null ? 1 : 0,
    facts: JSON.stringify(facts),
  };
  await db('item_now').insert(row).onConflict('item_id').merge();
}

export async function projectItem(db: Db, itemId: string): Promise<void> {
  const row = (await db('item_now').where({ item_id: itemId }).first()) as { facts: string } | undefined;
  if (row) await writeItem(db, JSON.parse(row.facts) as ItemFacts);
}

/** Throws every projection away and folds all logs again. */
export async function rebuildAll(db: Db): Promise<number> {
  for (const table of ['batch_now', 'item_now', 'task_now']) await db(table).del();
  const rows = await db('batch').orderBy('id').select('*');
  for (const row of rows) await projectBatch(db, batchFromRow(row));
  return rows.length;
}
