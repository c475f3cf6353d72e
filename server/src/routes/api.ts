import { ROUTES } from '@big-ladle/core/contract';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import express, { type Router } from 'express';
import * as v from 'valibot';
import { HttpProblem } from '../problems.ts';
import { latestSeq, missedAfter } from '../services/events.ts';
import { archiveStreams, serveImports } from './archive.ts';
import { serveBackups } from './backups.ts';
import { serveBatches } from './batches.ts';
import { serveBook } from './book.ts';
import { serveGatherings } from './gatherings.ts';
import { serveKitchen } from './kitchen.ts';
import { serveLearning } from './learning.ts';
import { parse, route } from './parse.ts';
import type { ApiParts } from './parts.ts';
import { photoBodies, servePhotos } from './photos.ts';
import { serving } from './serve.ts';
import { serveShelf } from './shelf.ts';

const clockSchema = v.strictObject({
  nowMs: v.pipe(v.number(), v.minValue(0)),
  stopped: v.optional(v.boolean(), false),
});

export function apiRouter(parts: ApiParts): Router {
  const { db, clock, hub, version, test } = parts;
  const api = express.Router();
  // What a kitchen says is nobody's to keep on the way.
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // Whatever was changed may have brought a batch to its end, or told more of one.
  api.use((req, res, next) => {
    if (!['GET', 'HEAD'].includes(req.method)) res.on('finish', () => parts.learning.look());
    next();
  });
  archiveStreams(api, parts);
  photoBodies(api, parts);
  api.use(express.json({ limit: '256kb', strict: true }));

  const serve = serving(api, hub);
  serve(ROUTES.health, async () => {
    await db.raw('select 1');
    return { answer: { ok: true, version, tables: SHIPPED_TABLES.version, nowMs: clock.nowMs() } };
  });
  serve(ROUTES.time, async () => ({ answer: { nowMs: clock.nowMs() } }));
  serveKitchen(serve, parts);
  serveBatches(serve, parts);
  serveBook(serve, parts);
  serveShelf(serve, parts);
  serveGatherings(serve, parts);
  serveLearning(serve, parts);
  servePhotos(serve, parts);
  serveImports(serve, api, parts);
  serveBackups(api, serve, parts);

  api.get(
    '/stream',
    route(async (req, res) => {
      const deviceId = (res.locals.deviceId as string | undefined) ?? null;
      const last = Number(req.get('Last-Event-ID') ?? req.query.after ?? Number.NaN);
      if (Number.isFinite(last)) hub.open(res, await missedAfter(db, last), deviceId);
      else hub.open(res, { events: [], seq: await latestSeq(db), reload: false }, deviceId);
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
    throw new HttpProblem('noSuchPlace', { params: { path: req.path.slice(0, 120) } });
  });
  return api;
}
