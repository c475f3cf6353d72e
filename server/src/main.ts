import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app.ts';
import { AdjustableClock } from './clock.ts';
import { configFrom } from './config.ts';
import { DataFileError, openDb } from './db/open.ts';
import { seedDemo } from './demo/seed.ts';
import { InstrumentWatch } from './instruments/watch.ts';
import { rebuildAll } from './services/projections.ts';
import { StreamHub } from './stream.ts';

const VERSION = '0.1.0';
/** How long requests that are on may take to end when the server is asked to stop. */
const LAST_WORDS_MS = 1500;
/** From server/dist or server/src up to the project. */
const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

function leave(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  const config = configFrom(process.env, ROOT);
  const clock = new AdjustableClock();
  const db = await openDb(config.dataDir);
  if (process.argv.includes('--rebuild')) {
    const batches = await rebuildAll(db);
    await db.destroy();
    process.stdout.write(`Folded the logs of ${batches} batches again.\n`);
    return;
  }
  if (process.argv.includes('--demo')) await seedDemo(db, config.demoNowMs ?? clock.nowMs());

  const hub = new StreamHub(clock);
  const report = (error: unknown): void => {
    process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  };
  const watch = new InstrumentWatch(db, clock, hub, report);
  const app = buildApp({
    db,
    clock,
    hub,
    version: VERSION,
    test: config.test,
    webDir: config.webDir,
    devOrigin: config.devOrigin,
    report,
  });
  watch.start();
  const server = app.listen(config.port, config.host);
  server.on('listening', () => {
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    process.stdout.write(`Big Ladle is at http://${config.host}:${port}\n`);
  });
  server.on('error', async (error: NodeJS.ErrnoException) => {
    await db.destroy();
    if (error.code === 'EADDRINUSE') {
      leave(
        `Port ${config.port} is taken: another Big Ladle, perhaps. Choose another with LADLE_PORT=4818 and start again.`,
      );
    }
    leave(`The server could not listen: ${error.message}`);
  });

  let closing = false;
  const close = (): void => {
    if (closing) return;
    closing = true;
    watch.stop();
    hub.close();
    server.close(async () => {
      await db.destroy();
      process.exit(0);
    });
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_WORDS_MS).unref();
  };
  process.on('SIGTERM', close);
  process.on('SIGINT', close);
}

main().catch((error: unknown) => {
  leave(
    error instanceof DataFileError
      ? error.message
      : error instanceof Error
        ? (error.stack ?? error.message)
        : String(error),
  );
});
