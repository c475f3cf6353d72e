import { ROUTES } from '@big-ladle/core/contract';
import { readKitchen } from '../db/rows.ts';
import { dropInstrument, putInstrument, readInstruments, readingsOf } from '../services/instruments.ts';
import { saveKitchen } from '../services/kitchen.ts';
import { fridgeRecord } from '../services/shelf.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** The kitchen, its instruments, and what they have read. */
export function serveKitchen(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.kitchen, async () => ({ answer: await readKitchen(db) }));
  serve(ROUTES.saveKitchen, ({ body }) => saveKitchen(db, body));
  serve(ROUTES.instruments, async () => ({ answer: { instruments: await readInstruments(db) } }));
  serve(ROUTES.putInstrument, ({ params, body }) => putInstrument(db, { id: params.id, ...body }));
  serve(ROUTES.dropInstrument, ({ params }) => dropInstrument(db, params.id, clock.nowMs()));
  serve(ROUTES.readings, async ({ params, query }) => ({
    answer: { readings: await readingsOf(db, params.id, query.batchId ?? null) },
  }));
  serve(ROUTES.fridge, async () => ({ answer: { record: await fridgeRecord(db, clock.nowMs()) } }));
}
