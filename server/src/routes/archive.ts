import { ROUTES } from '@big-ladle/core';
import { exportArchive, importArchive } from '../services/archive.ts';
import type { ApiParts } from './api.ts';
import type { Serve } from './serve.ts';

/** Everything of a kitchen, out and in. */
export function serveArchive(serve: Serve, { db, clock, backups }: ApiParts): void {
  serve(ROUTES.exportArchive, async ({ res }) => {
    res.set('Content-Disposition', 'attachment; filename="big-ladle.json"');
    return { answer: await exportArchive(db, clock.nowMs()) };
  });
  serve(ROUTES.importArchive, async ({ body }) => {
    await backups.make('before-import');
    return importArchive(db, body);
  });
}
