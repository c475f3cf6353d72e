import type {
  BatchAtAGlance,
  GiftBatch,
  GoneItems,
  ShelfItem,
  ShelfLeftover,
  ShelfThing,
  StoredItem,
  Use,
} from '@big-ladle/core/contract';
import { CELL_MS, type FridgeRecord, recordOf } from '@big-ladle/core/keeping';
import {
  activeEvents,
  foldItem,
  type InstrumentReading,
  type ItemLog,
  type LogEvent,
} from '@big-ladle/core/log';
import { type BottleItem, type LeftoverItem, USE_WINDOW_DAYS } from '@big-ladle/core/shelf';
import { DAY_MS } from '@big-ladle/core/units';
import { byText } from '../db/byText.ts';
import type { Db } from '../db/db.ts';
import { eventFrom } from '../db/rows.ts';
import { Written } from '../outcome.ts';
import { notFound } from '../problems.ts';
import { everPaired } from './instruments.ts';

interface Row {
  item_id: string;
  kind: 'bottle' | 'leftover';
  facts: string;
  log: string;
  gone_ms: number | null;
}

const factsFrom = byText(1000, (text) => JSON.parse(text) as BottleItem | LeftoverItem);

const fromRow = <T extends BottleItem | LeftoverItem>(row: Pick<Row, 'facts' | 'log'>): StoredItem<T> => ({
  facts: factsFrom(row.facts) as T,
  log: JSON.parse(row.log) as ItemLog,
});

interface Shelf {
  items: ShelfItem[];
  leftovers: ShelfLeftover[];
}

const rowsThere = (db: Db) =>
  db('item_now').where({ gone: 0 }).orderBy('item_id').select('item_id', 'kind', 'facts', 'log') as Promise<
    Row[]
  >;

/** Everything that stands somewhere in the house. */
export async function itemsThere(db: Db): Promise<Shelf> {
  const rows = await rowsThere(db);
  return {
    items: rows.filter((r) => r.kind === 'bottle').map((r) => fromRow<BottleItem>(r)),
    leftovers: rows.filter((r) => r.kind === 'leftover').map((r) => fromRow<LeftoverItem>(r)),
  };
}

/** The same as every window fetches it after each deed: three hundred bottles are not taken apart and put together again. */
export async function writtenItems(db: Db): Promise<Written<Shelf>> {
  const rows = await rowsThere(db);
  const listOf = (kind: Row['kind']): string =>
    rows
      .filter((r) => r.kind === kind)
      .map((r) => `{"facts":${r.facts},"log":${r.log}}`)
      .join(',');
  return new Written(`{"items":[${listOf('bottle')}],"leftovers":[${listOf('leftover')}]}`);
}

/** One of them, also when it is gone: a printed code leads to it for as long as anybody has the label. */
export async function itemById(db: Db, id: string): Promise<ShelfThing> {
  const row = (await db('item_now').where({ item_id: id }).first()) as Row | undefined;
  if (!row) throw notFound('bottle', id);
  const goneMs = row.gone_ms;
  return row.kind === 'bottle'
    ? { kind: 'bottle', goneMs, ...fromRow<BottleItem>(row) }
    : { kind: 'leftover', goneMs, ...fromRow<LeftoverItem>(row) };
}

const PAGE = 60;

/** What has left the shelf, the last first; `before` is when the last of the page before left. */
export async function itemsGone(db: Db, before: number | null): Promise<GoneItems> {
  const find = db('item_now')
    .where({ gone: 1, kind: 'bottle' })
    .orderBy('gone_ms', 'desc')
    .limit(PAGE + 1)
    .select('facts', 'log', 'gone_ms');
  if (before !== null) find.where('gone_ms', '<', before);
  const rows = (await find) as Row[];
  const page = rows.slice(0, PAGE);
  return {
    items: page.map((r) => ({ ...fromRow<BottleItem>(r), goneMs: r.gone_ms ?? 0 })),
    next: rows.length > PAGE ? (page.at(-1)!.gone_ms ?? null) : null,
  };
}

/**
 * How much of each drink was poured or finished of late.
 * @param fromMs when the window begins; null: some days back.
 */
export async function useOfLate(db: Db, nowMs: number, fromMs: number | null): Promise<Use[]> {
  const sinceMs = fromMs ?? nowMs - USE_WINDOW_DAYS * DAY_MS;
  const touched = db('event')
    .where({ stream_kind: 'item' })
    .whereIn('kind', ['poured', 'finished'])
    .where('at_ms', '>=', sinceMs)
    .distinct('stream_id');
  const rows = (await db('item_now')
    .where({ kind: 'bottle' })
    .whereIn('item_id', touched.clone())
    .select('item_id', 'recipe_id', 'facts')) as (Row & { recipe_id: string })[];
  const eventsOfItem = new Map<string, LogEvent[]>();
  const told = (await db('event')
    .where({ stream_kind: 'item' })
    .whereIn('stream_id', touched.clone())
    .orderBy('seq')
    .select('stream_id', 'body')) as { stream_id: string; body: string }[];
  for (const { stream_id, body } of told) {
    const event = eventFrom(body);
    if (!event) continue;
    const list = eventsOfItem.get(stream_id);
    if (list) list.push(event);
    else eventsOfItem.set(stream_id, [event]);
  }
  const byRecipe = new Map<string, Omit<Use, 'recipeId'>>();
  for (const row of rows) {
    const facts = JSON.parse(row.facts) as BottleItem;
    const events = activeEvents(eventsOfItem.get(row.item_id) ?? []);
    const { filledMs, volumeMl } = facts.bottle;
    const pouredUpTo = (ms: number): number => {
      const log = foldItem(
        filledMs,
        events.filter((e) => e.atMs < ms),
      );
      return log.finishedMs !== null ? volumeMl : Math.min(volumeMl, log.pouredMl);
    };
    const at = byRecipe.get(row.recipe_id) ?? { pouredMl: 0, sinceMs: nowMs, strongG: {} };
    const poured = pouredUpTo(Number.POSITIVE_INFINITY) - pouredUpTo(sinceMs);
    at.pouredMl += poured;
    for (const [marker, gPerL] of Object.entries(facts.strongGPerL))
      at.strongG[marker] = (at.strongG[marker] ?? 0) + (gPerL * poured) / 1000;
    at.sinceMs = Math.min(at.sinceMs, Math.max(sinceMs, filledMs));
    byRecipe.set(row.recipe_id, at);
  }
  return [...byRecipe].map(([recipeId, use]) => ({ recipeId, ...use }));
}

/** Batches that somebody is meant for and that are to be thought of next year. */
export async function giftBatches(db: Db): Promise<GiftBatch[]> {
  const rows = (await db('batch_now')
    .join('batch', 'batch.id', 'batch_now.batch_id')
    .whereNotNull('gift_ms')
    .orderBy('gift_ms', 'desc')
    .limit(200)
    .select('batch.id', 'batch.plan', 'batch_now.state', 'batch_now.gift_ms')) as {
    id: string;
    plan: string;
    state: string;
    gift_ms: number;
  }[];
  return rows.flatMap((row) => {
    const { gifts } = JSON.parse(row.state) as BatchAtAGlance;
    if (!gifts) return [];
    const { recipeId } = JSON.parse(row.plan) as { recipeId: string };
    return [{ batchId: row.id, recipeId, atMs: row.gift_ms, gifts }];
  });
}

/** Looked back so far for warm nights, whatever stands on the shelf. */
const LEAST_BACK_DAYS = 8;

/** What the fridge's loggers have read since the oldest bottle that is still there, the warmest of them in each cell. */
export async function fridgeRecord(db: Db, nowMs: number): Promise<FridgeRecord | null> {
  const loggers = await everPaired(db, 'fridgeLogger');
  if (loggers.length === 0) return null;
  const oldest = (await db('item_now').where({ gone: 0 }).min({ ms: 'made_ms' }).first()) as
    | { ms: number | null }
    | undefined;
  const fromMs = Math.min(oldest?.ms ?? nowMs, nowMs - LEAST_BACK_DAYS * DAY_MS);
  const records: FridgeRecord[] = [];
  for (const logger of loggers) {
    const rows = (await db('reading_chunk')
      .where({ instrument_id: logger.id })
      .where('to_ms', '>=', fromMs)
      .orderBy('from_ms')
      .select('readings')) as { readings: string }[];
    const record = recordOf(
      rows
        .flatMap((r) => JSON.parse(r.readings) as InstrumentReading[])
        .filter((r) => r.atMs >= fromMs && r.atMs <= nowMs),
    );
    if (record) records.push(record);
  }
  return records.length ? warmest(records) : null;
}

function warmest(records: readonly FridgeRecord[]): FridgeRecord {
  const [first] = records;
  if (records.length === 1 && first) return rounded(first);

  const fromMs = Math.min(...records.map((r) => r.fromMs));
  const toMs = Math.max(...records.map((r) => r.fromMs + r.tempC.length * CELL_MS));
  const tempC = Array.from({ length: Math.round((toMs - fromMs) / CELL_MS) }, (_, i) => {
    const read = records.flatMap((r) => r.tempC[i + Math.round((fromMs - r.fromMs) / CELL_MS)] ?? []);
    return read.length ? Math.max(...read) : null;
  });
  return rounded({ fromMs, tempC });
}

/** A logger does not know more than a tenth of a degree or so. */
const rounded = (record: FridgeRecord): FridgeRecord => ({
  ...record,
  tempC: record.tempC.map((t) => (t === null ? null : Math.round(t * 100) / 100)),
});
