import type { OwnRecipe } from '@big-ladle/core/documents';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_SECTIONS,
  ARCHIVE_V,
  type ArchiveRow,
  type ArchiveSectionName,
} from '@big-ladle/core/exchange';
import {
  endOfTomorrow,
  isoKeepDate,
  keepDate,
  lifeOf,
  surroundingsOf,
  temperatureSeriesOf,
} from '@big-ladle/core/keeping';
import type { Knex } from 'knex';
import type { Db } from '../db/db.ts';
import { batchFromRow, batchRows, readKitchen } from '../db/rows.ts';
import type { PhotoStore } from '../photos/store.ts';
import { ownFacts, readStock } from '../services/book.ts';
import { latestSeq } from '../services/events.ts';
import { gatherings } from '../services/gatherings.ts';
import { type InstrumentRow, instrumentFrom } from '../services/instruments.ts';
import { type LearningDbRow, learningFrom } from '../services/learning.ts';
import { type PhotoDbRow, photoFrom } from '../services/photos.ts';
import { fridgeRecord, itemsThere } from '../services/shelf.ts';

/** Rows are fetched and written so many at a time. */
const AT_A_TIME = 400;

/** A rehearsal that was not kept is no part of the kitchen's memory. */
const REMEMBERED = "(rehearsal is null or json_extract(rehearsal, '$.kept') = 1)";

/**
 * The date of everything that stands on the shelf, for whoever reads the file without the program: by the same reckoning
 * as the shelf. It is not read back.
 */
async function datesOf(db: Db, nowMs: number) {
  const { kitchen } = await readKitchen(db);
  const { zone, ownRules } = kitchen;
  const around = surroundingsOf(
    kitchen,
    temperatureSeriesOf(await fridgeRecord(db, nowMs), kitchen.fridgeC, nowMs),
  );
  const soonMs = endOfTomorrow(nowMs, zone);
  return (await itemsThere(db)).items.map(({ facts, log }) => {
    const ownDays = ownRules.find((rule) => rule.recipeId === facts.recipeId)?.sealedDays ?? null;
    const life = lifeOf(facts.bottle, log, around, nowMs, { soonMs, ownDays });
    return {
      itemId: facts.itemId,
      verdict: life.verdict,
      drinkBy: isoKeepDate(keepDate(life, zone), nowMs, zone),
    };
  });
}

/** Rows of a table by a rising number, some at a time. */
async function* paged<Row>(
  rows: (after: number) => Knex.QueryBuilder,
  numberOf: (row: Row) => number,
): AsyncGenerator<Row[]> {
  for (let after = 0; ; ) {
    const page = (await rows(after).limit(AT_A_TIME)) as Row[];
    if (page.length > 0) yield page;
    if (page.length < AT_A_TIME) return;
    after = numberOf(page.at(-1)!);
  }
}

const jsonOf = (rows: readonly object[]): string[] => rows.map((row) => JSON.stringify(row));

interface VersionRow {
  rowid: number;
  recipe_id: string;
  version: number;
  parent: number | null;
  body: string;
  created_ms: number;
  /** 1: the newest version of a recipe that was taken out of the book. */
  out: number;
}

const recipeRow = (r: VersionRow): ArchiveRow<'recipes'> => ({
  recipeId: r.recipe_id,
  version: r.version,
  parent: r.parent,
  createdMs: r.created_ms,
  recipe: JSON.parse(r.body) as OwnRecipe,
  ...(r.out ? { retired: true } : {}),
});

interface EventRow {
  seq: number;
  body: string;
  received_ms: number;
  kept: string | null;
}

/** What is stored as text goes out as that text. */
const eventLine = (r: EventRow): string =>
  `{"receivedMs":${r.received_ms},"event":${r.body}${r.kept ? `,"kept":${r.kept}` : ''}}`;

const instrumentRow = (r: InstrumentRow): ArchiveRow<'instruments'> => ({
  ...instrumentFrom(r),
  droppedMs: r.dropped_ms,
});

interface ChunkRow {
  id: number;
  instrument_id: string;
  batch_id: string | null;
  readings: string;
}

const readingsLine = (r: ChunkRow): string =>
  `{"instrumentId":${JSON.stringify(r.instrument_id)},"batchId":${JSON.stringify(r.batch_id)},"readings":${r.readings}}`;

/** The rows of each section as lines, some at a time. */
const SECTIONS: Record<
  ArchiveSectionName,
  (db: Db, lastSeq: number, photos: PhotoStore | null) => AsyncGenerator<string[]>
> = {
  async *kitchen(db) {
    const { version, kitchen } = await readKitchen(db);
    // What is learnt is worked out from the batches, and has a section of its own.
    const { learnt: _, ...told } = kitchen;
    if (version > 0) yield jsonOf([told]);
  },
  async *ingredients(db) {
    yield jsonOf(await ownFacts(db));
  },
  async *stock(db) {
    yield jsonOf(await readStock(db));
  },
  async *recipes(db) {
    const rows = (after: number) =>
      db('recipe_version')
        .join('recipe', 'recipe.id', 'recipe_version.recipe_id')
        .select(
          'recipe_version.rowid as rowid',
          'recipe_version.*',
          db.raw('(recipe.retired = 1 and recipe.version = recipe_version.version) as "out"'),
        )
        .where('recipe_version.rowid', '>', after)
        .orderBy('recipe_version.rowid');
    for await (const page of paged<VersionRow>(rows, (r) => r.rowid)) yield jsonOf(page.map(recipeRow));
  },
  async *batches(db) {
    const rows = (after: number) =>
      batchRows(db)
        .select('batch.rowid as rowid')
        .whereRaw(REMEMBERED)
        .where('batch.rowid', '>', after)
        .orderBy('batch.rowid');
    type Row = Parameters<typeof batchFromRow>[0] & { rowid: number };
    for await (const page of paged<Row>(rows, (r) => r.rowid)) yield jsonOf(page.map(batchFromRow));
  },
  async *gatherings(db) {
    yield jsonOf(await gatherings(db));
  },
  async *learning(db) {
    yield jsonOf(((await db('learning').orderBy('version')) as LearningDbRow[]).map(learningFrom));
  },
  async *events(db, lastSeq) {
    const rows = (after: number) =>
      db('event')
        .select('seq', 'body', 'received_ms', 'kept')
        .where('seq', '>', after)
        .where('seq', '<=', lastSeq)
        .whereRaw(`(stream_kind <> 'rehearsal' or stream_id in (select id from batch where ${REMEMBERED}))`)
        .orderBy('seq');
    for await (const page of paged<EventRow>(rows, (r) => r.seq)) yield page.map(eventLine);
  },
  async *instruments(db) {
    yield jsonOf(
      ((await db('instrument').orderBy(['position', 'id'])) as InstrumentRow[]).map(instrumentRow),
    );
  },
  async *readings(db) {
    const rows = (after: number) =>
      db('reading_chunk')
        .where('id', '>', after)
        .whereRaw(`(batch_id is null or batch_id in (select id from batch where ${REMEMBERED}))`)
        .orderBy('id');
    for await (const page of paged<ChunkRow>(rows, (r) => r.id)) yield page.map(readingsLine);
  },
  async *photos(db, _lastSeq, photos) {
    if (!photos) return;
    for (const row of (await db('photo').orderBy('rowid')) as PhotoDbRow[]) {
      const jpeg = photos.get(row.hash)?.toString('base64');
      const { id, of, ofId, what, takenMs } = photoFrom(row);
      // One whose file is gone is left out: without its picture it says nothing.
      if (jpeg) yield jsonOf([{ id, of, ofId, what, takenMs, jpeg } satisfies ArchiveRow<'photos'>]);
    }
  },
};

/** Sections of a newer program, as they came. */
async function* keptSections(db: Db): AsyncGenerator<string[]> {
  let head: string | null = null;
  const rows = (after: number) => db('kept_section').where('id', '>', after).orderBy('id');
  for await (const page of paged<{ id: number; head: string; line: string | null }>(rows, (r) => r.id)) {
    const lines: string[] = [];
    for (const row of page) {
      if (row.head !== head) lines.push(row.head);
      head = row.head;
      if (row.line !== null) lines.push(row.line);
    }
    yield lines;
  }
}

/**
 * Writes everything down, some lines at a time.
 * @param program the version of the program that writes.
 * @param photos null: without the pictures.
 */
export async function* archiveText(
  db: Db,
  nowMs: number,
  program: string,
  photos: PhotoStore | null,
): AsyncGenerator<string> {
  let lines = 0;
  const text = (some: readonly string[]): string => {
    lines += some.length;
    return some.map((line) => `${line}\n`).join('');
  };
  // What is said while it is being written is not in it.
  const lastSeq = await latestSeq(db);
  yield text(jsonOf([{ format: ARCHIVE_FORMAT, v: ARCHIVE_V, writtenMs: nowMs, program }]));
  for (const [section, { v }] of Object.entries(ARCHIVE_SECTIONS)) {
    yield text(jsonOf([{ section, v }]));
    for await (const some of SECTIONS[section as ArchiveSectionName](db, lastSeq, photos)) yield text(some);
  }
  yield text(jsonOf([{ section: 'dates', v: 1 }, ...(await datesOf(db, nowMs))]));
  for await (const some of keptSections(db)) yield text(some);
  yield text(jsonOf([{ end: true, lines }]));
}
