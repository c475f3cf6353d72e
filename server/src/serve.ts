import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { createServer as createSafeServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import type { Express } from 'express';
import { buildApp } from './app.ts';
import { ImportDesk } from './archive/desk.ts';
import { BackupDesk } from './backup/desk.ts';
import type { AdjustableClock } from './clock.ts';
import type { Config } from './config.ts';
import type { Db } from './db/db.ts';
import { canWrite } from './db/folder.ts';
import { FolderLock } from './db/lock.ts';
import { readInMemory } from './db/readOnly.ts';
import { takesNothing } from './db/takesNothing.ts';
import { InstrumentWatch } from './instruments/watch.ts';
import { LearningDesk } from './learning/desk.ts';
import { certificateFor } from './network/certificate.ts';
import { NetworkDesk } from './network/desk.ts';
import { readNetwork } from './network/setting.ts';
import { openDb } from './opening/open.ts';
import { PhotoStore } from './photos/store.ts';
import { sweepPhotos } from './services/photos.ts';
import { refreshProjections } from './services/projections.ts';
import { StreamHub } from './stream.ts';

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);
/** All addresses of this machine. */
const EVERYWHERE = '0.0.0.0';
const VERSION = '0.6.0';
/** How long requests that are on may take to end when the server is asked to stop. */
const LAST_WORDS_MS = 1500;
/** How long an answer has to go out before the file it speaks of is closed. */
const ANSWER_MS = 300;
/** A request that takes longer to be said is cut off. */
const HEADERS_MS = 15_000;
const REQUEST_MS = 120_000;
/** A connection that is not used stays open for so long: a phone at the stove asks again within minutes. */
const KEPT_OPEN_MS = 75_000;
/** How often it is tried whether the disk takes something again. */
const PROBE_MS = 5_000;

/** What keeps it from serving, in words for who started it. */
export class CannotServe extends Error {}

/** The two files of a safe connection. */
function safely({ certFile, keyFile }: { certFile: string; keyFile: string }): { cert: Buffer; key: Buffer } {
  try {
    return { cert: readFileSync(certFile), key: readFileSync(keyFile) };
  } catch (error) {
    throw new CannotServe(`The certificate or its key could not be read: ${(error as Error).message}`);
  }
}

/** The addresses that this machine has in the home network. */
const homeIps = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((i) => i.family === 'IPv4' && !i.internal)
    .map((i) => i.address);

/** Listens to the home network with the certificate of the house's own. @returns why not, where it cannot. */
async function openDoor(
  dataDir: string,
  port: number,
  app: Express,
  nowMs: number,
): Promise<Server | string> {
  try {
    const door = createSafeServer(await certificateFor(dataDir, homeIps(), nowMs), app);
    await new Promise<void>((resolve, reject) => {
      door.once('error', reject);
      door.listen(port, EVERYWHERE, resolve);
    });
    return door;
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    return code === 'EADDRINUSE' ? `port ${port} is taken` : message;
  }
}

/** What the server stands on while it runs. */
interface Surroundings {
  config: Config;
  clock: AdjustableClock;
  /** Asks it to end. */
  signal: AbortSignal;
  /** Says what whoever started it reads. */
  tell: (text: string) => void;
  report: (error: unknown) => void;
}

/** The kitchen to be written to; where the disk takes nothing, the same in memory, to be read. */
async function openOrRead(
  dataDir: string,
  nowMs: number,
): Promise<{ db: Db; lock: FolderLock | null; readOnly: boolean }> {
  const lock = FolderLock.take(dataDir);
  try {
    const db = await openDb(dataDir, undefined, nowMs);
    await refreshProjections(db);
    return { db, lock, readOnly: false };
  } catch (error) {
    lock?.release();
    if (!takesNothing(error)) throw error;
    return { db: await readInMemory(dataDir), lock: null, readOnly: true };
  }
}

/**
 * Opens the kitchen and serves it until it is asked to end, or to begin anew over a file that was put back.
 * @returns true: begin anew.
 */
async function serveOnce({ config, clock, signal, tell, report }: Surroundings): Promise<boolean> {
  const { db, lock, readOnly } = await openOrRead(config.dataDir, clock.nowMs());
  const hub = new StreamHub(clock);
  const watch = new InstrumentWatch(db, clock, hub, report);
  const chosen = config.hostGiven ? null : readNetwork(config.dataDir);
  const safe = chosen?.safe === true && !config.tls;
  // With a certificate of its own the home network comes by a door of its own, and the first screen keeps its address.
  const host = chosen?.open && !safe ? EVERYWHERE : config.host;
  const open = !LOOPBACK.has(host) || safe;
  const scheme = config.tls ? 'https' : 'http';
  const safePort = config.port + 1;
  const homeAddresses = (): string[] =>
    homeIps().map((ip) => (safe ? `https://${ip}:${safePort}` : `${scheme}://${ip}:${config.port}`));
  let close: (again: boolean) => void = () => undefined;
  const restart = (): void => void setTimeout(() => close(true), ANSWER_MS);
  const backups = new BackupDesk(config.dataDir, clock, report, restart);
  const imports = new ImportDesk({
    dataDir: config.dataDir,
    db,
    backups,
    restart,
    changed: () => {
      hub.changed({ doc: 'everything', id: 'all', version: 0 });
      learning.look();
    },
    report,
  });
  const network = new NetworkDesk({
    dataDir: config.dataDir,
    clock,
    fixed: config.hostGiven || config.tls !== null,
    safe,
    restart,
  });
  const photos = new PhotoStore(config.dataDir);
  const learning = new LearningDesk({ db, clock, hub, report }, !readOnly);
  if (!readOnly) await sweepPhotos(db, photos);
  const app = buildApp({
    db,
    photos,
    learning,
    backups,
    imports,
    network,
    readOnly,
    openness: { open, publicUrl: config.publicUrl, tls: config.tls !== null || safe },
    addresses: homeAddresses,
    clock,
    hub,
    version: VERSION,
    test: config.test,
    webDir: config.webDir,
    devOrigin: config.devOrigin,
    report,
    tell,
  });
  let probe: NodeJS.Timeout | undefined;
  if (readOnly) {
    tell(
      `Nothing can be written to ${config.dataDir}: the disk is full, or may not be written to. Everything can be read; entries wait in the windows. It goes on by itself once there is room.`,
    );
    probe = setInterval(() => canWrite(config.dataDir) && close(true), PROBE_MS);
  } else {
    watch.start();
    backups.start();
    imports.resume();
    learning.look();
  }
  const server: Server = config.tls ? createSafeServer(safely(config.tls), app) : createServer(app);
  const servers = [server];
  if (safe) {
    const door = await openDoor(config.dataDir, safePort, app, clock.nowMs());
    if (typeof door === 'string') network.problem = door;
    else servers.push(door);
  }
  for (const one of servers) {
    one.headersTimeout = HEADERS_MS;
    one.requestTimeout = REQUEST_MS;
    one.keepAliveTimeout = KEPT_OPEN_MS;
  }
  return new Promise((resolve, reject) => {
    let closing = false;
    const end = () => close(false);
    /** Ends what runs beside the requests. @returns lets go of the file, once nobody asks for it any more. */
    const standDown = () => {
      signal.removeEventListener('abort', end);
      clearInterval(probe);
      watch.stop();
      hub.close();
      return async () => {
        await learning.stop();
        await imports.stop();
        await backups.stop();
        await db.destroy();
        lock?.release();
      };
    };
    close = (again) => {
      if (closing) return;
      closing = true;
      const letGo = standDown();
      const closed = servers.map((one) => new Promise((done) => one.close(done)));
      void Promise.all(closed)
        .then(letGo)
        .then(() => resolve(again));
      for (const one of servers) {
        one.closeIdleConnections();
        setTimeout(() => one.closeAllConnections(), LAST_WORDS_MS).unref();
      }
    };
    server.on('listening', () => {
      const address = server.address();
      const port = typeof address === 'object' && address ? address.port : config.port;
      const own = `${scheme}://${host === EVERYWHERE ? '127.0.0.1' : host}:${port}`;
      lock?.tell(own);
      tell(`Big Ladle is at ${own}`);
      if (open)
        tell(
          `Open to the home network at ${[config.publicUrl, ...homeAddresses()].filter(Boolean).join(', ')}: other devices need the code shown in Kitchen on this machine.`,
        );
    });
    server.on('error', async (error: NodeJS.ErrnoException) => {
      await standDown()();
      reject(
        new CannotServe(
          error.code === 'EADDRINUSE'
            ? `Port ${config.port} is taken: another Big Ladle, perhaps. Choose another with LADLE_PORT=4818 and start again.`
            : `The server could not listen: ${error.message}`,
        ),
      );
    });
    signal.addEventListener('abort', end);
    if (signal.aborted) end();
    server.listen(config.port, host);
  });
}

/**
 * Serves the kitchen until the signal asks it to end, over every file that is put in its place meanwhile.
 * @throws CannotServe, DataFileError with what keeps it from serving.
 */
export async function serve(surroundings: Surroundings): Promise<void> {
  while (await serveOnce(surroundings));
}
