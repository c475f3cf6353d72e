import type { BatchAtAGlance } from '@big-ladle/core/contract';
import { readBatch } from '@big-ladle/core/log';
import Database from 'better-sqlite3';
import { newerThan } from '../db/applied.ts';
import { MIGRATIONS } from '../db/migrations.ts';
import { batchFromRow, eventFrom } from '../db/rows.ts';
import { tablesOf } from '../services/streams.ts';

/** So many of the newest batches are folded to see that they still give something. */
const SAMPLE = 5;

/**
 * Opens a copy, has it looked over by SQLite, and folds some of its batches.
 * @returns what is wrong with it; null: it is good.
 */
export function faultOf(file: string): string | null {
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { readonly: true, fileMustExist: true });
    const [first] = db.pragma('integrity_check(1)') as { integrity_check: string }[];
    if (first?.integrity_check !== 'ok') return first?.integrity_check ?? 'unreadable';
    if (!db.prepare("select 1 from sqlite_master where type = 'table' and name = 'event'").get())
      return 'it holds no kitchen';
    const written = (db.prepare('select name from knex_migrations').all() as { name: string }[]).map(
      (r) => r.name,
    );
    const [newer] = newerThan(MIGRATIONS, written);
    if (newer) return `a newer Big Ladle wrote it (it knows "${newer}")`;
    // What an older one wrote is folded once it has been brought up to date.
    return written.length === MIGRATIONS.length ? faultOfSample(db) : null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    db?.close();
  }
}

/** What is wrong with the newest batches. One that is known to be unreadable is as it was in the file that was copied. */
function faultOfSample(db: Database.Database): string | null {
  const rows = db
    .prepare(
      'select batch.*, batch_now.state from batch left join batch_now on batch_now.batch_id = batch.id where pins is not null order by created_ms desc limit ?',
    )
    .all(SAMPLE) as (Parameters<typeof batchFromRow>[0] & { state: string | null })[];
  const bodies = db.prepare('select body from event where stream_id = ? order by seq');
  for (const row of rows) {
    if (row.state && (JSON.parse(row.state) as BatchAtAGlance).unreadable !== undefined) continue;
    const { id, pins } = batchFromRow(row);
    if (!pins) continue;
    const events = (bodies.all(id) as { body: string }[]).flatMap((r) => eventFrom(r.body) ?? []);
    const atMs = events.reduce((latest, e) => Math.max(latest, e.atMs), 0);
    const read = readBatch(pins, () => tablesOf(pins), events, atMs);
    if (!read.ok) return `batch "${id}" cannot be read: ${read.problem}`;
  }
  return null;
}
