import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { ImportMode, ImportState } from '@big-ladle/core/contract';
import { EMPTY_KITCHEN, type Kitchen, type PlanDoc } from '@big-ladle/core/documents';
import type { NetworkExposure } from './access.ts';
import { buildApp } from './app.ts';
import { ImportDesk } from './archive/desk.ts';
import { BackupDesk } from './backup/desk.ts';
import { AdjustableClock } from './clock.ts';
import type { Db } from './db/db.ts';
import { LearningDesk } from './learning/desk.ts';
import { NetworkDesk } from './network/desk.ts';
import { openDb } from './opening/open.ts';
import { PhotoStore } from './photos/store.ts';
import { StreamHub } from './stream.ts';

export const NOW = 1_795_500_000_000;

/** A kitchen with one pot and one ring. */
export const ONE_POT: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [
    { id: 'pot', name: 'Pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
  ],
  burners: [{ id: 'ring', name: 'Ring', kind: 'gas', powerW: 3000 }],
};

/** Six litres of the first drink of the book in that pot. */
export const CALYX_PLAN: PlanDoc = {
  recipeId: 'deep-calyx-ginger',
  choices: defaultChoices(BOOK[0]!, 'straightBoil'),
  potId: 'pot',
  burnerId: 'ring',
  question: { kind: 'litres', litres: 6 },
  fills: 1,
  readyAtMs: null,
};

export interface Answer {
  status: number;
  // biome-ignore lint/suspicious/noExplicitAny: answers of many shapes are looked into here
  body: any;
  type: string;
}

/** What a device says, each entry with an id and a number of its own. */
export function eventWriter(prefix: string, deviceId = 'dev') {
  let seq = 0;
  return (stream: { kind: string; id: string }, kind: string, body: object, atMs: number) => {
    seq++;
    return { id: `${prefix}-${seq}`, stream, v: 1, atMs, deviceId, deviceSeq: seq, kind, body };
  };
}

/** For tests: the real application over a data file of its own, at a clock that can be set. */
export class TestServer {
  readonly dir = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
  readonly clock = new AdjustableClock(() => NOW);
  /** What the application reported as its own faults. */
  readonly reports: unknown[] = [];
  /** What it said on its terminal. */
  readonly told: string[] = [];
  /** How often it was asked to close and begin anew. */
  restarts = 0;
  /** It runs on a copy in memory, as where nothing can be written. */
  readOnly = false;
  /** The folder of a built application, where its pages are asked for. */
  webDir: string | null = null;
  hub!: StreamHub;
  imports!: ImportDesk;
  learning!: LearningDesk;
  db!: Db;
  /** Where it listens, without a path. */
  base = '';
  private server!: Server;

  /** @param openness how it may be reached besides from its own machine. */
  constructor(private readonly openness: NetworkExposure = { open: false, publicUrl: null, tls: false }) {}

  async open(): Promise<this> {
    this.db = await openDb(this.dir);
    this.hub = new StreamHub(this.clock);
    const report = (e: unknown) => void this.reports.push(e);
    const restart = () => void this.restarts++;
    const backups = new BackupDesk(this.dir, this.clock, report, restart);
    this.imports = new ImportDesk({
      dataDir: this.dir,
      db: this.db,
      backups,
      restart,
      changed: () => this.hub.changed({ doc: 'everything', id: 'all', version: 0 }),
      report,
    });
    this.learning = new LearningDesk({ db: this.db, clock: this.clock, hub: this.hub, report }, false);
    if (!this.readOnly) this.imports.resume();
    const network = new NetworkDesk({
      dataDir: this.dir,
      clock: this.clock,
      fixed: false,
      safe: false,
      restart,
    });
    const app = buildApp({
      network,
      db: this.db,
      clock: this.clock,
      hub: this.hub,
      version: 'test',
      readOnly: this.readOnly,
      backups,
      imports: this.imports,
      learning: this.learning,
      photos: new PhotoStore(this.dir),
      test: true,
      webDir: this.webDir,
      openness: this.openness,
      addresses: () => ['http://192.168.7.20:4817'],
      devOrigin: null,
      report,
      tell: (text) => this.told.push(text),
    });
    this.server = await new Promise((resolve) => {
      const s = app.listen(0, this.openness.open ? '0.0.0.0' : '127.0.0.1', () => resolve(s));
    });
    const address = this.server.address();
    this.base = `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`;
    return this;
  }

  /** Stops it; its data stays, so that it can be opened again. */
  async stop(): Promise<void> {
    this.hub.close();
    await new Promise((resolve) => this.server.close(resolve));
    await this.imports.stop();
    await this.db.destroy();
  }

  async dispose(): Promise<void> {
    await this.stop();
    rmSync(this.dir, { recursive: true, force: true });
  }

  /** Everything, as it goes out. */
  async archive(): Promise<string> {
    return (await fetch(`${this.base}/api/archive`)).text();
  }

  /** Sends an archive; @returns where it stands once it has been looked over, or why it was refused at once. */
  async upload(archive: string | object): Promise<ImportState> {
    const body = typeof archive === 'string' ? archive : JSON.stringify(archive);
    const answer = await this.api('POST', '/archive', body);
    return answer.status === 202 ? this.importAt(['checked', 'failed']) : { ...answer.body };
  }

  /** Sends an archive and takes it in; @returns how it ended. */
  async takeIn(archive: string | object, mode: ImportMode = 'merge'): Promise<ImportState> {
    const checked = await this.upload(archive);
    if (checked.stage !== 'checked') return checked;
    await this.api('POST', '/archive/import', { mode });
    return this.importAt(['done', 'failed']);
  }

  /** Waits for an import to come so far. */
  async importAt(stages: readonly ImportState['stage'][]): Promise<ImportState> {
    for (;;) {
      const { state } = (await this.api('GET', '/archive/import')).body as { state: ImportState };
      if (stages.includes(state.stage)) return state;
      await new Promise((resolve) => setImmediate(resolve));
    }
  }

  async api(
    method: string,
    url: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> {
    const response = await fetch(`${this.base}/api${url}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    const type = response.headers.get('content-type') ?? '';
    return {
      status: response.status,
      body: /^application\/(?:\w+\+)?json/.test(type) ? JSON.parse(text) : null,
      type,
    };
  }
}
