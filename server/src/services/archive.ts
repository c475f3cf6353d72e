import {
  type CustomFacts,
  customFactsSchema,
  endOfTomorrow,
  eventSchema,
  isoKeepDate,
  keepDate,
  kitchenSchema,
  lifeOf,
  planSchema,
  recipeSchema,
  type StockRow,
  surroundingsOf,
  trackOf,
} from '@big-ladle/core';
import * as v from 'valibot';
import type { Db } from '../db/open.ts';
import { batchFromRow, batchToRow, eventToRow, type Pins, readKitchen, writeKitchen } from '../db/rows.ts';
import { HttpProblem, invalid } from '../problems.ts';
import { hashOf, ownFacts, putIngredient, putStock, readStock } from './book.ts';
import { rebuildAll } from './projections.ts';
import { fridgeRecord, itemsThere } from './shelf.ts';

export const ARCHIVE_FORMAT = 'big-ladle-archive';

const versionSchema = v.strictObject({
  recipeId: v.string(),
  version: v.pipe(v.number(), v.integer()),
  parent: v.nullable(v.number()),
  createdMs: v.number(),
  recipe: recipeSchema,
});
const stockSchema = v.strictObject({
  itemId: v.string(),
  inHouseG: v.number(),
  packG: v.nullable(v.number()),
  price: v.nullable(v.number()),
});

/** As far as it must be right for a bottle to have a date; the rest of it is words. */
const frozenSchema = v.looseObject({
  key: v.string(),
  filledMs: v.number(),
  clockStartMs: v.number(),
  filledC: v.number(),
  longer: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  keeping: v.looseObject({
    keepClass: v.picklist(['heated', 'rawAdded', 'raw']),
    verdict: v.picklist(['keep', 'drinkToday', 'throwOut']),
    acid: v.looseObject({ shown: v.boolean(), by: v.string() }),
    sealedDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    openDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    reasons: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  }),
});

/** Everything of a kitchen in one JSON document; described in docs/archive.md. */
export const archiveSchema = v.object({
  format: v.literal(ARCHIVE_FORMAT),
  v: v.literal(1),
  kitchen: v.optional(kitchenSchema),
  recipes: v.array(versionSchema),
  ingredients: v.array(customFactsSchema),
  stock: v.array(stockSchema),
  batches: v.array(
    v.strictObject({
      id: v.string(),
      status: v.picklist(['planned', 'on', 'done']),
      plan: planSchema,
      version: v.number(),
      pins: v.nullable(v.looseObject({})),
      createdMs: v.number(),
      updatedMs: v.number(),
    }),
  ),
  events: v.array(
    v.strictObject({
      receivedMs: v.number(),
      event: eventSchema,
      /** What a filling gave to its bottles by the rules it was filled under. Older archives do not have it. */
      kept: v.optional(frozenSchema),
    }),
  ),
});

/**
 * The date of everything that stands on the shelf, for whoever reads the file without the program: by the same reckoning
 * as the shelf. It is not read back.
 */
async function datesOf(db: Db, nowMs: number) {
  const { kitchen } = await readKitchen(db);
  const { zone, ownRules } = kitchen;
  const around = surroundingsOf(kitchen, trackOf(await fridgeRecord(db, nowMs), kitchen.fridgeC, nowMs));
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

/** Writes everything down. */
export async function exportArchive(db: Db, nowMs: number) {
  const { kitchen } = await readKitchen(db);
  const versions = (await db('recipe_version').orderBy(['recipe_id', 'version'])) as {
    recipe_id: string;
    version: number;
    parent: number | null;
    body: string;
    created_ms: number;
  }[];
  // What was only rehearsed is no part of the kitchen's memory.
  const batches = (await db('batch').whereNull('rehearsal').orderBy('id')).map(batchFromRow);
  const events = (await db('event')
    .whereNot({ stream_kind: 'rehearsal' })
    .orderBy('seq')
    .select('body', 'received_ms', 'kept')) as {
    body: string;
    received_ms: number;
    kept: string | null;
  }[];
  return {
    format: ARCHIVE_FORMAT,
    v: 1,
    writtenMs: nowMs,
    kitchen,
    recipes: versions.map((r) => ({
      recipeId: r.recipe_id,
      version: r.version,
      parent: r.parent,
      createdMs: r.created_ms,
      recipe: JSON.parse(r.body),
    })),
    ingredients: await ownFacts(db),
    stock: await readStock(db),
    batches,
    events: events.map((e) => ({
      receivedMs: e.received_ms,
      event: JSON.parse(e.body),
      ...(e.kept ? { kept: JSON.parse(e.kept) } : {}),
    })),
    dates: await datesOf(db, nowMs),
  };
}

export interface ImportReport {
  recipes: number;
  ingredients: number;
  batches: number;
  events: number;
  /** What was there already and stayed as it was. */
  kept: number;
  kitchen: boolean;
}

/**
 * Takes an archive in. Nothing that is there is overwritten: recipes, batches and events with a known id stay as they
 * are. The kitchen comes with it only where there is none yet.
 */
export async function importArchive(db: Db, value: unknown): Promise<ImportReport> {
  const read = v.safeParse(archiveSchema, value, { abortPipeEarly: true });
  if (!read.success) {
    const format = (value as { format?: unknown } | null)?.format;
    if (format !== ARCHIVE_FORMAT)
      throw new HttpProblem(
        422,
        'notAnArchive',
        'This file is not a Big Ladle archive. Nothing was taken in.',
      );
    throw invalid(read.issues as readonly v.BaseIssue<unknown>[]);
  }
  const archive = read.output;
  return db.transaction(async (trx) => {
    const report: ImportReport = {
      recipes: 0,
      ingredients: 0,
      batches: 0,
      events: 0,
      kept: 0,
      kitchen: false,
    };
    const here = await readKitchen(trx);
    if (archive.kitchen && here.kitchen.pots.length === 0) {
      await writeKitchen(trx, here.version + 1, archive.kitchen);
      report.kitchen = true;
    }
    for (const facts of archive.ingredients) {
      if (await trx('ingredient').where({ id: facts.id }).first()) report.kept++;
      else {
        await putIngredient(trx, facts as CustomFacts);
        report.ingredients++;
      }
    }
    for (const row of archive.stock) {
      if (!(await trx('stock').where({ item_id: row.itemId }).first())) await putStock(trx, row as StockRow);
    }
    const known = new Set(((await trx('recipe').select('id')) as { id: string }[]).map((r) => r.id));
    for (const { recipeId, version, parent, createdMs, recipe } of archive.recipes) {
      if (known.has(recipeId)) {
        report.kept++;
        continue;
      }
      if (!(await trx('recipe').where({ id: recipeId }).first()))
        await trx('recipe').insert({ id: recipeId, version, retired: 0, updated_ms: createdMs });
      await trx('recipe_version').insert({
        recipe_id: recipeId,
        version,
        parent,
        hash: hashOf(recipe as never),
        body: JSON.stringify({ ...recipe, id: recipeId, version }),
        created_ms: createdMs,
      });
      await trx('recipe').where({ id: recipeId }).where('version', '<', version).update({ version });
      report.recipes++;
    }
    for (const batch of archive.batches) {
      if (await trx('batch').where({ id: batch.id }).first()) {
        report.kept++;
        continue;
      }
      await trx('batch').insert(
        batchToRow({ ...batch, plan: batch.plan as never, pins: batch.pins as unknown as Pins | null }),
      );
      report.batches++;
    }
    for (const { receivedMs, event, kept } of archive.events) {
      if (await trx('event').where({ id: event.id }).first()) {
        report.kept++;
        continue;
      }
      await trx('event').insert({
        ...eventToRow(event, receivedMs),
        kept: kept ? JSON.stringify(kept) : null,
      });
      report.events++;
    }
    if (report.events > 0 || report.batches > 0) await rebuildAll(trx);
    return report;
  });
}
