import type { Instrument } from '@big-ladle/core/contract';
import type { Failing, InstrumentKind, InstrumentReading } from '@big-ladle/core/log';
import type { Db } from '../db/db.ts';
import type { Outcome } from '../outcome.ts';
import { notFound } from '../problems.ts';

export interface InstrumentRow {
  id: string;
  kind: InstrumentKind;
  name: string;
  seed: number;
  batch_id: string | null;
  lost: number;
  tare_kg: number;
  failing: string | null;
  dropped_ms: number | null;
}

export const instrumentFrom = (row: InstrumentRow): Instrument => ({
  id: row.id,
  kind: row.kind,
  name: row.name,
  seed: row.seed,
  batchId: row.batch_id,
  lost: row.lost === 1,
  tareKg: row.tare_kg,
  failing: row.failing ? (JSON.parse(row.failing) as Failing) : null,
});

/** Those that are paired. */
export async function readInstruments(db: Db): Promise<Instrument[]> {
  return (
    (await db('instrument').whereNull('dropped_ms').orderBy(['position', 'id'])) as InstrumentRow[]
  ).map(instrumentFrom);
}

/** All that ever were paired, of one kind: what they have read is remembered. */
export async function everPaired(db: Db, kind: InstrumentKind): Promise<Instrument[]> {
  return ((await db('instrument').where({ kind }).orderBy(['position', 'id'])) as InstrumentRow[]).map(
    instrumentFrom,
  );
}

/** Pairs an instrument, or changes one that is paired. */
export async function putInstrument(db: Db, sent: Omit<Instrument, 'seed'>): Promise<Outcome<Instrument>> {
  return db.transaction(async (trx) => {
    if (sent.batchId !== null && !(await trx('batch').where({ id: sent.batchId }).first()))
      throw notFound('batch', sent.batchId);
    const row = {
      kind: sent.kind,
      name: sent.name,
      batch_id: sent.batchId,
      lost: sent.lost ? 1 : 0,
      tare_kg: sent.tareKg,
      failing: sent.failing ? JSON.stringify(sent.failing) : null,
      dropped_ms: null,
    };
    const before = await trx('instrument').where({ id: sent.id }).first();
    if (before) await trx('instrument').where({ id: sent.id }).update(row);
    else {
      const [{ count }] = (await trx('instrument').count({ count: '*' })) as [{ count: number }];
      await trx('instrument').insert({ id: sent.id, position: count, seed: count + 1, ...row });
    }
    const answer = instrumentFrom((await trx('instrument').where({ id: sent.id }).first()) as InstrumentRow);
    return { answer, changed: [{ doc: 'instrument', id: sent.id, version: 0 }] };
  });
}

/** Unpairs an instrument; what it has read stays, and counts for what stood in its fridge. */
export async function dropInstrument(db: Db, id: string, nowMs: number): Promise<Outcome<undefined>> {
  const dropped = await db('instrument')
    .where({ id })
    .whereNull('dropped_ms')
    .update({ dropped_ms: nowMs, batch_id: null });
  if (dropped === 0) throw notFound('instrument', id);
  return { answer: undefined, changed: [{ doc: 'instrument', id, version: 0 }] };
}

/** Readings are thinned to one in so many minutes of the batch, and kept so many to a row. */
export const THINNED_MS = 60_000;
const PER_CHUNK = 60;

interface ChunkRow {
  id: number;
  to_ms: number;
  readings: string;
}

/** Appends readings of an instrument, those that are far enough from the last one. */
export async function storeReadings(
  db: Db,
  instrumentId: string,
  batchId: string | null,
  readings: readonly InstrumentReading[],
): Promise<InstrumentReading[]> {
  const [first] = readings;
  if (!first) return [];
  // What is dated later was read while the clock ran ahead: it holds up nothing that comes after it was set right.
  const last = (await db('reading_chunk')
    .where({ instrument_id: instrumentId, batch_id: batchId })
    .where('to_ms', '<=', first.atMs + THINNED_MS)
    .orderBy('to_ms', 'desc')
    .first()) as ChunkRow | undefined;
  let lastMs = last?.to_ms ?? Number.NEGATIVE_INFINITY;
  const kept = readings.filter((r) => {
    if (r.atMs < lastMs + THINNED_MS) return false;
    lastMs = r.atMs;
    return true;
  });
  if (kept.length === 0) return [];
  const before = last ? (JSON.parse(last.readings) as InstrumentReading[]) : [];
  if (last && before.length < PER_CHUNK)
    await db('reading_chunk')
      .where({ id: last.id })
      .update({ to_ms: lastMs, readings: JSON.stringify([...before, ...kept]) });
  else
    await db('reading_chunk').insert({
      instrument_id: instrumentId,
      batch_id: batchId,
      from_ms: kept[0]!.atMs,
      to_ms: lastMs,
      readings: JSON.stringify(kept),
    });
  return kept;
}

/** All that an instrument has read of a batch, in order; of a fridge, whatever it has read. */
export async function readingsOf(
  db: Db,
  instrumentId: string,
  batchId: string | null,
): Promise<InstrumentReading[]> {
  const rows = (await db('reading_chunk')
    .where({ instrument_id: instrumentId, batch_id: batchId })
    .orderBy('from_ms')
    .select('readings')) as { readings: string }[];
  return rows.flatMap((r) => JSON.parse(r.readings) as InstrumentReading[]);
}
