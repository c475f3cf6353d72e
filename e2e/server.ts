import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type BrowserContext, expect } from '@playwright/test';
import { archiveOf, sectionsOf } from '../server/src/archive/testArchive.ts';
import type * as Embedded from '../server/src/embedded.ts';
import { setAndHeard } from './clock.ts';

const ROOT = path.resolve(import.meta.dirname, '..');

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** When a test begins unless it says otherwise: a Wednesday in autumn, in the evening, UTC. */
export const EVENING_MS = Date.UTC(2026, 10, 25, 17, 30);

/** How much earlier the clock of a kitchen stood that is copied: nothing in it was written after its test begins. */
const COPIED_EARLIER_MS = 3000;

export const copied = new Map<string, KitchenServer>();

/** A folder with the data of a kitchen as it first starts at this moment, made once for each worker. */
async function freshKitchen(demo: boolean, atMs: number): Promise<string> {
  const key = `${demo} ${atMs}`;
  const made = copied.get(key);
  if (made) return made.dataDir;
  const server = new KitchenServer(atMs - COPIED_EARLIER_MS);
  await server.start(demo);
  await server.stop();
  rmSync(path.join(server.dataDir, 'big-ladle.lock'), { force: true });
  copied.set(key, server);
  return server.dataDir;
}

/** A built server of its own for each test, with its data in a folder of its own and a clock that no test shares. */
export class KitchenServer {
  private child: ChildProcess | null = null;
  /** Ends the server where it runs within this process. */
  private endWithin: (() => Promise<void>) | null = null;
  /** The kitchen's clock against the machine's: it goes on over a restart. */
  private shiftMs: number;
  readonly dataDir = mkdtempSync(path.join(tmpdir(), 'big-ladle-e2e-'));
  port = 0;
  /** The browser contexts whose pages hear of its clock. */
  readonly windows: BrowserContext[] = [];

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Further surroundings of the server. */
  env: Record<string, string> = {};
  /** No file of it may grow beyond so many kilobytes: a disk that is full; null: as large as it likes. */
  fileLimitKb: number | null = null;

  /**
   * @param atMs the moment at which its clock begins to run.
   * @param ownProcess it runs in a process of its own, which can be killed: for tests of the server's own life.
   */
  constructor(
    atMs = EVENING_MS,
    private readonly ownProcess = false,
  ) {
    this.shiftMs = atMs - Date.now();
  }

  private surroundings(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      LADLE_PORT: String(this.port),
      LADLE_DATA: this.dataDir,
      LADLE_TEST: '1',
      LADLE_TEST_NOW: String(this.nowMs()),
      TZ: 'UTC',
      ...this.env,
    };
  }

  /** Starts it within this process: at once, but it cannot be killed. */
  private async startWithin(demo: boolean): Promise<void> {
    const { serveWithin } = (await import(path.join(ROOT, 'server/dist/embedded.js'))) as typeof Embedded;
    const asked = new AbortController();
    await new Promise<void>((ready, failed) => {
      const ended = serveWithin(this.surroundings(), ROOT, demo, {
        signal: asked.signal,
        tell: (text) => text.includes('http://') && ready(),
        report: (error) => console.error(error),
      });
      ended.catch(failed);
      this.endWithin = () => {
        asked.abort();
        return ended;
      };
    });
  }

  async start(demo = false): Promise<void> {
    this.port ||= await freePort();
    await (this.ownProcess ? this.startProcess(demo) : this.startWithin(demo));
  }

  private async startProcess(demo: boolean): Promise<void> {
    const program = [process.execPath, path.join(ROOT, 'server/dist/main.js'), ...(demo ? ['--demo'] : [])];
    const limit =
      this.fileLimitKb === null ? [] : ['prlimit', `--fsize=${this.fileLimitKb * 1024}:unlimited`];
    const [command, ...args] = [...limit, ...program];
    const child = spawn(command!, args, {
      cwd: ROOT,
      env: this.surroundings(),
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      child.stderr!.on('data', (data) => {
        said += String(data);
      });
      child.stdout!.on('data', (data) => String(data).includes('http://') && resolve());
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
    });
  }

  /** Begins to start, and ends the process without a warning after so long, wherever it is by then. */
  async startAndKill(afterMs: number): Promise<void> {
    this.start().catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, afterMs));
    await this.stop('SIGKILL');
  }

  /** Ends the process; with SIGKILL it has no chance to tidy up. */
  async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    const { child, endWithin } = this;
    if (endWithin) {
      if (signal === 'SIGKILL') throw new Error('only a process of its own can be killed: use ownProcess');
      this.endWithin = null;
      await endWithin();
      return 0;
    }
    if (!child) return null;
    this.child = null;
    if (child.exitCode !== null) return child.exitCode;
    child.removeAllListeners('exit');
    const ended = new Promise<number | null>((resolve) => child.on('exit', (code) => resolve(code)));
    child.kill(signal);
    return ended;
  }

  /** The disk has room again, for the server that runs. */
  makeRoom(): void {
    this.fileLimitKb = null;
    spawnSync('prlimit', ['--pid', String(this.child?.pid), '--fsize=unlimited:unlimited']);
  }

  /** Begins with what a kitchen has that first starts at this moment: quicker than starting it so. */
  async startFresh(demo: boolean, atMs: number): Promise<void> {
    cpSync(await freshKitchen(demo, atMs), this.dataDir, { recursive: true });
    this.shiftMs = atMs - Date.now();
    await this.start();
  }

  dispose(): void {
    rmSync(this.dataDir, { recursive: true, force: true });
  }

  /** The rows of everything, by their section. */
  async archive(): Promise<Record<string, unknown[]>> {
    return sectionsOf(await (await fetch(`${this.url}/api/archive`)).text());
  }

  /** Adds to the kitchen what an archive with such sections holds. */
  async takeIn(sections: Readonly<Record<string, readonly unknown[]>>): Promise<void> {
    const stage = () =>
      this.api<{ state: { stage: string } | null }>('GET', '/archive/import').then((a) => a.state?.stage);
    const sent = await fetch(`${this.url}/api/archive`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-ndjson' },
      body: archiveOf(sections),
    });
    expect(sent.status).toBe(202);
    await expect.poll(stage).toBe('checked');
    await this.api('POST', '/archive/import', { mode: 'merge' });
    await expect.poll(stage).toBe('done');
  }

  async api<T>(method: string, url: string, body?: unknown): Promise<T> {
    const response = await fetch(`${this.url}/api${url}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
    const answer = (await response.json()) as T;
    if (!response.ok) throw new Error(`${method} ${url}: ${response.status} ${JSON.stringify(answer)}`);
    return answer;
  }

  /** The kitchen's time, also while no server runs. */
  nowMs(): number {
    return Date.now() + this.shiftMs;
  }

  /** From now on it is this moment in the kitchen. */
  async setClock(atMs: number, stopped = false): Promise<void> {
    this.shiftMs = atMs - Date.now();
    await setAndHeard(this.windows, atMs, () => this.api('POST', '/test/clock', { nowMs: atMs, stopped }));
  }

  /** Lets so many minutes go by on the kitchen's clock. */
  async pass(minutes: number): Promise<void> {
    await this.setClock(this.nowMs() + minutes * 60_000);
  }
}
