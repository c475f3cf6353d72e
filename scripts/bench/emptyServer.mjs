import path from 'node:path';
import compression from 'compression';
import express from 'express';
import { ROOT, run } from '../lib.mjs';

/** Builds the empty page and serves it as ours is served: packed, with few headers. */
export async function serveEmptyPage() {
  const built = await run(path.join(ROOT, 'node_modules/.bin/vite'), [
    'build',
    '-c',
    'scripts/bench/emptyPage/vite.config.ts',
    '--logLevel',
    'error',
  ]);
  if (built !== 0) throw new Error('The empty page could not be built.');
  const app = express();
  app.disable('x-powered-by');
  app.use(compression(), express.static(path.join(ROOT, '.cache/bench-empty'), { etag: false }));
  const server = await new Promise((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  return { url: `http://127.0.0.1:${server.address().port}`, close: () => server.close() };
}
