import {
  ARCHIVE_FORMAT,
  ARCHIVED,
  archiveSchema,
  endOfTomorrow,
  eventSchema,
  type ImportReport,
  isoKeepDate,
  keepDate,
  lifeOf,
  outsideToday,
  readStored,
  surroundingsOf,
  temperatureSeriesOf,
} from '@big-ladle/core';
import * as v from 'valibot';
import type { Db } from '../db/open.ts';
import { batchFromRow, batchRows, batchToRow, eventToRow, readKitchen, writeKitchen } from '../db/rows.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, invalid } from '../problems.ts';
import { hashOf, ownFacts, putIngredient, putStock, readStock } from './book.ts';
import { rebuildAll } from './projections.ts';
import { fridgeRecord, itemsThere } from './shelf.ts';

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
  const batches = (await batchRows(db).whereNull('rehearsal').orderBy('id')).map(batchFromRow);
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

/**
 * Takes an archive in. Nothing that is there is overwritten: recipes, batches and events with a known id stay as they
 * are. The kitchen comes with it only where there is none yet.
 */
export async function importArchive(db: Db, value: unknown): Promise<Outcome<ImportReport>> {
  const read = v.safeParse(archiveSchema, value, { abortPipeEarly: true });
  if (!read.success) {
    const format = (value as { format?: unknown } | null)?.format;
    if (format !== ARCHIVE_FORMAT) throw new HttpProblem('notAnArchive');
    throw invalid(read.issues as readonly v.BaseIssue<unknown>[]);
  }
  const archive = read.output;
  return db.transaction(async (trx) => {
    const report: ImportReport = {
      outside: [],
      passedOver: 0,
      recipes: 0,
      ingredients: 0,
      batches: 0,
      events: 0,
      kept: 0,
      kitchen: false,
    };
    /** What is taken in although it would be refused today is named. */
    const name = (id: string, schema: v.GenericSchema, value: unknown): void => {
      const outside = outsideToday(schema, value);
      if (outside) report.outside.push({ id, ...outside });
    };
    const here = await readKitchen(trx);
    if (archive.kitchen && here.kitchen.pots.length === 0) {
      await writeKitchen(trx, here.version + 1, archive.kitchen);
      report.kitchen = true;
      name('kitchen', ARCHIVED.kitchen, archive.kitchen);
    }
    for (const facts of archive.ingredients) {
      if (await trx('ingredient').where({ id: facts.id }).first()) report.kept++;
      else {
        await putIngredient(trx, facts);
        report.ingredients++;
        name(facts.id, ARCHIVED.ingredient, facts);
      }
    }
    for (const row of archive.stock) {
      if (!(await trx('stock').where({ item_id: row.itemId }).first())) await putStock(trx, row);
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
        hash: hashOf(recipe),
        body: JSON.stringify({ ...recipe, id: recipeId, version }),
        created_ms: createdMs,
      });
      await trx('recipe').where({ id: recipeId }).where('version', '<', version).update({ version });
      report.recipes++;
      name(recipeId, ARCHIVED.recipe, recipe);
    }
    for (const batch of archive.batches) {
      if (await trx('batch').where({ id: batch.id }).first()) {
        report.kept++;
        continue;
      }
      await trx('batch').insert(batchToRow(batch));
      report.batches++;
      name(batch.id, ARCHIVED.batch, batch);
    }
    for (const { receivedMs, event: written, kept } of archive.events) {
      const event = readStored(written);
      if (!event) {
        report.passedOver++;
        continue;
      }
      if (await trx('event').where({ id: event.id }).first()) {
        report.kept++;
        continue;
      }
      await trx('event').insert({
        ...eventToRow(event, receivedMs),
        kept: kept ? JSON.stringify(kept) : null,
      });
      report.events++;
      name(event.id, eventSchema, event);
    }
    if (report.events > 0 || report.batches > 0) await rebuildAll(trx);
    return { answer: report, changed: [{ doc: 'everything', id: 'all', version: 0 }] };
  });
}
