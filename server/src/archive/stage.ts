import { stat } from 'node:fs/promises';
import type { ArchiveRow } from '@big-ladle/core/exchange';
import { readStored } from '@big-ladle/core/log';
import type { Db } from '../db/db.ts';
import { batchToRow, eventToRow, readKitchen, writeKitchen } from '../db/rows.ts';
import type { PhotoStore } from '../photos/store.ts';
import { hashOf } from '../services/book.ts';
import { gatheringToRow } from '../services/gatherings.ts';
import { ownItems } from '../services/itemOwners.ts';
import { learningToRow, markStale } from '../services/learning.ts';
import { projectItem, rebuildBatch } from '../services/projections.ts';
import { isThere, jpegOf, type Known } from './check.ts';
import { newReadings, spanOf } from './newReadings.ts';
import type { Pace } from './pace.ts';
import { type Entry, readArchive } from './read.ts';

/** Entries are put in so many at a time. */
const AT_A_TIME = 100;

/** Batches and things whose logs have grown: their projections are made again. */
interface Touched {
  batches: Set<string>;
  items: Set<string>;
}

/**
 * Puts what an archive holds into a kitchen's file of its own, that nobody else works in, and folds the logs of what
 * came. Nothing that is there is overwritten: what has a known id stays as it is. The kitchen comes with it only where
 * there is none yet.
 * @param there what is in the archive and in the file: entries of anything else are left out.
 * @param photos where pictures that come with it go.
 * @param progress hears how much of it is done, 0 to 1.
 * @throws Stopped
 */
export async function stageArchive(
  db: Db,
  file: string,
  there: readonly Known[],
  photos: PhotoStore,
  pace: Pace,
  progress: (share: number) => void,
): Promise<void> {
  const { size } = await stat(file);
  const touched: Touched = { batches: new Set(), items: new Set() };
  const known = new Set((await db('recipe').pluck('id')) as string[]);
  let waiting: Entry[] = [];
  const put = async (): Promise<void> => {
    const entries = waiting;
    waiting = [];
    await db.transaction(async (trx) => {
      for (const entry of entries) await putEntry(trx, entry, known, there, photos, touched);
    });
    await pace.breathe();
  };
  // Reading is quick beside folding.
  const READING = 0.3;
  for await (const entry of readArchive(file)) {
    waiting.push(entry);
    if (waiting.length >= AT_A_TIME) await put();
    progress((READING * entry.bytes) / size);
  }
  await put();
  let done = 0;
  for (const id of touched.batches) {
    await db.transaction((trx) => rebuildBatch(trx, id));
    progress(READING + ((1 - READING) * ++done) / touched.batches.size);
    await pace.breathe();
  }
  // Things of these batches have been folded with them.
  for (const id of touched.items) {
    const owner = (await db('item_owner').where({ item_id: id }).first()) as { batch_id: string } | undefined;
    if (!owner || !touched.batches.has(owner.batch_id)) await db.transaction((trx) => projectItem(trx, id));
    await pace.breathe();
  }
}

async function putEntry(
  trx: Db,
  entry: Entry,
  known: ReadonlySet<string>,
  there: readonly Known[],
  photos: PhotoStore,
  touched: Touched,
): Promise<void> {
  if (entry.kind === 'head') return;
  if (entry.kind === 'kept') {
    const { head, line } = entry;
    if (!(await trx('kept_section').where({ head, line }).first()))
      await trx('kept_section').insert({ head, line });
    return;
  }
  switch (entry.section) {
    case 'kitchen': {
      const here = await readKitchen(trx);
      if (here.kitchen.pots.length === 0) await writeKitchen(trx, here.version + 1, entry.row);
      return;
    }
    case 'ingredients':
      await trx('ingredient')
        .insert({ id: entry.row.id, facts: JSON.stringify(entry.row) })
        .onConflict('id')
        .ignore();
      return;
    case 'stock': {
      const { itemId, inHouseG, packG, price, basketG } = entry.row;
      await trx('stock')
        .insert({ item_id: itemId, in_house_g: inHouseG, pack_g: packG, price, basket_g: basketG })
        .onConflict('item_id')
        .ignore();
      return;
    }
    case 'recipes':
      if (!known.has(entry.row.recipeId)) await putVersion(trx, entry.row);
      return;
    case 'batches':
      if (await trx('batch').where({ id: entry.row.id }).first('id')) return;
      await trx('batch').insert(batchToRow(entry.row));
      touched.batches.add(entry.row.id);
      return;
    case 'gatherings':
      await trx('gathering').insert(gatheringToRow(entry.row)).onConflict('id').ignore();
      return;
    case 'learning':
      await putLearning(trx, entry.row);
      return;
    case 'events':
      await putEvent(trx, entry.row, there, touched);
      return;
    case 'instruments':
      await putInstrument(trx, entry.row);
      return;
    case 'readings':
      await putReadings(trx, entry.row);
      return;
    case 'photos':
      await putPhoto(trx, entry.row, photos);
  }
}

/** What was believed comes where nothing is believed yet; what is believed now is worked out anew. */
async function putLearning(trx: Db, row: ArchiveRow<'learning'>): Promise<void> {
  await trx('learning').insert(learningToRow(row)).onConflict('version').ignore();
  await markStale(trx);
}

async function putVersion(
  trx: Db,
  { recipeId, version, parent, createdMs, recipe, retired }: ArchiveRow<'recipes'>,
): Promise<void> {
  await trx('recipe')
    .insert({ id: recipeId, version, retired: 0, updated_ms: createdMs })
    .onConflict('id')
    .ignore();
  await trx('recipe_version')
    .insert({
      recipe_id: recipeId,
      version,
      parent,
      hash: hashOf(recipe),
      body: JSON.stringify({ ...recipe, id: recipeId, version }),
      created_ms: createdMs,
    })
    .onConflict(['recipe_id', 'version'])
    .ignore();
  await trx('recipe').where({ id: recipeId }).where('version', '<', version).update({ version });
  if (retired) await trx('recipe').where({ id: recipeId, version }).update({ retired: 1 });
}

async function putEvent(
  trx: Db,
  { receivedMs, event: written, kept }: ArchiveRow<'events'>,
  there: readonly Known[],
  touched: Touched,
): Promise<void> {
  const event = readStored(written);
  if (!event || !there.some((known) => isThere(event.stream.kind, event.stream.id, known))) return;
  if (await trx('event').where({ id: event.id }).first('seq')) return;
  await trx('event').insert({
    ...eventToRow(event, receivedMs),
    // As it was written: the same comes out again.
    body: JSON.stringify(written),
    kept: kept ? JSON.stringify(kept) : null,
  });
  await ownItems(trx, event);
  (event.stream.kind === 'item' ? touched.items : touched.batches).add(event.stream.id);
}

async function putInstrument(trx: Db, row: ArchiveRow<'instruments'>): Promise<void> {
  if (await trx('instrument').where({ id: row.id }).first('id')) return;
  const [{ count }] = (await trx('instrument').count({ count: '*' })) as [{ count: number }];
  const batch = row.batchId === null ? undefined : await trx('batch').where({ id: row.batchId }).first('id');
  await trx('instrument').insert({
    id: row.id,
    position: count,
    kind: row.kind,
    name: row.name,
    seed: row.seed,
    batch_id: batch ? row.batchId : null,
    lost: row.lost ? 1 : 0,
    tare_kg: row.tareKg,
    failing: row.failing ? JSON.stringify(row.failing) : null,
    dropped_ms: row.droppedMs,
  });
}

async function putPhoto(trx: Db, row: ArchiveRow<'photos'>, photos: PhotoStore): Promise<void> {
  const jpeg = jpegOf(row);
  if (!jpeg) return;
  await trx('photo')
    .insert({
      id: row.id,
      of_kind: row.of,
      of_id: row.ofId,
      what: row.what,
      taken_ms: row.takenMs,
      width_px: jpeg.widthPx,
      height_px: jpeg.heightPx,
      hash: photos.put(jpeg.bytes),
    })
    .onConflict('id')
    .ignore();
}

/** Readings that are not there yet, of an instrument and a batch that are. */
async function putReadings(trx: Db, row: ArchiveRow<'readings'>): Promise<void> {
  const { instrumentId, batchId } = row;
  if (!(await trx('instrument').where({ id: instrumentId }).first('id'))) return;
  if (batchId !== null && !(await trx('batch').where({ id: batchId }).first('id'))) return;
  const fresh = await newReadings(trx, row);
  if (fresh.length === 0) return;
  const { fromMs, toMs } = spanOf(fresh);
  await trx('reading_chunk').insert({
    instrument_id: instrumentId,
    batch_id: batchId,
    from_ms: fromMs,
    to_ms: toMs,
    readings: JSON.stringify(fresh),
  });
}
