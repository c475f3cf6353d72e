import { ROUTES } from '@big-ladle/core/contract';
import {
  batchWithEvents,
  changeRehearsal,
  createBatch,
  createRehearsal,
  deletePlan,
  forgetRehearsal,
  putAway,
  startBatch,
  updatePlan,
} from '../services/batches.ts';
import { batchNames, likedPoints, listBatches } from '../services/batchLists.ts';
import { acceptEvents } from '../services/events.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** Plans, batches, rehearsals, and what is said of them. */
export function serveBatches(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.batches, async ({ query }) => ({ answer: await listBatches(db, query) }));
  serve(ROUTES.batchNames, async () => ({ answer: await batchNames(db) }));
  serve(ROUTES.likedPoints, async () => ({ answer: await likedPoints(db) }));
  serve(ROUTES.createBatch, async ({ body }) => ({
    ...(await createBatch(db, body, clock.nowMs())),
    created: `/api/batches/${body.id}`,
  }));
  serve(ROUTES.batch, async ({ params }) => ({ answer: await batchWithEvents(db, params.id) }));
  serve(ROUTES.savePlan, ({ params, body }) => updatePlan(db, params.id, body, clock.nowMs()));
  serve(ROUTES.putBatchAway, ({ params, body }) => putAway(db, params.id, body.away, clock.nowMs()));
  serve(ROUTES.dropPlan, ({ params, query }) => deletePlan(db, params.id, query.version));
  serve(ROUTES.startBatch, ({ params, body }) => startBatch(db, params.id, body, clock.nowMs()));
  serve(ROUTES.createRehearsal, async ({ body }) => ({
    ...(await createRehearsal(db, body, clock.nowMs())),
    created: `/api/batches/${body.id}`,
  }));
  serve(ROUTES.changeRehearsal, ({ params, body }) => changeRehearsal(db, params.id, body, clock.nowMs()));
  serve(ROUTES.forgetRehearsal, ({ params }) => forgetRehearsal(db, params.id));
  serve(ROUTES.events, ({ body }) => acceptEvents(db, body.events, clock.nowMs()));
}
