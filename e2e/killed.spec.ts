import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { archiveOf } from '../server/src/archive/testArchive.ts';
import { begun, KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';
import { KitchenServer } from './server.ts';

test.use({ ownProcess: true });

/** Fifty in all in the normal tests; LADLE_KILLS=500 for ten times as many. */
const MORE = Math.max(1, Number(process.env.LADLE_KILLS ?? 50) / 50);
const KILLS = {
  writing: Math.round(32 * MORE),
  restore: Math.round(10 * MORE),
  upgrade: Math.round(8 * MORE),
};
/** At least so many of the kills must fall between a request and its answer. */
const IN_FLIGHT_SHARE = 0.4;
const SECONDS = 1000;

/** A small generator with a seed that is printed: the same kills can be made again. */
function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** A device that writes one entry after the other, and sends again what was not acknowledged. */
class Writer {
  readonly acknowledged: string[] = [];
  inFlight = false;
  private on = true;
  private seq = 0;
  constructor(
    private readonly server: KitchenServer,
    readonly name: string,
  ) {}

  stop(): void {
    this.on = false;
  }

  async run(): Promise<void> {
    while (this.on) {
      const id = `${this.name}-${++this.seq}`;
      const event = {
        id,
        stream: { kind: 'batch', id: 'batch' },
        v: 1,
        atMs: this.server.nowMs(),
        deviceId: this.name,
        deviceSeq: this.seq,
        kind: 'noted',
        body: { text: `entry ${this.seq} of ${this.name}` },
      };
      while (!(await this.send(event))) await pause(15);
      this.acknowledged.push(id);
    }
  }

  private async send(event: { id: string }): Promise<boolean> {
    this.inFlight = true;
    try {
      const response = await fetch(`${this.server.url}/api/events`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ events: [event] }),
      });
      const { stored } = (await response.json()) as { stored: unknown[] };
      // Already stored, then killed before it could say so: the second time it says nothing new, and that is an answer.
      return response.ok && Array.isArray(stored);
    } catch {
      return false;
    } finally {
      this.inFlight = false;
    }
  }
}

/** What else is under way when it is killed. */
const JOBS = ['nothing', 'import', 'nothing', 'backup'] as const;

/** An archive of another kitchen's batches, each time under new names. */
class Archives {
  private made = 0;
  readonly sent: { ids: string[]; done: boolean }[] = [];
  constructor(
    private readonly batches: Archived[],
    private readonly events: { receivedMs: number; event: ArchivedEvent }[],
  ) {}

  /** The next one, as lines. */
  next(): { text: string; record: { ids: string[]; done: boolean } } {
    const mark = `import-${this.made++}`;
    const name = (id: string) => `${mark}-${id}`;
    const of = (event: ArchivedEvent) => ({
      ...event,
      id: name(event.id),
      stream: { ...event.stream, id: name(event.stream.id) },
      body: JSON.parse(
        JSON.stringify(event.body).replace(
          /"itemId":"([^"]+)"/g,
          (_, id: string) => `"itemId":"${name(id)}"`,
        ),
      ),
    });
    const record = { ids: this.batches.map((b) => name(b.id)), done: false };
    this.sent.push(record);
    const text = archiveOf({
      batches: this.batches.map((b) => ({ ...b, id: name(b.id) })),
      events: this.events.map((e) => ({ receivedMs: e.receivedMs, event: of(e.event) })),
    });
    return { text, record };
  }

  /** How many entries a batch has, by the end of its name. */
  entriesOf(id: string): number {
    const own = id.replace(/^import-\d+-/, '');
    return this.events.filter((e) => e.event.stream.id === own).length;
  }
}
interface Archived {
  id: string;
  rehearsal?: object;
}
interface ArchivedEvent {
  id: string;
  stream: { kind: string; id: string };
  body: object;
}

/** Waits for an import to come so far. */
async function cameTo(server: KitchenServer, stage: string): Promise<void> {
  const at = async () =>
    (await server.api<{ state: { stage: string } | null }>('GET', '/archive/import')).state?.stage;
  for (let now = await at(); now !== stage; now = await at()) {
    if (now === undefined || now === 'failed') throw new Error(`it is ${now}`);
    await pause(5);
  }
}

/** Sends an archive, and waits until it has been looked over. */
async function uploaded(server: KitchenServer, text: string): Promise<void> {
  await fetch(`${server.url}/api/archive`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body: text,
  });
  await cameTo(server, 'checked');
}

/** Takes an archive in, as far as it comes; notes when its end was acknowledged. */
async function importing(
  server: KitchenServer,
  { text, record }: ReturnType<Archives['next']>,
): Promise<void> {
  await uploaded(server, text);
  await server.api('POST', '/archive/import', { mode: 'merge' });
  await cameTo(server, 'done');
  record.done = true;
}

/** Whether the data file is whole. */
function expectWhole(server: KitchenServer): void {
  const Database = createRequire(import.meta.url)('better-sqlite3') as new (
    file: string,
  ) => { pragma: (text: string) => { integrity_check: string }[]; close: () => void };
  const file = new Database(path.join(server.dataDir, 'big-ladle.sqlite'));
  expect(file.pragma('integrity_check')).toEqual([{ integrity_check: 'ok' }]);
  file.close();
}

function seeded(): () => number {
  const seed = Number(process.env.LADLE_KILL_SEED ?? Date.now() % 1_000_000);
  console.log(`seed of the kills: ${seed} (again with LADLE_KILL_SEED=${seed})`);
  return random(seed);
}

test('killed while two devices write, in an import, in a backup: all that was acknowledged is there, nothing twice', async ({
  server,
}) => {
  test.setTimeout(240 * SECONDS * MORE);
  const next = seeded();
  const other = new KitchenServer(undefined, true);
  await other.start(true);
  const { batches, events } = (await other.archive()) as {
    batches: Archived[];
    events: { receivedMs: number; event: ArchivedEvent }[];
  };
  await other.stop();
  other.dispose();
  const archives = new Archives(batches, events);
  await begun(server, 'boil');
  const writers = ['one', 'two'].map((name) => new Writer(server, name));
  const writing = writers.map((w) => w.run());
  const acknowledged = () => writers.reduce((sum, w) => sum + w.acknowledged.length, 0);
  let betweenRequestAndAnswer = 0;
  for (let kill = 0; kill < KILLS.writing; kill++) {
    const before = acknowledged();
    // Let it do some work first, then strike: half the time at once when a request is under way.
    await expect.poll(acknowledged, { intervals: [5] }).toBeGreaterThan(before);
    const job = JOBS[kill % JOBS.length]!;
    const underWay =
      job === 'import'
        ? importing(server, archives.next())
        : job === 'backup'
          ? server.api('POST', '/backups')
          : Promise.resolve();
    const ended = underWay.catch(() => undefined);
    await pause(next() * (job === 'nothing' ? 60 : 500));
    if (kill % 4 === 0)
      await expect.poll(() => writers.some((w) => w.inFlight), { intervals: [1] }).toBe(true);
    if (writers.some((w) => w.inFlight)) betweenRequestAndAnswer++;
    await server.stop('SIGKILL');
    await server.start();
    await ended;
  }
  for (const writer of writers) writer.stop();
  await Promise.all(writing);
  expect(betweenRequestAndAnswer).toBeGreaterThanOrEqual(KILLS.writing * IN_FLIGHT_SHARE);

  const log = await server.api<{ events: { id: string; deviceId: string }[] }>('GET', '/batches/batch');
  const ids = log.events.map((e) => e.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const writer of writers) {
    const stored = log.events.filter((e) => e.deviceId === writer.name).map((e) => e.id);
    expect(stored).toEqual(writer.acknowledged);
    expect(stored.length).toBeGreaterThan(KILLS.writing / 2);
  }
  // What an import had begun to copy is copied to its end; each batch came whole, or not at all.
  const state = async () =>
    (await server.api<{ state: { stage: string } | null }>('GET', '/archive/import')).state;
  await expect.poll(async () => (await state())?.stage ?? 'done').toBe('done');
  const came = new Map((await server.archive()).batches!.map((b) => [(b as Archived).id, b]));
  for (const { ids: sent, done } of archives.sent) {
    const there = sent.filter((id) => came.has(id));
    expect(there.length === 0 || there.length === sent.length).toBe(true);
    if (done) expect(there).toEqual(sent);
    for (const id of there) {
      const { events: own } = await server.api<{ events: unknown[] }>('GET', `/batches/${id}`);
      expect(own.length).toBe(archives.entriesOf(id));
    }
  }
  await server.stop();
  expectWhole(server);
});

test('killed while a backup is put back, or another kitchen put in its place: it is the one or the other, whole', async ({
  server,
}) => {
  test.setTimeout(90 * SECONDS * MORE);
  const next = seeded();
  const fridgeC = async () =>
    (await server.api<{ kitchen: { fridgeC: number } }>('GET', '/kitchen')).kitchen.fridgeC;
  const setTo = async (value: number) => {
    const { version } = await server.api<{ version: number }>('GET', '/kitchen');
    await server.api('PUT', '/kitchen', { version, kitchen: { ...KITCHEN, fridgeC: value } });
  };
  const another = archiveOf({ kitchen: [{ ...KITCHEN, fridgeC: 11 }] });
  for (let kill = 0; kill < KILLS.restore; kill++) {
    const replaces = kill % 2 === 1;
    await setTo(3);
    const backup = await server.api<{ name: string }>('POST', '/backups');
    await setTo(7);
    if (replaces) await uploaded(server, another);
    let acknowledged = false;
    const asked = (
      replaces
        ? server.api('POST', '/archive/import', { mode: 'replace' })
        : server.api('POST', '/backups/restore', { name: backup.name }).then(() => {
            acknowledged = true;
          })
    ).catch(() => undefined);
    await pause(next() * 700);
    await server.stop('SIGKILL');
    await asked;
    await server.start();
    expect([replaces ? 11 : 3, 7]).toContain(await fridgeC());
    if (acknowledged) expect(await fridgeC()).toBe(3);
  }
  await server.stop();
  expectWhole(server);
});

test('killed while a file of version 0.5.0 is brought up to date: the next start comes up with everything', async () => {
  test.setTimeout(90 * SECONDS * MORE);
  const next = seeded();
  const old = gunzipSync(
    readFileSync(path.join(import.meta.dirname, '../server/src/fixtures/0.5.0/kitchen.sqlite.gz')),
  );
  const counts: number[] = [];
  for (let kill = 0; kill <= KILLS.upgrade; kill++) {
    const server = new KitchenServer(undefined, true);
    writeFileSync(path.join(server.dataDir, 'big-ladle.sqlite'), old);
    // The first is left alone: it says what there is.
    if (kill > 0) await server.startAndKill(150 + next() * 900);
    await server.start();
    const { events, batches } = await server.archive();
    counts.push(events!.length, batches!.length);
    await server.stop();
    expectWhole(server);
    server.dispose();
  }
  expect(new Set(counts.filter((_, i) => i % 2 === 0)).size).toBe(1);
  expect(new Set(counts.filter((_, i) => i % 2 === 1)).size).toBe(1);
});
