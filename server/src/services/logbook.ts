import { askedL, type FilledShare, type LogbookRow, whereItWent } from '@big-ladle/core/learn';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { madeBatches } from './madeBatches.ts';

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
  const freezers = new Set(kitchen.places.filter((p) => p.kind === 'freezer').map((p) => p.id));
  const bottles = await bottlesByBatch(db);
  const shareOf = ({ fate, place_id, filled_ml, left_ml }: WentRow): FilledShare => ({
    fate,
    frozen: freezers.has(place_id),
    filledL: filled_ml / ML,
    leftL: left_ml / ML,
  });
  const made = await madeBatches(db);
  return made
    .map(({ id, recipeId, question, now, cost }): LogbookRow => {
      const own = bottles.get(id);
      return {
        batchId: id,
        recipeId,
        startedMs: now.startedMs,
        minutes: (now.endedMs - now.startedMs) / MINUTE_MS,
        stopped: now.stopped === true,
        wishedL: askedL(question),
        expectedL: now.expectedL ?? null,
        madeL: now.stopped ? null : now.litres,
        sweetPct: now.stopped ? null : (now.sweetPct ?? null),
        score: now.score ?? null,
        words: now.words ?? null,
        cost,
        went: own ? whereItWent(own.map(shareOf)) : null,
        lastedDays: own ? lastedDays(own) : null,
      };
    })
    .sort((a, b) => b.startedMs - a.startedMs);
}
