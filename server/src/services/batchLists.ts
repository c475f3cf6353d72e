import type { LikedPoint } from '@big-ladle/core/balance';
import type {
  BatchAtAGlance,
  BatchList,
  BatchNames,
  BatchStatus,
  QueryOf,
  ROUTES,
} from '@big-ladle/core/contract';
import type { PlanDoc } from '@big-ladle/core/documents';
import type { Db } from '../db/db.ts';
import { type BatchRow, batchFromRow, batchRowsInShort } from '../db/rows.ts';

const PAGE = 50;

/** Only what cannot be read is out of sight: a pot that is on is not, and what can be read again is back. */
const IS_AWAY = "batch.away_ms is not null and json_extract(batch_now.state, '$.unreadable') is not null";

/** Batches that are looked at: no rehearsals, nothing that was put out of sight. */
const inSight = (db: Db) => batchRowsInShort(db).whereNull('batch.rehearsal').whereRaw(`not (${IS_AWAY})`);

/** A page of batches, the newest first. Those made in the same instant stand in the order of their ids. */
export async function listBatches(db: Db, query: QueryOf<typeof ROUTES.batches>): Promise<BatchList> {
  const { status, rehearsals, away, drinks, before } = query;
  const find = batchRowsInShort(db)
    .orderBy([
      { column: 'batch.created_ms', order: 'desc' },
      { column: 'batch.id', order: 'desc' },
    ])
    .limit(PAGE + 1)
    .select('batch_now.state');
  if (rehearsals) find.whereNotNull('batch.rehearsal');
  else find.whereNull('batch.rehearsal');
  find.whereRaw(away ? IS_AWAY : `not (${IS_AWAY})`);
  if (status === 'planned') find.where('batch.status', 'planned');
  else if (status)
    find.whereNot('batch.status', 'planned').where('batch_now.done', status === 'done' ? 1 : 0);
  if (drinks !== undefined)
    find.whereRaw("json_extract(batch.plan, '$.recipeId') in (select value from json_each(?))", [
      JSON.stringify(drinks.split(',')),
    ]);
  if (before !== undefined) {
    const [createdMs, ...id] = before.split('-');
    find.whereRaw('(batch.created_ms, batch.id) < (?, ?)', [Number(createdMs), id.join('-')]);
  }
  const rows: (BatchRow & { state: string | null })[] = await find;
  const page = rows.slice(0, PAGE);
  const last = page.at(-1);
  return {
    batches: page.map((row) => {
      const { pins: _, ...batch } = batchFromRow(row);
      return { batch, now: row.state ? (JSON.parse(row.state) as BatchAtAGlance) : null };
    }),
    next: last && rows.length > PAGE ? `${last.created_ms}-${last.id}` : null,
  };
}

/** Every batch by its drink and day, the newest first. */
export async function batchNames(db: Db): Promise<BatchNames> {
  const rows: {
    id: string;
    status: BatchStatus;
    plan: string;
    done: number | null;
    started_ms: number | null;
  }[] = await inSight(db)
    .orderBy('batch.created_ms', 'desc')
    .select(db.raw("json_extract(batch_now.state, '$.startedMs') as started_ms"));
  return {
    batches: rows.map((row) => ({
      id: row.id,
      recipeId: (JSON.parse(row.plan) as PlanDoc).recipeId,
      status: row.status === 'planned' ? 'planned' : row.done ? 'done' : 'on',
      startedMs: row.started_ms,
    })),
  };
}

/** Where all the drinks stood that were about right. */
export async function likedPoints(db: Db): Promise<{ points: LikedPoint[] }> {
  const rows: { liked: string }[] = await inSight(db)
    .clearSelect()
    .whereRaw("json_extract(batch_now.state, '$.liked') is not null")
    .select(db.raw("json_extract(batch_now.state, '$.liked') as liked"));
  return { points: rows.map((row) => JSON.parse(row.liked) as LikedPoint) };
}
