import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { EMPTY_KITCHEN, type Kitchen, type MethodId, type PlanDoc } from '@big-ladle/core/documents';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test';
import { archiveOf, sectionsOf } from '../server/src/archive/testArchive.ts';

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
const copied = new Map<string, KitchenServer>();

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
  /** The kitchen's clock against the machine's: it goes on over a restart. */
  private shiftMs: number;
  readonly dataDir = mkdtempSync(path.join(tmpdir(), 'big-ladle-e2e-'));
  port = 0;

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Further surroundings of the server. */
  env: Record<string, string> = {};
  /** No file of it may grow beyond so many kilobytes: a disk that is full; null: as large as it likes. */
  fileLimitKb: number | null = null;

  /** @param atMs the moment at which its clock begins to run. */
  constructor(atMs = EVENING_MS) {
    this.shiftMs = atMs - Date.now();
  }

  async start(demo = false): Promise<void> {
    this.port ||= await freePort();
    const program = [process.execPath, path.join(ROOT, 'server/dist/main.js'), ...(demo ? ['--demo'] : [])];
    const limit =
      this.fileLimitKb === null ? [] : ['prlimit', `--fsize=${this.fileLimitKb * 1024}:unlimited`];
    const [command, ...args] = [...limit, ...program];
    const child = spawn(command!, args, {
      cwd: ROOT,
      env: {
        ...process.env,
        LADLE_PORT: String(this.port),
        LADLE_DATA: this.dataDir,
        LADLE_TEST: '1',
        LADLE_TEST_NOW: String(this.nowMs()),
        TZ: 'UTC',
        ...this.env,
      },
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
    const { child } = this;
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
    await this.api('POST', '/test/clock', { nowMs: atMs, stopped });
  }

  /** Lets so many minutes go by on the kitchen's clock. */
  async pass(minutes: number): Promise<void> {
    await this.setClock(this.nowMs() + minutes * 60_000);
  }
}

export const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [
    { id: 'pot', name: 'Blue pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
    {
      id: 'small',
      name: 'Small pot',
      diameterCm: 20,
      heightCm: 16,
      material: 'stainless',
      lid: true,
      massG: null,
    },
  ],
  burners: [{ id: 'ring', name: 'Gas ring', kind: 'gas', powerW: 3000 }],
  bottles: [{ id: 'b750', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 14 }],
};

export function planFor(litres: number, methodId: MethodId = 'straightBoil', recipe = BOOK[0]!): PlanDoc {
  return {
    recipeId: recipe.id,
    choices: defaultChoices(recipe, methodId),
    potId: 'pot',
    burnerId: 'ring',
    question: { kind: 'litres', litres },
    fills: 1,
    readyAtMs: null,
  };
}

interface PinnedStep {
  id: string;
  kind: string;
  until: { minutes?: number };
}

/** Puts a kitchen in, keeps a plan and begins it so long ago that the step of kind `until` begins now. */
export async function begun(
  server: KitchenServer,
  until: string,
  methodId: MethodId = 'straightBoil',
  recipe = BOOK[0]!,
  choices: Partial<PlanDoc['choices']> = {},
  kitchen: Kitchen = KITCHEN,
  tables: Tables = SHIPPED_TABLES,
): Promise<void> {
  const { version } = await server.api<{ version: number }>('GET', '/kitchen');
  await server.api('PUT', '/kitchen', { version, kitchen });
  const usual = planFor(9, methodId, recipe);
  const plan = { ...usual, choices: { ...usual.choices, ...choices } };
  await server.api('POST', '/batches', { id: 'batch', plan });
  const { program } = unwrap(solvePlanDoc(plan, [...BOOK, recipe], kitchen, tables));
  let seq = 0;
  const event = (kind: string, body: object, atMs: number) => ({
    id: `setup-${++seq}`,
    stream: { kind: 'batch', id: 'batch' },
    v: 1,
    atMs,
    deviceId: 'setup',
    deviceSeq: seq,
    kind,
    body,
  });
  const nowMs = server.nowMs();
  // Heating and cooling have no planned minutes: fifty each.
  const lengthMs = (step: PinnedStep) => (step.until.minutes ?? 50) * 60_000;
  const first = event('stepStarted', { stepId: program.steps[0]!.id }, nowMs - 24 * 3_600_000);
  const batch = await server.api<{ pins: { program: { steps: PinnedStep[] } } }>(
    'POST',
    '/batches/batch/start',
    { version: 1, events: [first] },
  );
  const { steps } = batch.pins.program;
  const done = steps.slice(
    0,
    steps.findIndex((s) => s.kind === until),
  );
  let atMs = nowMs - done.reduce((sum, s) => sum + lengthMs(s), 0);
  const events = [event('retimed', { target: first.id, toMs: atMs }, nowMs)];
  for (const step of done) {
    atMs += lengthMs(step);
    events.push(event('stepEnded', { stepId: step.id }, atMs));
  }
  await server.api('POST', '/events', { events });
}

/** Ends the steps of a batch from one on up to the bottling, a second each. */
export async function toTheBottles(
  server: KitchenServer,
  isFirst: (kind: string) => boolean,
  id = 'batch',
): Promise<void> {
  const { batch } = await server.api<{
    batch: { pins: { program: { steps: { id: string; kind: string }[] } } };
  }>('GET', `/batches/${id}`);
  const { steps } = batch.pins.program;
  const from = steps.findIndex((s) => isFirst(s.kind));
  await endSteps(
    server,
    steps.slice(
      from,
      steps.findIndex((s) => s.kind === 'bottle'),
    ),
    id,
  );
}

/** Another device ends some steps, a second each. */
export async function endSteps(
  server: KitchenServer,
  steps: readonly { id: string }[],
  batchId = 'batch',
): Promise<void> {
  await server.api('POST', '/events', {
    events: steps.map(({ id }, i) => ({
      id: `end-${id}`,
      stream: { kind: 'batch', id: batchId },
      v: 1,
      atMs: server.nowMs() - (steps.length - i) * 1000,
      deviceId: 'other',
      deviceSeq: i + 1,
      kind: 'stepEnded',
      body: { stepId: id },
    })),
  });
}

/** In a page: the device's clock agrees with the kitchen's, whatever the machine's says. */
function shiftClock(shiftMs: number): void {
  const Machine = Date;
  class Shifted extends Machine {
    constructor(...parts: unknown[]) {
      if (parts.length === 0) super(Machine.now() + shiftMs);
      else super(...(parts as [number]));
    }
    static override now(): number {
      return Machine.now() + shiftMs;
    }
  }
  globalThis.Date = Shifted as DateConstructor;
}

/** Gives all pages of a browser context the kitchen's clock, before they are opened. */
export const atTheClock = (context: BrowserContext, server: KitchenServer): Promise<unknown> =>
  context.addInitScript(shiftClock, server.nowMs() - Date.now());

interface Fixtures {
  server: KitchenServer;
  /** Starts with the demo's data. */
  demo: boolean;
  /** When the test begins. */
  atMs: number;
}

interface WorkerFixtures {
  /** Takes away the folders that were copied from. */
  tidy: undefined;
  /** The demo's kitchen in one window for all tests of a worker that only look at it. */
  onlyLooked: { server: KitchenServer; page: Page };
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  demo: [false, { option: true }],
  atMs: [EVENING_MS, { option: true }],
  server: async ({ demo, atMs }, use) => {
    const server = new KitchenServer(atMs);
    await server.startFresh(demo, atMs);
    await use(server);
    await server.stop();
    server.dispose();
  },
  tidy: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from this pattern.
    async ({}, use) => {
      await use(undefined);
      for (const server of copied.values()) server.dispose();
    },
    { scope: 'worker', auto: true },
  ],
  context: async ({ context, server }, use) => {
    await atTheClock(context, server);
    await use(context);
  },
  page: async ({ page }, use) => {
    const complaints = complaintsOf(page);
    await use(page);
    expect(complaints).toEqual([]);
  },
  onlyLooked: [
    async ({ browser }, use, { project }) => {
      const server = new KitchenServer(EVENING_MS);
      await server.startFresh(true, EVENING_MS);
      const { viewport, locale, timezoneId, serviceWorkers } = project.use;
      const context = await browser.newContext({ viewport, locale, timezoneId, serviceWorkers });
      await atTheClock(context, server);
      const page = await context.newPage();
      const complaints = complaintsOf(page);
      await use({ server, page });
      expect(complaints).toEqual([]);
      await context.close();
      await server.stop();
      server.dispose();
    },
    { scope: 'worker' },
  ],
});

/** A page that complains is a page that is wrong: what it has said so far. */
function complaintsOf(page: Page): string[] {
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && /content security|refused to/i.test(message.text()))
      complaints.push(message.text());
  });
  return complaints;
}

export { expect };

/** A figure read off the page: "9.0" of "9.0 L". */
export async function figure(page: Page, testId: string): Promise<number> {
  const text = (await page.getByTestId(testId).first().innerText()).replace(/\s/g, ' ');
  return Number(/-?[\d.]+/.exec(text.replace(/,/g, ''))?.[0]);
}

/** Opens a tool of the stove, wherever it stands: the rarer ones are behind "More …". */
export async function openTool(page: Page, name: string): Promise<void> {
  const tool = page.getByRole('button', { name, exact: true });
  await expect(page.getByRole('button', { name: /^(More …|Less)$/ })).toBeVisible();
  if (!(await tool.isVisible())) await page.getByRole('button', { name: 'More …' }).click();
  await tool.click();
}

/** How many bottles the shelf shows, equal ones counted. */
export const shownBottles = (page: Page): Promise<number> =>
  page
    .getByTestId('bottle')
    .evaluateAll((cards) => cards.reduce((sum, card) => sum + Number(card.getAttribute('data-count')), 0));

/** Opens what is folded away, where it is not open already. */
export async function unfold(page: Page, testId: string): Promise<void> {
  const fold = page.getByTestId(testId);
  await expect(fold).toBeVisible();
  if ((await fold.getAttribute('open')) === null) await fold.locator('> summary').click();
}
