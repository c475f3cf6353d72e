import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { BatchDoc, BatchList, Gathering, KitchenDoc, ShelfItem } from '@big-ladle/core/contract';
import type { Recipe } from '@big-ladle/core/documents';
import type { LogEvent } from '@big-ladle/core/log';
import { freePort, ROOT } from '../lib.mjs';

/** One request, as it can be sent again. */
export interface Sent {
  route: string;
  method: string;
  path: string;
  type: string | null;
  body: string | null;
}

export interface Answered {
  status: number;
  ms: number;
  text: string;
  type: string;
  location: string | null;
}

/** What the kitchen has, for requests that are about something. */
export interface Things {
  kitchen: KitchenDoc;
  planned: { id: string; version: number }[];
  on: { id: string; stepIds: string[]; eventIds: string[] }[];
  rehearsals: string[];
  recipes: Recipe[];
  items: string[];
  instruments: string[];
  gatherings: { id: string; version: number }[];
}

/** The batch that nobody is to touch: what it has pinned and said stays as it is. */
const CANARY = 'demo-shelf';

/** A built server with the demo's data, at a clock of its own, in a folder within a folder. */
export class FuzzedKitchen {
  private child: ChildProcess | null = null;
  private readonly outer = mkdtempSync(path.join(tmpdir(), 'big-ladle-fuzz-'));
  readonly backups = path.join(this.outer, 'elsewhere');
  url = '';
  nowMs = Date.UTC(2026, 10, 25, 17, 30);
  private canary = '';

  async start(): Promise<this> {
    const port = await freePort();
    this.url = `http://127.0.0.1:${port}`;
    const child = spawn(process.execPath, [path.join(ROOT, 'server/dist/main.js'), '--demo'], {
      cwd: ROOT,
      env: {
        ...process.env,
        LADLE_PORT: String(port),
        // Said at its start, so that no request opens it.
        LADLE_HOST: '127.0.0.1',
        LADLE_DATA: path.join(this.outer, 'data'),
        LADLE_TEST: '1',
        LADLE_TEST_NOW: String(this.nowMs),
        TZ: 'UTC',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      child.stderr.on('data', (data) => {
        said += String(data);
      });
      child.stdout.on('data', (data) => String(data).includes('http://') && resolve());
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
    });
    this.canary = await this.canaryNow();
    return this;
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (child && child.exitCode === null && child.signalCode === null) {
      const ended = new Promise((resolve) => child.on('exit', resolve));
      child.kill('SIGKILL');
      await ended;
    }
    rmSync(this.outer, { recursive: true, force: true });
  }

  async send({ method, path: to, type, body }: Sent): Promise<Answered> {
    const began = performance.now();
    const answer = await fetch(`${this.url}/api${to}`, {
      method,
      headers: type === null ? {} : { 'Content-Type': type },
      // A picture's bytes stand in the text one by one.
      body: type === 'image/jpeg' && body !== null ? Buffer.from(body, 'latin1') : body,
      redirect: 'manual',
    });
    const text = await answer.text();
    return {
      status: answer.status,
      ms: performance.now() - began,
      text,
      type: answer.headers.get('content-type') ?? '',
      location: answer.headers.get('location'),
    };
  }

  async get<T>(to: string): Promise<T> {
    const answer = await fetch(`${this.url}/api${to}`);
    return (await answer.json()) as T;
  }

  async archive(): Promise<string> {
    return (await fetch(`${this.url}/api/archive`)).text();
  }

  async things(): Promise<Things> {
    const { batches } = await this.get<BatchList>('/batches');
    const rehearsed = await this.get<BatchList>('/batches?rehearsals=1');
    const open = batches.filter((b) => b.batch.id !== CANARY);
    const on = await Promise.all(
      open
        .filter((b) => b.batch.status !== 'planned' && !b.now?.unreadable)
        .slice(0, 6)
        .map(async ({ batch }) => {
          const { batch: whole, events } = await this.get<BatchDoc>(`/batches/${batch.id}`);
          const stepIds = whole.pins!.program.steps.map((s) => s.id);
          return { id: batch.id, stepIds, eventIds: events.map((e) => e.id) };
        }),
    );
    const { items } = await this.get<{ items: ShelfItem[] }>('/items');
    const { recipes } = await this.get<{ recipes: Recipe[] }>('/recipes');
    const { instruments } = await this.get<{ instruments: { id: string }[] }>('/instruments');
    const { gatherings } = await this.get<{ gatherings: Gathering[] }>('/gatherings');
    return {
      kitchen: await this.get<KitchenDoc>('/kitchen'),
      planned: open.filter((b) => b.batch.status === 'planned').map(({ batch }) => batch),
      on,
      rehearsals: rehearsed.batches.map((b) => b.batch.id),
      recipes,
      items: items.map((i) => i.facts.itemId),
      instruments: instruments.map((i) => i.id),
      gatherings,
    };
  }

  private async canaryNow(): Promise<string> {
    const { batch, events } = await this.get<BatchDoc>(`/batches/${CANARY}`);
    const log = events.map((e: LogEvent) => e.id);
    return JSON.stringify({ pins: batch.pins, plan: batch.plan, log });
  }

  /** What has changed that nothing was to change; null: nothing. */
  async canaryFault(): Promise<string | null> {
    const now = JSON.parse(await this.canaryNow()) as { pins: unknown; plan: unknown; log: string[] };
    const before = JSON.parse(this.canary) as typeof now;
    if (JSON.stringify([now.pins, now.plan]) !== JSON.stringify([before.pins, before.plan]))
      return `what the batch ${CANARY} has pinned has changed`;
    if (before.log.some((id, i) => now.log[i] !== id)) return `the log of ${CANARY} has lost entries`;
    const strangers = readdirSync(this.outer).filter((name) => !['data', 'elsewhere'].includes(name));
    return strangers.length > 0 ? `files outside of the data folder: ${strangers.join(', ')}` : null;
  }
}
