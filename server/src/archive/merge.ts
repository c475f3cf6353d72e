import type { Db } from '../db/db.ts';
import { eventFrom, readKitchen, writeKitchen } from '../db/rows.ts';
import type { PhotoStore } from '../photos/store.ts';
import { ownItems } from '../services/itemOwners.ts';
import { projectItem, rebuildBatch } from '../services/projections.ts';
import type { Pace } from './pace.ts';

/** Rows are copied so many at a time. */
const AT_A_TIME = 200;
/** Tables of documents, which have no log: their rows are copied where their keys are not known. */
const DOCUMENTS = [
  { table: 'ingredient', keys: ['id'] },
  { table: 'stock', keys: ['item_id'] },
  { table: 'recipe', keys: ['id'] },
  { table: 'gathering', keys: ['id'] },
  { table: 'recipe_version', keys: ['recipe_id', 'version'] },
] as const;

type Row = Record<string, string | number | null>;

/** Where the numbers of the log lie: what came is numbered from `stagedFrom` in its own file, and from `hereFrom` here. */
export interface Numbers {
  stagedFrom: number;
  hereFrom: number;
}

/** Keeps room in the log for so many entries: what is said meanwhile stands after them. @returns the number before the first. */
export async function makeRoom(db: Db, entries: number): Promise<number> {
  return db.transaction(async (trx) => {
    const row = (await trx('sqlite_sequence').where({ name: 'event' }).first()) as
      | { seq: number }
      | undefined;
    const from = row?.seq ?? 0;
    if (row)
      await trx('sqlite_sequence')
        .where({ name: 'event' })
        .update({ seq: from + entries });
    else await trx('sqlite_sequence').insert({ name: 'event', seq: entries });
    return from;
  });
}

/** How many entries have come with an archive. */
export async function stagedEvents(staged: Db, from: number): Promise<number> {
  const row = (await staged('event').max({ seq: 'seq' }).first()) as { seq: number | null };
  return Math.max(0, (row.seq ?? 0) - from);
}

/**
 * Copies into the kitchen what a file beside it has more: each batch whole, with its log and what was folded from it, in
 * one step. Done again after it was cut off it goes on where it was.
 * @param progress hears how much of it is done, 0 to 1.
 * @throws Stopped
 */
export async function mergeStaged(
  db: Db,
  staged: Db,
  { stagedFrom, hereFrom }: Numbers,
  photos: { here: PhotoStore; staged: PhotoStore },
  pace: Pace,
  progress: (share: number) => void,
): Promise<void> {
  const renumbered = (rows: Row[]): Row[] =>
    rows.map((row) => ({ ...row, seq: hereFrom + Number(row.seq) - stagedFrom }));
  await db.transaction((trx) => copyKitchen(trx, staged));
  if (!(await db('learning').first('version')))
    await copyUnknown(db, staged, { table: 'learning', keys: ['version'] }, pace);
  for (const table of DOCUMENTS) await copyUnknown(db, staged, table, pace);
  const here = new Set((await db('batch').pluck('id')) as string[]);
  const coming = ((await staged('batch').orderBy('rowid').pluck('id')) as string[]).filter(
    (id) => !here.has(id),
  );
  for (const [i, id] of coming.entries()) {
    const itemIds = (await staged('item_owner').where({ batch_id: id }).pluck('item_id')) as string[];
    const events = (await staged('event')
      .where('seq', '>', stagedFrom)
      .where((own) =>
        own
          .where((of) => of.whereIn('stream_kind', ['batch', 'rehearsal']).where({ stream_id: id }))
          .orWhere((of) => of.where({ stream_kind: 'item' }).whereIn('stream_id', itemIds)),
      )
      .orderBy('seq')) as Row[];
    const rows = async (table: string, column = 'batch_id') =>
      (await staged(table).where({ [column]: id })) as Row[];
    const copied = [
      ['batch', await rows('batch', 'id')],
      ['event', renumbered(events)],
      ['item_owner', await rows('item_owner')],
      ['batch_now', await rows('batch_now')],
      ['item_now', await rows('item_now')],
      ['task_now', await rows('task_now')],
    ] as const;
    await db.transaction(async (trx) => {
      for (const [table, some] of copied) await insertNew(trx, table, some);
    });
    progress(((i + 1) / coming.length) * 0.9);
    await pace.breathe();
  }
  await mergeOtherEvents(db, staged, stagedFrom, renumbered, pace);
  // The files are there before anything names them.
  photos.here.take((await staged('photo').pluck('hash')) as string[], photos.staged);
  await copyUnknown(db, staged, { table: 'photo', keys: ['id'] }, pace);
  await copyUnknown(db, staged, { table: 'instrument', keys: ['id'] }, pace);
  const chunk = { table: 'reading_chunk', keys: ['instrument_id', 'batch_id', 'from_ms'], leftOut: 'id' };
  await copyUnknown(db, staged, chunk, pace);
  await copyUnknown(db, staged, { table: 'kept_section', keys: ['head', 'line'], leftOut: 'id' }, pace);
  progress(1);
}

async function copyKitchen(trx: Db, staged: Db): Promise<void> {
  const here = await readKitchen(trx);
  const came = await readKitchen(staged);
  if (here.kitchen.pots.length === 0 && came.kitchen.pots.length > 0)
    await writeKitchen(trx, here.version + 1, came.kitchen);
}

/** Rows are put in a few at a time: SQLite takes only so many values with one statement. */
async function insertNew(trx: Db, table: string, rows: readonly Row[]): Promise<void> {
  for (let i = 0; i < rows.length; i += 50)
    await trx(table)
      .insert(rows.slice(i, i + 50))
      .onConflict()
      .ignore();
}

const keyOf = (row: Row, keys: readonly string[]): string =>
  JSON.stringify(keys.map((key) => row[key] ?? null));

/** Copies the rows of a table whose keys are not known here. @param leftOut a column that is numbered anew. */
async function copyUnknown(
  db: Db,
  staged: Db,
  { table, keys, leftOut }: { table: string; keys: readonly string[]; leftOut?: string },
  pace: Pace,
): Promise<void> {
  const known = new Set(((await db(table).select(...keys)) as Row[]).map((row) => keyOf(row, keys)));
  const rows = ((await staged(table).orderBy('rowid')) as Row[]).filter(
    (row) => !known.has(keyOf(row, keys)),
  );
  if (leftOut) for (const row of rows) delete row[leftOut];
  for (let i = 0; i < rows.length; i += AT_A_TIME) {
    const some = rows.slice(i, i + AT_A_TIME);
    await db.transaction((trx) => insertNew(trx, table, some));
    await pace.breathe();
  }
}

/** Entries that came for batches and things that were here already: these are folded again, here. */
async function mergeOtherEvents(
  db: Db,
  staged: Db,
  stagedFrom: number,
  renumbered: (rows: Row[]) => Row[],
  pace: Pace,
): Promise<void> {
  for (let after = stagedFrom; ; ) {
    const page = (await staged('event').where('seq', '>', after).orderBy('seq').limit(AT_A_TIME)) as Row[];
    if (page.length === 0) return;
    after = Number(page.at(-1)!.seq);
    const ids = page.map((row) => String(row.id));
    const known = new Set((await db('event').whereIn('id', ids).pluck('id')) as string[]);
    const fresh = page.filter((row) => !known.has(String(row.id)));
    if (fresh.length > 0)
      await db.transaction(async (trx) => {
        await insertNew(trx, 'event', renumbered(fresh));
        for (const row of fresh) {
          const event = eventFrom(String(row.body));
          if (event) await ownItems(trx, event);
        }
        const streamsOf = (isItem: boolean) =>
          new Set(
            fresh
              .filter((row) => (row.stream_kind === 'item') === isItem)
              .map((row) => String(row.stream_id)),
          );
        for (const id of streamsOf(false)) await rebuildBatch(trx, id);
        for (const id of streamsOf(true)) await projectItem(trx, id);
      });
    await pace.breathe();
  }
}
