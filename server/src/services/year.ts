import { calendarOf, type FilledInYear, type MadeInYear, type YearDoc, yearOf } from '@big-ladle/core/learn';
import type { ItemLog } from '@big-ladle/core/log';
import type { BottleItem } from '@big-ladle/core/shelf';
import { DAY_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { madeBatches } from './madeBatches.ts';

/** What a bottle's own log and making say, as far as anything is asked of it. */
interface BottleRow {
  batch_id: string;
  recipe_id: string;
  fate: FilledInYear['fate'];
  filled_ms: number;
  filled_ml: number;
  left_ml: number;
  gone_ms: number | null;
  /** Of one that was thrown out: why is asked of them alone, and they are long. */
  facts: string | null;
  log: string | null;
}

async function filledOf(db: Db, batchIds: readonly string[]): Promise<FilledInYear[]> {
  const ofWaste = (column: string) => db.raw(`case fate when 'thrownOut' then ${column} end as ${column}`);
  const rows = (await db('item_now')
    .whereNotNull('fate')
    .whereRaw('batch_id in (select value from json_each(?))', [JSON.stringify(batchIds)])
    .select('batch_id', 'recipe_id', 'fate', 'made_ms as filled_ms', 'filled_ml', 'left_ml', 'gone_ms')
    .select(ofWaste('facts'), ofWaste('log'))) as BottleRow[];
  return rows.map((r) => ({
    batchId: r.batch_id,
    recipeId: r.recipe_id,
    filledMs: r.filled_ms,
    volumeMl: r.filled_ml,
    leftMl: r.left_ml,
    goneMs: r.gone_ms,
    fate: r.fate,
    waste:
      r.log === null || r.facts === null
        ? null
        : {
            openedMs: (JSON.parse(r.log) as ItemLog).openedMs,
            sealedDays: (JSON.parse(r.facts) as BottleItem).bottle.keeping.sealedDays,
          },
  }));
}

/** Years in which something was made, the newest first. */
async function yearsIn(db: Db, zone: string): Promise<number[]> {
  const starts = (await db('batch_now')
    .join('batch', 'batch.id', 'batch_now.batch_id')
    .where('batch_now.done', 1)
    .whereNull('batch.rehearsal')
    .select(db.raw("json_extract(batch_now.state, '$.startedMs') as at_ms"))) as { at_ms: number | null }[];
  const years = new Set(
    starts.flatMap(({ at_ms }) => (at_ms === null ? [] : [calendarOf(at_ms, zone).year])),
  );
  return [...years].sort((a, b) => b - a);
}

/** @param asked null: the newest year in which anything was made. */
export async function yearDoc(db: Db, nowMs: number, asked: number | null): Promise<YearDoc> {
  const { kitchen } = await readKitchen(db);
  const { zone } = kitchen;
  const years = await yearsIn(db, zone);
  const year = asked ?? years[0] ?? calendarOf(nowMs, zone).year;
  // A day on either side: which of them are of that year is asked of the calendar.
  const within = { fromMs: Date.UTC(year, 0, 1) - DAY_MS, toMs: Date.UTC(year + 1, 0, 1) + DAY_MS };
  const made = (await madeBatches(db, within)).map(
    ({ id, recipeId, now, cost }): MadeInYear => ({
      batchId: id,
      recipeId,
      startedMs: now.startedMs,
      litres: now.stopped ? 0 : now.litres,
      score: now.score ?? null,
      cost,
    }),
  );
  const filled = await filledOf(
    db,
    made.map((m) => m.batchId),
  );
  return { year, years, of: yearOf(year, zone, made, filled) };
}
