import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import Database from 'better-sqlite3';
import { afterEach, describe, expect, it } from 'vitest';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

/** What a kitchen of version 0.5.0 left behind: its data file and its archive, with running batches and full bottles. */
const fixture = (name: string): Buffer =>
  gunzipSync(readFileSync(path.join(import.meta.dirname, 'fixtures/0.5.0', name)));

/** What a bottle was given when it was filled. */
interface Facts {
  itemId: string;
  longer: object[];
  bottle?: { filledMs: number; clockStartMs: number; filledC: number; keeping: object };
}
const given = ({ itemId, longer, bottle }: Facts) => ({
  itemId,
  longer,
  filledMs: bottle?.filledMs,
  clockStartMs: bottle?.clockStartMs,
  filledC: bottle?.filledC,
  keeping: bottle?.keeping,
});
const byId = (a: { itemId: string }, b: { itemId: string }) => a.itemId.localeCompare(b.itemId);

let server: TestServer;
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

/** The bottles as the shelf shows them. */
const bottles = async (): Promise<Facts[]> =>
  ((await server.api('GET', '/items')).body.items as { facts: Facts }[])
    .map((i) => i.facts)
    .filter((f) => f.bottle);

describe('a data file of version 0.5.0', () => {
  const open = async () => {
    server = new TestServer();
    const file = path.join(server.dir, 'big-ladle.sqlite');
    mkdirSync(server.dir, { recursive: true });
    writeFileSync(file, fixture('kitchen.sqlite.gz'));
    const old = new Database(file, { readonly: true });
    const facts = (old.prepare('select facts from item_now where gone = 0').all() as { facts: string }[]).map(
      (row) => JSON.parse(row.facts) as Facts,
    );
    old.close();
    await server.open();
    return facts.filter((f) => f.bottle);
  };

  it('opens, and every bottle keeps the class, the reasons and the life it was given', async () => {
    const before = await open();
    expect(before.length).toBeGreaterThan(10);
    await rebuildAll(server.db);
    expect((await bottles()).map(given).sort(byId)).toEqual(before.map(given).sort(byId));
  });
  it('pins the rows of that version for every batch that was begun', async () => {
    await open();
    const batches = (await server.db('batch').whereNotNull('pins').select('id', 'pins')) as {
      id: string;
      pins: string;
    }[];
    expect(batches.length).toBeGreaterThan(1);
    for (const { pins } of batches) {
      const { program, rows } = JSON.parse(pins) as {
        program: { lines: { itemId: string }[] };
        rows: Record<'ingredients' | 'liquids' | 'sweeteners', { id: string }[]>;
      };
      const pinned = new Set([...rows.ingredients, ...rows.liquids, ...rows.sweeteners].map((r) => r.id));
      expect(program.lines.map((l) => l.itemId).filter((id) => !pinned.has(id))).toEqual([]);
    }
  });
  it('folds: every batch can be looked at', async () => {
    await open();
    const all = (await server.db('batch').select('id')) as { id: string }[];
    for (const { id } of all) expect((await server.api('GET', `/batches/${id}`)).status, id).toBe(200);
  });
});

describe('an archive of version 0.5.0', () => {
  it('is taken in, and its bottles stand on the shelf', async () => {
    server = await new TestServer().open();
    const archive = JSON.parse(fixture('archive.json.gz').toString('utf8')) as object;
    expect(await server.takeIn(archive)).toMatchObject({ stage: 'done', problem: null });
    const there = await bottles();
    expect(there.length).toBeGreaterThan(10);
    await rebuildAll(server.db);
    expect((await bottles()).map(given).sort(byId)).toEqual(there.map(given).sort(byId));
  });
});

describe('what a page of version 0.5.0 still has to send', () => {
  it('lands whole, each entry once, with an answer that such a page reads', async () => {
    server = await new TestServer().open();
    await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await server.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    // As that page wrote them: readings without a word of the calibration, begun without a word of a risk.
    const say = eventWriter('old', 'old-page');
    const event = (minutesAgo: number, kind: string, body: object) =>
      say({ kind: 'batch', id: 'b1' }, kind, body, NOW - minutesAgo * 60_000);
    const started = await server.api('POST', '/batches/b1/start', {
      version: 1,
      events: [event(9, 'stepStarted', { stepId: 'pick' })],
    });
    expect(started.status).toBe(200);
    const waiting = [
      event(8, 'stepEnded', { stepId: 'pick' }),
      event(7, 'noted', { text: 'calyces of last year' }),
      event(6, 'skipped', { stepId: 'wash' }),
    ];
    const first = await server.api('POST', '/events', { events: waiting });
    expect(first.status).toBe(200);
    expect(first.body.stored.map((e: { id: string }) => e.id)).toEqual(waiting.map((e) => e.id));
    const again = await server.api('POST', '/events', { events: waiting });
    expect(again.status).toBe(200);
    const stored = (await server.db('event').where({ device_id: 'old-page' }).select('id')) as object[];
    expect(stored).toHaveLength(4);
  });
});
