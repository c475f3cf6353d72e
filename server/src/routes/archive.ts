import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ROUTES } from '@big-ladle/core/contract';
import type { Router } from 'express';
import { onlyFirstScreen } from '../access.ts';
import { archiveText } from '../archive/write.ts';
import { HttpProblem } from '../problems.ts';
import { parse, route } from './parse.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** What an archive is sent as: lines of JSON, or the one document of old. A form of another page can send neither. */
const SENT_AS = ['application/x-ndjson', 'application/json'];

/** Everything of a kitchen, out and in; both as a stream, never whole in memory. To be put before bodies are read. */
export function archiveStreams(api: Router, { db, clock, imports, photos, version }: ApiParts): void {
  api.get(
    ROUTES.exportArchive.path,
    route(async (req, res) => {
      const asked = parse(ROUTES.exportArchive.query, req.query);
      const text = archiveText(db, clock.nowMs(), version, asked.photos ? photos : null);
      res.set('Content-Disposition', 'attachment; filename="big-ladle.jsonl"').type('application/x-ndjson');
      // Whoever breaks off while it is written needs no answer any more.
      await pipeline(Readable.from(text), res).catch((error: unknown) => {
        if (!res.destroyed) throw error;
      });
    }),
  );
  api.post(
    ROUTES.uploadArchive.path,
    route(async (req, res) => {
      if (!req.is(SENT_AS)) throw new HttpProblem('notAnArchive');
      try {
        res.status(202).json(await imports.receive(req));
      } catch (error) {
        // Whoever breaks off while sending needs no answer any more.
        if (!res.destroyed) throw error;
      }
    }),
  );
}

/** How an import goes, and what is to become of it. */
export function serveImports(serve: Serve, api: Router, { imports, openness }: ApiParts): void {
  serve(ROUTES.importState, async () => ({ answer: { state: imports.state() } }));
  const atFirstScreen = onlyFirstScreen(openness);
  // What takes the place of everything is decided where backups are put back.
  api.post(ROUTES.takeArchive.path, (req, res, next) => {
    if (parse(ROUTES.takeArchive.body, req.body).mode === 'replace') atFirstScreen(req, res, next);
    else next();
  });
  serve(ROUTES.takeArchive, async ({ body }) => ({ answer: imports.take(body.mode) }));
  serve(ROUTES.cancelImport, async () => {
    await imports.cancel();
    return { answer: undefined };
  });
}
