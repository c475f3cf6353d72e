import type { BatchAtAGlance } from '@big-ladle/core/contract';
import type { PlanDoc } from '@big-ladle/core/documents';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { readStock, tablesOfKitchen } from './book.ts';
import { moneyOf, type Spent } from './spent.ts';

/** A batch that was made to its end or given up, looked back at. */
export interface MadeBatch {
  id: string;
  recipeId: string;
  question: PlanDoc['question'];
  now: BatchAtAGlance & { startedMs: number; endedMs: number };
  /** By the prices of today; null: nobody has counted it. */
  cost: number | null;
}

/** Batches that are over, in any order. @param within begun between two moments; left out: all of them. */
export async function madeBatches(db: Db, within?: { fromMs: number; toMs: number }): Promise<MadeBatch[]> {
  const { kitchen } = await readKitchen(db);
  const stock = await readStock(db);
  const tables = await tablesOfKitchen(db);
  const find = db('batch')
    .join('batch_now', 'batch.id', 'batch_now.batch_id')
    .leftJoin('batch_evidence', 'batch_evidence.batch_id', 'batch.id')
    .where('batch_now.done', 1)
    .whereNull('batch.rehearsal');
  if (within)
    find
      .whereRaw("json_extract(batch_now.state, '$.startedMs') >= ?", [within.fromMs])
      .whereRaw("json_extract(batch_now.state, '$.startedMs') < ?", [within.toMs]);
  const rows = (await find.select(
    'batch.id',
    db.raw("json_extract(batch.plan, '$.recipeId') as recipe_id"),
    db.raw("json_extract(batch.plan, '$.question') as question"),
    'batch_now.state',
    'batch_evidence.spent',
  )) as { id: string; recipe_id: string; question: string; state: string; spent: string | null }[];
  return rows.flatMap(({ id, recipe_id: recipeId, question, state, spent }): MadeBatch[] => {
    const now = JSON.parse(state) as BatchAtAGlance;
    const { startedMs, endedMs } = now;
    if (startedMs === null || endedMs === null) return [];
    const cost = spent === null ? null : moneyOf(JSON.parse(spent) as Spent, kitchen, stock, tables);
    return [{ id, recipeId, question: JSON.parse(question), now: { ...now, startedMs, endedMs }, cost }];
  });
}
