import {
  customFactsSchema,
  eventSchema,
  FAILING_KINDS,
  INSTRUMENT_KINDS,
  idSchema,
  kitchenSchema,
  type PlanDoc,
  planSchema,
  REHEARSAL_SPEEDS,
  recipeSchema,
  SHIPPED_TABLES,
} from '@big-ladle/core';
import express, { type Router } from 'express';
import * as v from 'valibot';
import type { AdjustableClock } from '../clock.ts';
import type { Db } from '../db/open.ts';
import { readKitchen, writeKitchen } from '../db/rows.ts';
import { HttpProblem } from '../problems.ts';
import { exportArchive, importArchive } from '../services/archive.ts';
import {
  batchWithEvents,
  changeRehearsal,
  createBatch,
  createRehearsal,
  deletePlan,
  forgetRehearsal,
  listBatches,
  startBatch,
  updatePlan,
} from '../services/batches.ts';
import {
  createRecipe,
  ownFacts,
  ownRecipes,
  putIngredient,
  putStock,
  readStock,
  retireRecipe,
  updateRecipe,
  versionsOf,
} from '../services/book.ts';
import { eventsAfter, storeEvents } from '../services/events.ts';
import { dropInstrument, putInstrument, readInstruments, readingsOf } from '../services/instruments.ts';
import { eventsOf } from '../services/projections.ts';
import { fridgeRecord, giftBatches, itemById, itemsGone, itemsThere, useOfLate } from '../services/shelf.ts';
import type { StreamHub } from '../stream.ts';
import { parse, route, versionSchema } from './parse.ts';

export interface ApiParts {
  db: Db;
  clock: AdjustableClock;
  hub: StreamHub;
  version: string;
  test: boolean;
}

const newBatchSchema = v.strictObject({ id: idSchema, plan: planSchema });
const planEditSchema = v.strictObject({ version: versionSchema, plan: planSchema });
const firstEvents = v.pipe(v.array(eventSchema), v.minLength(1), v.maxLength(10));
const startSchema = v.strictObject({ version: versionSchema, events: firstEvents });
const eventsSchema = v.strictObject({
  events: v.pipe(v.array(eventSchema), v.minLength(1), v.maxLength(500)),
});
const kitchenEditSchema = v.strictObject({ version: versionSchema, kitchen: kitchenSchema });
const newRecipeSchema = v.strictObject({ recipe: recipeSchema });
const recipeEditSchema = v.strictObject({ version: versionSchema, recipe: recipeSchema });
const grams = v.pipe(
  v.number(),
  v.finite(),
  v.minValue(0, 'between:0:500000'),
  v.maxValue(500_000, 'between:0:500000'),
);
const stockRowSchema = v.strictObject({
  inHouseG: grams,
  packG: v.nullable(v.pipe(grams, v.minValue(0.1, 'between:0.1:500000'))),
  price: v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(100_000))),
});
const clockSchema = v.strictObject({
  nowMs: v.pipe(v.number(), v.minValue(0)),
  stopped: v.optional(v.boolean(), false),
});
const listSchema = v.object({
  status: v.optional(v.picklist(['planned', 'on', 'done'])),
  rehearsals: v.optional(v.literal('1')),
  before: v.optional(v.pipe(v.string(), v.transform(Number), v.finite())),
});
const speedSchema = v.picklist(REHEARSAL_SPEEDS);
const newRehearsalSchema = v.strictObject({
  id: idSchema,
  plan: planSchema,
  speed: speedSchema,
  seed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1_000_000)),
  events: firstEvents,
});
const rehearsalEditSchema = v.strictObject({
  speed: v.optional(speedSchema),
  kept: v.optional(v.boolean()),
});
const instrumentSchema = v.strictObject({
  kind: v.picklist(INSTRUMENT_KINDS),
  name: v.pipe(v.string('name'), v.trim(), v.minLength(1, 'name'), v.maxLength(40, 'name')),
  batchId: v.nullable(idSchema),
  lost: v.boolean(),
  tareKg: v.pipe(v.number(), v.minValue(0), v.maxValue(30)),
  failing: v.optional(
    v.nullable(
      v.strictObject({ kind: v.picklist(FAILING_KINDS), sinceMs: v.pipe(v.number(), v.minValue(0)) }),
    ),
    null,
  ),
});
const readingsSchema = v.object({ batchId: v.optional(idSchema) });
const useSchema = v.object({
  since: v.optional(v.pipe(v.string(), v.transform(Number), v.finite())),
});
const goneSchema = v.object({
  before: v.optional(v.pipe(v.string(), v.transform(Number), v.finite())),
});
const deleteSchema = v.object({ version: v.pipe(v.string(), v.transform(Number), v.integer()) });

/** More missed events than this and a window is told to load everything anew. */
const CATCH_UP = 2000;

export function apiRouter({ db, clock, hub, version, test }: ApiParts): Router {
  const api = express.Router();
  // A whole kitchen with years of logs comes in one file; everything else is small.
  api.use('/archive', express.json({ limit: '64mb', strict: true }));
  api.use(express.json({ limit: '256kb', strict: true }));

  api.get(
    '/health',
    route(async (_req, res) => {
      await db.raw('select 1');
      res.json({ ok: true, version, tables: SHIPPED_TABLES.version, nowMs: clock.nowMs() });
    }),
  );
  api.get(
    '/time',
    route((_req, res) => {
      res.set('Cache-Control', 'no-store').json({ nowMs: clock.nowMs() });
    }),
  );

  api.get(
    '/kitchen',
    route(async (_req, res) => {
      res.json(await readKitchen(db));
    }),
  );
  api.put(
    '/kitchen',
    route(async (req, res) => {
      const sent = parse(kitchenEditSchema, req.body);
      const saved = await db.transaction(async (trx) => {
        const stored = await readKitchen(trx);
        if (stored.version !== sent.version) {
          throw new HttpProblem(
            409,
            'changedElsewhere',
            'The kitchen was changed in another window. Nothing was overwritten.',
            {
              stored,
              sent: sent.kitchen,
            },
          );
        }
        const next = stored.version + 1;
        await writeKitchen(trx, next, sent.kitchen);
        return { version: next, kitchen: sent.kitchen };
      });
      hub.changed({ doc: 'kitchen', id: 'kitchen', version: saved.version });
      res.json(saved);
    }),
  );

  api.get(
    '/batches',
    route(async (req, res) => {
      const query = parse(listSchema, req.query);
      res.json(
        await listBatches(db, {
          status: query.status ?? null,
          before: query.before ?? null,
          rehearsals: query.rehearsals === '1',
        }),
      );
    }),
  );
  api.post(
    '/batches',
    route(async (req, res) => {
      const { id, plan } = parse(newBatchSchema, req.body);
      const batch = await createBatch(db, id, plan as PlanDoc, clock.nowMs());
      hub.changed({ doc: 'batch', id, version: batch.version });
      res.status(201).location(`/api/batches/${id}`).json(batch);
    }),
  );
  api.get(
    '/batches/:id',
    route(async (req, res) => {
      res.json(await batchWithEvents(db, parse(idSchema, req.params.id)));
    }),
  );
  api.put(
    '/batches/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const sent = parse(planEditSchema, req.body);
      const batch = await updatePlan(db, id, sent.version, sent.plan as PlanDoc, clock.nowMs());
      hub.changed({ doc: 'batch', id, version: batch.version });
      res.json(batch);
    }),
  );
  api.delete(
    '/batches/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const query = parse(deleteSchema, req.query);
      await deletePlan(db, id, query.version);
      hub.changed({ doc: 'batch', id, version: query.version + 1 });
      res.status(204).end();
    }),
  );
  api.post(
    '/batches/:id/start',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const sent = parse(startSchema, req.body);
      if (sent.events.some((e) => e.stream.kind !== 'batch' || e.stream.id !== id)) {
        throw new HttpProblem(422, 'otherStream', 'The first events of a batch belong to its own stream.');
      }
      const { batch, stored } = await startBatch(db, id, sent.version, sent.events, clock.nowMs());
      hub.changed({ doc: 'batch', id, version: batch.version });
      hub.events(stored);
      res.json(batch);
    }),
  );

  api.post(
    '/rehearsals',
    route(async (req, res) => {
      const sent = parse(newRehearsalSchema, req.body);
      if (sent.events.some((e) => e.stream.kind !== 'rehearsal' || e.stream.id !== sent.id))
        throw new HttpProblem(
          422,
          'otherStream',
          'The first events of a rehearsal belong to its own stream.',
        );
      const { batch, stored } = await createRehearsal(
        db,
        { ...sent, plan: sent.plan as PlanDoc },
        clock.nowMs(),
      );
      hub.changed({ doc: 'batch', id: sent.id, version: batch.version });
      hub.events(stored);
      res.status(201).location(`/api/batches/${sent.id}`).json(batch);
    }),
  );
  api.put(
    '/rehearsals/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const batch = await changeRehearsal(db, id, parse(rehearsalEditSchema, req.body), clock.nowMs());
      hub.changed({ doc: 'batch', id, version: batch.version });
      res.json(batch);
    }),
  );
  api.delete(
    '/rehearsals/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      await forgetRehearsal(db, id);
      hub.changed({ doc: 'batch', id, version: 0 });
      res.status(204).end();
    }),
  );

  api.get(
    '/instruments',
    route(async (_req, res) => {
      res.json({ instruments: await readInstruments(db) });
    }),
  );
  api.put(
    '/instruments/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const instrument = await putInstrument(db, { id, ...parse(instrumentSchema, req.body) });
      hub.changed({ doc: 'instrument', id, version: 0 });
      res.json(instrument);
    }),
  );
  api.delete(
    '/instruments/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      await dropInstrument(db, id);
      hub.changed({ doc: 'instrument', id, version: 0 });
      res.status(204).end();
    }),
  );
  api.get(
    '/instruments/:id/readings',
    route(async (req, res) => {
      const { batchId } = parse(readingsSchema, req.query);
      res.json({ readings: await readingsOf(db, parse(idSchema, req.params.id), batchId ?? null) });
    }),
  );

  api.get(
    '/recipes',
    route(async (_req, res) => {
      res.json({ recipes: await ownRecipes(db), ingredients: await ownFacts(db) });
    }),
  );
  api.post(
    '/recipes',
    route(async (req, res) => {
      const { recipe } = parse(newRecipeSchema, req.body);
      const stored = await createRecipe(db, recipe, clock.nowMs());
      hub.changed({ doc: 'recipe', id: stored.id, version: stored.version });
      res.status(201).location(`/api/recipes/${stored.id}`).json(stored);
    }),
  );
  api.put(
    '/recipes/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const sent = parse(recipeEditSchema, req.body);
      const stored = await updateRecipe(db, id, sent.version, sent.recipe, clock.nowMs());
      hub.changed({ doc: 'recipe', id, version: stored.version });
      res.json(stored);
    }),
  );
  api.delete(
    '/recipes/:id',
    route(async (req, res) => {
      const id = parse(idSchema, req.params.id);
      const { version } = parse(deleteSchema, req.query);
      await retireRecipe(db, id, version, clock.nowMs());
      hub.changed({ doc: 'recipe', id, version });
      res.status(204).end();
    }),
  );
  api.get(
    '/recipes/:id/versions',
    route(async (req, res) => {
      res.json({ versions: await versionsOf(db, parse(idSchema, req.params.id)) });
    }),
  );
  api.put(
    '/ingredients/:id',
    route(async (req, res) => {
      const facts = parse(customFactsSchema, req.body);
      if (facts.id !== req.params.id)
        throw new HttpProblem(422, 'otherId', 'The id in the address and in the message differ.');
      res.json(await putIngredient(db, facts as Parameters<typeof putIngredient>[1]));
      hub.changed({ doc: 'recipe', id: facts.id, version: 0 });
    }),
  );
  api.get(
    '/stock',
    route(async (_req, res) => {
      res.json({ stock: await readStock(db) });
    }),
  );
  api.put(
    '/stock/:id',
    route(async (req, res) => {
      const itemId = parse(idSchema, req.params.id);
      const row = parse(stockRowSchema, req.body);
      await putStock(db, { itemId, ...row });
      res.json({ stock: await readStock(db) });
    }),
  );
  api.get(
    '/archive',
    route(async (_req, res) => {
      res.set('Content-Disposition', 'attachment; filename="big-ladle.json"');
      res.json(await exportArchive(db, clock.nowMs()));
    }),
  );
  api.post(
    '/archive',
    route(async (req, res) => {
      const report = await importArchive(db, req.body);
      hub.changed({ doc: 'kitchen', id: 'kitchen', version: 0 });
      hub.changed({ doc: 'recipe', id: 'all', version: 0 });
      res.json(report);
    }),
  );

  api.post(
    '/events',
    route(async (req, res) => {
      const { events } = parse(eventsSchema, req.body);
      const stored = await db.transaction((trx) => storeEvents(trx, events, clock.nowMs()));
      hub.events(stored);
      // All that were sent are there now, also those that were there before.
      res.json({
        stored: stored.map((s) => ({ id: s.event.id, seq: s.seq })),
        kept: events.map((e) => e.id),
      });
    }),
  );

  api.get(
    '/items',
    route(async (_req, res) => {
      res.json(await itemsThere(db));
    }),
  );
  api.get(
    '/items/gone',
    route(async (req, res) => {
      const { before } = parse(goneSchema, req.query);
      res.json(await itemsGone(db, before ?? null));
    }),
  );
  api.get(
    '/items/use',
    route(async (req, res) => {
      const { since } = parse(useSchema, req.query);
      res.json({ use: await useOfLate(db, clock.nowMs(), since ?? null) });
    }),
  );
  api.get(
    '/items/:id',
    route(async (req, res) => {
      res.json(await itemById(db, parse(idSchema, req.params.id)));
    }),
  );
  api.get(
    '/gifts',
    route(async (_req, res) => {
      res.json({ gifts: await giftBatches(db) });
    }),
  );
  api.get(
    '/fridge',
    route(async (_req, res) => {
      res.json({ record: await fridgeRecord(db, clock.nowMs()) });
    }),
  );
  api.get(
    '/items/:id/events',
    route(async (req, res) => {
      res.json({ events: await eventsOf(db, 'item', parse(idSchema, req.params.id)) });
    }),
  );

  api.get(
    '/stream',
    route(async (req, res) => {
      const last = Number(req.get('Last-Event-ID') ?? req.query.after ?? Number.NaN);
      hub.open(res, Number.isFinite(last) ? await eventsAfter(db, last, CATCH_UP) : []);
    }),
  );

  if (test) {
    api.post(
      '/test/clock',
      route((req, res) => {
        const { nowMs, stopped } = parse(clockSchema, req.body);
        clock.set(nowMs, stopped);
        hub.timeChanged();
        res.json({ nowMs: clock.nowMs() });
      }),
    );
  }

  api.use((req) => {
    throw new HttpProblem(404, 'notFound', `There is nothing at ${req.path.slice(0, 120)}.`);
  });
  return api;
}
