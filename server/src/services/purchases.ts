import type { PlanDoc } from '@big-ladle/core/documents';
import { activeEvents, type ItemLog, type LogEvent } from '@big-ladle/core/log';
import type { Purchase } from '@big-ladle/core/shelf';
import type { Db } from '../db/db.ts';
import { eventsOf } from './streams.ts';

interface ThingRow {
  item_id: string;
  kind: 'bottle' | 'leftover';
  batch_id: string;
  recipe_id: string;
  gone: number;
  log: string;
}

/** Every packet and purchase that a cook has named, from it to the bottles, leftovers and gifts that it went into. */
export async function purchases(db: Db): Promise<Purchase[]> {
  const streams = (await db('event')
    .where({ stream_kind: 'batch', kind: 'fromPurchase' })
    .distinct('stream_id')
    .pluck('stream_id')) as string[];
  const all = new Map<string, Purchase>();
  for (const batchId of streams) {
    const named = activeEvents(await eventsOf(db, 'batch', batchId)).filter(
      (e): e is Extract<LogEvent, { kind: 'fromPurchase' }> => e.kind === 'fromPurchase',
    );
    if (named.length === 0) continue;
    const batch = (await db('batch').where({ id: batchId }).first('plan')) as { plan: string } | undefined;
    if (!batch) continue;
    const things = await thingsOf(db, batchId);
    for (const { body, atMs } of named) {
      const key = `${body.itemId} ${body.purchase}`;
      const purchase = all.get(key) ?? { ...body, batches: [], things: [] };
      all.set(key, purchase);
      if (purchase.batches.some((b) => b.batchId === batchId)) continue;
      purchase.batches.push({ batchId, recipeId: (JSON.parse(batch.plan) as PlanDoc).recipeId, atMs });
      purchase.things.push(...things);
    }
  }
  return [...all.values()].sort((a, b) => newest(b) - newest(a));
}

const newest = ({ batches }: Purchase): number => Math.max(...batches.map((b) => b.atMs));

/** What a batch has become, also what is gone or was given away. */
async function thingsOf(db: Db, batchId: string): Promise<Purchase['things']> {
  const rows = (await db('item_now')
    .where({ batch_id: batchId })
    .orderBy('item_id')
    .select('item_id', 'kind', 'batch_id', 'recipe_id', 'gone', 'log')) as ThingRow[];
  return rows.map((row) => {
    const log = JSON.parse(row.log) as ItemLog;
    return {
      itemId: row.item_id,
      kind: row.kind,
      batchId,
      recipeId: row.recipe_id,
      place: row.gone ? null : (log.places.at(-1)?.place ?? null),
      givenTo: log.given?.to ?? null,
    };
  });
}
