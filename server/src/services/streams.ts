import type { Batch, Pins } from '@big-ladle/core/contract';
import type { LogEvent } from '@big-ladle/core/log';
import { pinnedTables, SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import type { Db } from '../db/db.ts';
import { batchFromRow, batchRows, eventFrom } from '../db/rows.ts';

export async function eventsOf(db: Db, kind: string, id: string): Promise<LogEvent[]> {
  const rows = (await db('event')
    .where({ stream_kind: kind, stream_id: id })
    .orderBy('seq')
    .select('body')) as { body: string }[];
  return rows.flatMap((r) => eventFrom(r.body) ?? []);
}

/** The stream that a batch's deeds stand in. */
export const streamKindOf = (batch: Batch): 'batch' | 'rehearsal' =>
  batch.rehearsal ? 'rehearsal' : 'batch';

export async function batchOf(db: Db, id: string): Promise<Batch | null> {
  const row = await batchRows(db).where({ id }).first();
  return row ? batchFromRow(row) : null;
}

/** The tables as a batch pinned them. */
export const tablesOf = (pins: Pins): Tables => pinnedTables(SHIPPED_TABLES, pins);
