import type { ArchiveRow } from '@big-ladle/core/exchange';
import type { Db } from '../db/db.ts';

type Readings = ArchiveRow<'readings'>['readings'];

/** When the first and the last of some readings were taken. */
export const spanOf = (readings: Readings): { fromMs: number; toMs: number } => ({
  fromMs: Math.min(...readings.map((r) => r.atMs)),
  toMs: Math.max(...readings.map((r) => r.atMs)),
});

/** Of some readings of an instrument those that a kitchen does not have yet. */
export async function newReadings(
  db: Db,
  { instrumentId, batchId, readings }: ArchiveRow<'readings'>,
): Promise<Readings> {
  const { fromMs, toMs } = spanOf(readings);
  const chunks = (await db('reading_chunk')
    .where({ instrument_id: instrumentId, batch_id: batchId })
    .where('from_ms', '<=', toMs)
    .where('to_ms', '>=', fromMs)
    .pluck('readings')) as string[];
  const here = new Set(chunks.flatMap((text) => (JSON.parse(text) as Readings).map((r) => r.atMs)));
  return readings.filter((r) => !here.has(r.atMs));
}
