import type { BatchAtAGlance } from '@big-ladle/core/contract';
import type { PlanDoc } from '@big-ladle/core/documents';
import { askedL, type FilledShare, type LogbookRow, whereItWent } from '@big-ladle/core/learn';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { readStock, tablesOfKitchen } from './book.ts';
import { moneyOf, type Spent } from './spent.ts';

interface MadeRow {
  id: string;
  recipe_id: string;
  question: string;
  state: string;
  spent: string | null;
}

/** Bottles of a batch that have the same fate and stand in the same place. */
interface WentRow {
  batch_id: string;
  fate: FilledShare['fate'];
  place_id: string;
  filled_ml: number;
  left_ml: number;
  first_ms: number;
  last_ms: number | null;
}

const ML = 1000;

/** What became of the bottles of each batch. */
async function bottlesByBatch(db: Db): Promise<Map<string, WentRow[]>> {
  const rows = (await db('item_now')
    .whereNotNull('fate')
    .groupBy('batch_id', 'fate', 'place_id')
    .select('batch_id', 'fate', 'place_id')
    .sum({ filled_ml: 'filled_ml', left_ml: 'left_ml' })
    .min({ first_ms: 'made_ms' })
    .max({ last_ms: 'gone_ms' })) as WentRow[];
  const of = new Map<string, WentRow[]>();
  for (const row of rows) {
    const own = of.get(row.batch_id);
    if (own) own.push(row);
    else of.set(row.batch_id, [row]);
  }
  return of;
}

function lastedDays(bottles: readonly WentRow[]): number | null {
  if (bottles.some((b) => b.fate === 'there')) return null;
  const firstMs = Math.min(...bottles.map((b) => b.first_ms));
  return (Math.max(...bottles.map((b) => b.last_ms ?? firstMs)) - firstMs) / DAY_MS;
}

/** Every batch that was made, the newest first: what was wished, expected and made, what it cost, and where it went. */
export async function logbookRows(db: Db): Promise<LogbookRow[]> {
  const { kitchen } = await readKitchen(db);
  const stock = await readStock(db);
  const tables = await tablesOfKitchen(db);
  const freezers = new Set(kitchen.places.filter((p) => p.kind === 'freezer').map((p) => p.id));
  const bottles = await bottlesByBatch(db);
  const made = (await db('batch')
    .join('batch_now', 'batch.id', 'batch_now.batch_id')
    .leftJoin('batch_evidence', 'batch_evidence.batch_id', 'batch.id')
    .where('batch_now.done', 1)
    .whereNull('batch.rehearsal')
    .select(
      'batch.id',
      db.raw("json_extract(batch.plan, '$.recipeId') as recipe_id"),
      db.raw("json_extract(batch.plan, '$.question') as question"),
      'batch_now.state',
      'batch_evidence.spent',
    )) as MadeRow[];
  return made
    .flatMap(({ id, recipe_id: recipeId, question, state, spent }): LogbookRow[] => {
      const now = JSON.parse(state) as BatchAtAGlance;
      if (now.startedMs === null || now.endedMs === null) return [];
      const own = bottles.get(id);
      return [
        {
          batchId: id,
          recipeId,
          startedMs: now.startedMs,
          minutes: (now.endedMs - now.startedMs) / MINUTE_MS,
          stopped: now.stopped === true,
          wishedL: askedL(JSON.parse(question) as PlanDoc['question']),
          expectedL: now.expectedL ?? null,
          madeL: now.stopped ? null : now.litres,
          sweetPct: now.stopped ? null : (now.sweetPct ?? null),
          score: now.score ?? null,
          words: now.words ?? null,
          cost: spent === null ? null : moneyOf(JSON.parse(spent) as Spent, kitchen, stock, tables),
          went: own
            ? whereItWent(
                own.map((b) => ({
                  fate: b.fate,
                  frozen: freezers.has(b.place_id),
                  filledL: b.filled_ml / ML,
                  leftL: b.left_ml / ML,
                })),
              )
            : null,
          lastedDays: own ? lastedDays(own) : null,
        },
      ];
    })
    .sort((a, b) => b.startedMs - a.startedMs);
}
