import { createRequire } from 'node:module';
import path from 'node:path';
import { begun, expect, type KitchenServer, test } from './kitchenServer.ts';

const KILLS = 50;
/** At least so many of the kills must fall between a request and its answer. */
const IN_FLIGHT_KILLS = 20;

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

test('killed fifty times while two devices write: all that was acknowledged is there, nothing twice', async ({
  server,
}) => {
  test.setTimeout(240_000);
  const seed = Number(process.env.LADLE_KILL_SEED ?? Date.now() % 1_000_000);
  console.log(`seed of the kills: ${seed} (again with LADLE_KILL_SEED=${seed})`);
  const next = random(seed);
  await begun(server, 'boil');
  const writers = ['one', 'two'].map((name) => new Writer(server, name));
  const writing = writers.map((w) => w.run());
  let betweenRequestAndAnswer = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    const before = writers.reduce((sum, w) => sum + w.acknowledged.length, 0);
    // Let it do some work first, then strike: half the time at once when a request is under way.
    await expect
      .poll(() => writers.reduce((sum, w) => sum + w.acknowledged.length, 0), { intervals: [5] })
      .toBeGreaterThan(before);
    await pause(next() * 60);
    if (kill % 2 === 0)
      await expect.poll(() => writers.some((w) => w.inFlight), { intervals: [1] }).toBe(true);
    if (writers.some((w) => w.inFlight)) betweenRequestAndAnswer++;
    await server.stop('SIGKILL');
    await server.start();
  }
  for (const writer of writers) writer.stop();
  await Promise.all(writing);
  expect(betweenRequestAndAnswer).toBeGreaterThanOrEqual(IN_FLIGHT_KILLS);

  const { events } = await server.api<{ events: { id: string; deviceSeq: number; deviceId: string }[] }>(
    'GET',
    '/batches/batch',
  );
  const ids = events.map((e) => e.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const writer of writers) {
    const stored = events.filter((e) => e.deviceId === writer.name).map((e) => e.id);
    expect(stored).toEqual(writer.acknowledged);
    expect(stored.length).toBeGreaterThan(KILLS / 2);
  }
  await server.stop();
  const Database = createRequire(import.meta.url)('better-sqlite3') as new (
    file: string,
  ) => { pragma: (text: string) => { integrity_check: string }[]; close: () => void };
  const file = new Database(path.join(server.dataDir, 'big-ladle.sqlite'));
  expect(file.pragma('integrity_check')).toEqual([{ integrity_check: 'ok' }]);
  file.close();
});
