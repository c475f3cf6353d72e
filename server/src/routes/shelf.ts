import { ROUTES } from '@big-ladle/core/contract';
import { purchases } from '../services/purchases.ts';
import { giftBatches, itemById, itemsGone, useOfLate, writtenItems } from '../services/shelf.ts';
import { eventsOf } from '../services/streams.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** What stands on the shelf, what has left it, and whom it is for. */
export function serveShelf(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.items, async () => ({ answer: await writtenItems(db) }));
  serve(ROUTES.itemsGone, async ({ query }) => ({ answer: await itemsGone(db, query.before ?? null) }));
  serve(ROUTES.use, async ({ query }) => ({
    answer: { use: await useOfLate(db, clock.nowMs(), query.since ?? null) },
  }));
  serve(ROUTES.item, async ({ params }) => ({ answer: await itemById(db, params.id) }));
  serve(ROUTES.itemEvents, async ({ params }) => ({
    answer: { events: await eventsOf(db, 'item', params.id) },
  }));
  serve(ROUTES.purchases, async () => ({ answer: { purchases: await purchases(db) } }));
  serve(ROUTES.gifts, async () => ({ answer: { gifts: await giftBatches(db) } }));
}
