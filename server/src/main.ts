import { readFileSync } from 'node:fs';
import { createServer as createSafeServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app.ts';
import { AdjustableClock } from './clock.ts';
import { configFrom } from './config.ts';
import { DataFileError, openDb } from './db/open.ts';
import { FIVE_YEARS, seedHistory } from './demo/history.ts';
import { seedDemo } from './demo/seed.ts';
import { InstrumentWatch } from './instruments/watch.ts';
import { rebuildAll, refreshProjections } from './services/projections.ts';
import { StreamHub } from './stream.ts';

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);
const VERSION = '0.6.0';
/** How long requests that are on may take to end when the server is asked to stop. */
const LAST_WORDS_MS = 1500;
/** From server/dist or server/src up to the project. */
const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

function leave(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

/** The two files of a safe connection. */
function safely({ certFile, keyFile }: { certFile: string; keyFile: string }): { cert: Buffer; key: Buffer } {
  try {
    return { cert: readFileSync(certFile), key: readFileSync(keyFile) };
  } catch (error) {
    return leave(`The certificate or its key could not be read: ${(error as Error).message}`);
  }
}

async function main(): Promise<void> {
  const config = configFrom(process.env, ROOT);
  const clock = new AdjustableClock();
  if (config.testNowMs !== null) clock.set(config.testNowMs, false);
  const db = await openDb(config.dataDir);
  if (process.argv.includes('--rebuild')) {
    const batches = await db.transaction((trx) => rebuildAll(trx));
    await db.destroy();
    process.stdout.write(`Folded the logs of ${batches} batches again.\n`);
    return;
  }
  await refreshProjections(db);
  if (process.argv.includes('--demo')) await seedDemo(db, clock.nowMs());
  // Only for measuring: five years of it.
  if (process.argv.includes('--history')) await seedHistory(db, clock.nowMs(), FIVE_YEARS);

  const hub = new StreamHub(clock);
  const report = (error: unknown): void => {
    process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  };
  const watch = new InstrumentWatch(db, clock, hub, report);
  const open = !LOOPBACK.has(config.host);
  const scheme = config.tls ? 'https' : 'http';
  const homeAddresses = (): string[] =>
    Object.values(networkInterfaces())
      .flatMap((list) => list ?? [])
      .filter((i) => i.family === 'IPv4' && !i.internal)
      .map((i) => `${scheme}://${i.address}:${config.port}`);
  const app = buildApp({
    db,
    openness: { open, publicUrl: config.publicUrl, tls: config.tls !== null },
    addresses: homeAddresses,
    clock,
    hub,
    version: VERSION,
    test: config.test,
    webDir: config.webDir,
    devOrigin: config.devOrigin,
    report,
    tell: (text) => void process.stdout.write(`${text}\n`),
  });
  watch.start();
  const server = config.tls
    ? createSafeServer(safely(config.tls), app).listen(config.port, config.host)
    : app.listen(config.port, config.host);
  server.on('listening', () => {
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    const own = open ? '127.0.0.1' : config.host;
    process.stdout.write(`Big Ladle is at ${scheme}://${own}:${port}\n`);
    if (open)
      process.stdout.write(
        `Open to the home network at ${[config.publicUrl, ...homeAddresses()].filter(Boolean).join(', ')}: other devices need the code shown in Kitchen on this machine.\n`,
      );
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
