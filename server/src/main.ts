import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { prepareRestore } from './backup/restore.ts';
import { AdjustableClock } from './clock.ts';
import { configFrom } from './config.ts';
import { DataFileError } from './db/dataFileError.ts';
import { makeDataFolder } from './db/folder.ts';
import { FolderLock } from './db/lock.ts';
import { openDb } from './opening/open.ts';
import { prepare } from './prepare.ts';
import { CannotServe, serve } from './serve.ts';

/** From server/dist or server/src up to the project. */
const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

function leave(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  const config = configFrom(process.env, ROOT);
  const clock = new AdjustableClock();
  if (config.testNowMs !== null) clock.set(config.testNowMs, false);
  makeDataFolder(config.dataDir);
  const said = process.argv.indexOf('--restore');
  if (said >= 0) {
    const lock = FolderLock.take(config.dataDir);
    const backup = process.argv[said + 1] ?? leave('Say which: npm run restore -- FILE');
    prepareRestore(config.dataDir, path.resolve(process.env.INIT_CWD ?? '.', backup));
    await (await openDb(config.dataDir, undefined, clock.nowMs())).destroy();
    process.stdout.write(`Put back. What was there before stands beside it in ${config.dataDir}.\n`);
    lock?.release();
    return;
  }
  const flagged = (flag: string): boolean => process.argv.includes(flag);
  const rebuild = flagged('--rebuild');
  const batches = await prepare(config.dataDir, clock, {
    rebuild,
    demo: flagged('--demo'),
    history: flagged('--history'),
  });
  if (rebuild) {
    process.stdout.write(`Folded the logs of ${batches} batches again.\n`);
    return;
  }
  const asked = new AbortController();
  for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => asked.abort());
  await serve({
    config,
    clock,
    signal: asked.signal,
    tell: (text) => void process.stdout.write(`${text}\n`),
    report: (error) => void process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`),
  });
  process.exit(0);
}

main().catch((error: unknown) => {
  leave(
    error instanceof DataFileError || error instanceof CannotServe
      ? error.message
      : error instanceof Error
        ? (error.stack ?? error.message)
        : String(error),
  );
});
