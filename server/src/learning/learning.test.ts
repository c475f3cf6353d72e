import type { Kitchen } from '@big-ladle/core/documents';
import { type LearningDoc, type LogbookRow, USUAL_LEARNING, type YearDoc } from '@big-ladle/core/learn';
import type { LogEvent } from '@big-ladle/core/log';
import { finishedL, simulateBatch } from '@big-ladle/core/program';
import type { BottleItem } from '@big-ladle/core/shelf';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cookThrough } from '../../../core/src/instruments/cook.fixtures.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from '../testServer.ts';

const WEEK_MS = 7 * 24 * 3_600_000;
/** A ring that gives three quarters of what its label says. */
const HIDDEN = { power: 0.75 };
const KITCHEN: Kitchen = {
  ...ONE_POT,
  bottles: [
    { id: 'tall', name: 'Tall', volumeMl: 750, diameterCm: 8, material: 'glass', count: 20 },
    { id: 'half', name: 'Half', volumeMl: 500, diameterCm: 7, material: 'glass', count: 20 },
  ],
};

const server = new TestServer();
const learning = async (): Promise<LearningDoc> => (await server.api('GET', '/learning')).body;
const learnt = async (): Promise<Kitchen['learnt']> =>
  (await server.api('GET', '/kitchen')).body.kitchen.learnt;
const ring = async (): Promise<number | undefined> => (await learnt())?.factors['power:ring'];
const settled = async (choices: Partial<LearningDoc['choices']>) => {
  const { version, choices: before } = await learning();
  return server.api('PUT', '/learning', { version, choices: { ...before, ...choices } });
};

const say = eventWriter('said');

/** Plans a batch and begins it; @returns what was pinned to it. */
async function begin(id: string, atMs = NOW - 1000) {
  await server.api('POST', '/batches', { id, plan: CALYX_PLAN });
  const first = say({ kind: 'batch', id }, 'stepStarted', { stepId: 'pick' }, atMs);
  return (await server.api('POST', `/batches/${id}/start`, { version: 1, events: [first] })).body.pins;
}

/** Cooks a batch to its end in the kitchen as it really is. */
async function cook(id: string, startMs: number): Promise<readonly LogEvent[]> {
  const pins = await begin(id, startMs);
  const [, ...events] = cookThrough(pins.program, pins.kitchen, HIDDEN, startMs).events;
  const own = events.map((e) => ({ ...e, stream: { kind: 'batch', id } }) as LogEvent);
  expect((await server.api('POST', '/events', { events: own })).status).toBe(200);
  return own;
}

beforeAll(async () => {
  await server.open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
});
afterAll(() => server.dispose());

describe('what a kitchen has learnt of itself', () => {
  const logs: (readonly LogEvent[])[] = [];

  it('is nothing before a batch was made', async () => {
    await server.learning.settle();
    expect(await learning()).toMatchObject({ version: 0, choices: USUAL_LEARNING, waiting: 0, batches: [] });
    expect(await learnt()).toBeUndefined();
  });

  it('is read of three batches, and the kitchen that is planned with has it', async () => {
    for (const i of [1, 2, 3]) logs.push(await cook(`b${i}`, NOW - (5 - i) * WEEK_MS));
    expect((await learning()).waiting).toBe(3);
    await server.learning.settle();
    const doc = await learning();
    expect(doc.waiting).toBe(0);
    expect(doc.batches.map((b) => b.id)).toEqual(['b3', 'b2', 'b1']);
    expect(doc.versions).toMatchObject([{ version: 1, by: 'batches', batches: 3 }]);
    expect(doc.told.beliefs.find((b) => b.id === 'power:ring')!.course).toHaveLength(3);
    expect(Math.abs((await ring())! - 0.75)).toBeLessThan(0.04);
    expect((await learnt())!.version).toBe(1);
    // Looked at again, nothing is new.
    await server.learning.settle();
    expect((await learning()).version).toBe(1);
  });

  it('is the server’s own: what a window sends with its kitchen is not kept', async () => {
    const { version, kitchen } = (await server.api('GET', '/kitchen')).body;
    const sent = { ...kitchen, learnt: { version: 9, factors: { 'power:ring': 4 }, spreads: {} } };
    const answer = await server.api('PUT', '/kitchen', { version, kitchen: sent });
    expect(answer.status).toBe(200);
    expect(answer.body.kitchen.learnt.version).toBe(1);
    expect(await ring()).toBeLessThan(0.8);
  });

  it('is held where the cook holds it, for what is begun from then on', async () => {
    const before = await begin('before');
    expect((await settled({ held: [{ id: 'power:ring', factor: 1 }] })).status).toBe(200);
    expect(await ring()).toBe(1);
    const after = await begin('after');
    expect(after.kitchen.learnt.version).toBe(2);
    expect(after.kitchen.learnt.factors['power:ring']).toBe(1);
    const kept = (await server.api('GET', '/batches/before')).body.batch.pins;
    expect(kept.kitchen.learnt).toEqual(before.kitchen.learnt);
    expect(kept.kitchen.learnt.factors['power:ring']).toBeLessThan(0.8);
    // Taken back, it is as it was.
    const { choicesBefore } = await learning();
    await settled(choicesBefore!);
    expect(Math.abs((await ring())! - 0.75)).toBeLessThan(0.04);
  });

  it('does not count a batch that is forgotten, or any that was made before it was begun anew', async () => {
    const all = await learnt();
    const { body } = await settled({ forgotten: ['b1'] });
    expect(body.told.beliefs.find((b: { id: string }) => b.id === 'power:ring').batchIds).toEqual([
      'b2',
      'b3',
    ]);
    expect(body.versions[0]).toMatchObject({ by: 'choices', batches: 2 });
    await settled({ forgotten: [], sinceMs: NOW });
    expect(await learnt()).toBeUndefined();
    await settled({ sinceMs: null });
    expect((await learnt())!.factors).toEqual(all!.factors);
  });

  it('is not settled over what another window has settled, nor of what nothing is', async () => {
    const { version, choices } = await learning();
    const stale = await server.api('PUT', '/learning', {
      version: version - 1,
      choices: { ...choices, practice: true },
    });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ stored: choices });
    const odd = await settled({ held: [{ id: 'moon', factor: 1 }] });
    expect(odd.status).toBe(422);
    expect(odd.body.fields).toMatchObject([{ message: 'unknown' }]);
    const wild = await settled({ held: [{ id: 'power:ring', factor: 900 }] });
    expect(wild.status).toBe(422);
    expect((await learning()).version).toBe(version);
  });

  it('loses what is taken back in the log of a batch that is over', async () => {
    const last = logs[2]!.at(-1)!;
    const stream = { kind: 'batch', id: 'b3' };
    const undone = say(stream, 'undone', { target: last.id }, NOW - 1000);
    expect((await server.api('POST', '/events', { events: [undone] })).status).toBe(200);
    await server.learning.settle();
    expect((await learning()).batches.map((b) => b.id)).toEqual(['b2', 'b1']);
  });

  it('goes with an archive: what was settled, and what is believed from the batches', async () => {
    await settled({ held: [{ id: 'heatLoss:stove', factor: 1.1 }] });
    const here = await learnt();
    const archive = await server.archive();
    const other = await new TestServer().open();
    try {
      expect(await other.takeIn(archive)).toMatchObject({ stage: 'done' });
      await other.learning.settle();
      const doc: LearningDoc = (await other.api('GET', '/learning')).body;
      expect(doc.choices.held).toEqual([{ id: 'heatLoss:stove', factor: 1.1 }]);
      expect(doc.batches.map((b) => b.id)).toEqual(['b2', 'b1']);
      expect(doc.told.beliefs.length).toBeGreaterThan(0);
      expect((await other.api('GET', '/kitchen')).body.kitchen.learnt).toEqual(here);
      // The kitchen itself is written without it.
      expect(archive).not.toMatch(/"section":"kitchen"[^\n]*\n[^\n]*"learnt"/);
    } finally {
      await other.dispose();
    }
  });
});

describe('a year looked back at', () => {
  it('has what was made, what it cost by today’s prices, and what was thrown out', async () => {
    const bottle = (await server.api('GET', '/items')).body.items.find(
      (i: { facts: { batchId: string } }) => i.facts.batchId === 'b2',
    );
    const stream = { kind: 'item', id: bottle.facts.itemId };
    const opened = say(stream, 'opened', {}, NOW - 2000);
    const poured = say(stream, 'discarded', { why: 'flat' }, NOW - 1000);
    await server.api('POST', '/events', { events: [opened, poured] });
    const { year, years, of } = (await server.api('GET', '/year')).body as YearDoc;
    expect(years).toContain(year);
    // The last of them was taken back, so it is not over.
    expect(of).toMatchObject({ batches: 2, uncounted: 0 });
    const litres = bottle.facts.bottle.volumeMl / 1000;
    expect(of.thrownOutL).toBeCloseTo(litres, 6);
    expect(of.avoidable).toMatchObject([{ by: 'smallerBottles', litres }]);
    // Nothing has a price yet; with one for hibiscus, by the packs that were bought, it costs something.
    expect(of.money).toBe(0);
    const stock = { inHouseG: 0, packG: 250, price: 5 };
    await server.api('PUT', '/stock/hibiscus-dried', stock);
    const priced = (await server.api('GET', `/year?of=${year}`)).body as YearDoc;
    const { pins } = (await server.api('GET', '/batches/b2')).body.batch;
    const grams = pins.program.lines.find((l: { itemId: string }) => l.itemId === 'hibiscus-dried').massG;
    expect(priced.of.money).toBeCloseTo((2 * 5 * grams) / 250, 1);
    expect((await server.api('GET', '/year?of=1999')).body.of.batches).toBe(0);
    expect((await server.api('GET', '/year?of=soon')).status).toBe(422);
  });
});

describe('the logbook', () => {
  const rows = async (): Promise<LogbookRow[]> => (await server.api('GET', '/logbook')).body.rows;
  const bottlesOf = async (batchId: string): Promise<BottleItem[]> =>
    (await server.api('GET', '/items')).body.items
      .map((i: { facts: BottleItem }) => i.facts)
      .filter((b: BottleItem) => b.batchId === batchId);
  const tell = (...events: ReturnType<typeof say>[]) => server.api('POST', '/events', { events });
  const of = ({ itemId }: BottleItem) => ({ kind: 'item' as const, id: itemId });

  it('has a line for each batch that is over: what was wished, expected and made, and what it cost', async () => {
    const all = await rows();
    expect(all.map((r) => r.batchId)).toEqual(['b2', 'b1']);
    const { pins } = (await server.api('GET', '/batches/b2')).body.batch;
    const expected = simulateBatch(pins.program, pins.kitchen, SHIPPED_TABLES);
    const asked = CALYX_PLAN.question as { litres: number };
    expect(all[0]).toMatchObject({ recipeId: CALYX_PLAN.recipeId, wishedL: asked.litres, stopped: false });
    expect(all[0]!.expectedL).toBeCloseTo(finishedL(expected), 6);
    // A weak ring takes longer to the boil, and that is all that was otherwise.
    expect(all[0]!.madeL! / all[0]!.expectedL!).toBeGreaterThan(0.9);
    expect(all[0]!.minutes).toBeGreaterThan(expected.endMin);
    expect(all[0]!.sweetPct).toBeGreaterThan(5);
    expect(all[0]!.cost).toBeGreaterThan(0);
  });

  it('says where it went, what is frozen, and how long it lasted once the last of it is gone', async () => {
    const bottles = await bottlesOf('b1');
    const allL = bottles.reduce((sum, b) => sum + b.bottle.volumeMl, 0) / 1000;
    const [first, second, ...rest] = bottles;
    const oneL = first!.bottle.volumeMl / 1000;
    await tell(
      say(of(first!), 'moved', { place: 'freezer' }, NOW - 9000),
      say(of(second!), 'opened', {}, NOW - 8000),
      say(of(second!), 'poured', { volumeMl: 200 }, NOW - 7000),
    );
    const some = (await rows())[1]!;
    expect(some.went).toMatchObject({ givenL: 0, thrownOutL: 0 });
    expect(some.went!.frozenL).toBeCloseTo(oneL, 6);
    expect(some.went!.drunkL).toBeCloseTo(0.2, 6);
    expect(some.went!.thereL).toBeCloseTo(allL - oneL - 0.2, 6);
    expect(some.lastedDays).toBeNull();
    await tell(
      say(of(first!), 'gaveAway', { to: 'the neighbour' }, NOW - 6000),
      say(of(second!), 'finished', {}, NOW - 5000),
      ...rest.map((b) => say(of(b), 'discarded', { why: 'flat' }, NOW - 4000)),
    );
    const gone = (await rows())[1]!;
    expect(gone.went!.givenL).toBeCloseTo(oneL, 6);
    expect(gone.went!.drunkL).toBeCloseTo(second!.bottle.volumeMl / 1000, 6);
    expect(gone.went!).toMatchObject({ frozenL: 0, thereL: 0 });
    const filledMs = Math.min(...bottles.map((b) => b.bottle.filledMs));
    expect(gone.lastedDays).toBeCloseTo((NOW - 4000 - filledMs) / 86_400_000, 6);
  });
});

describe('a batch that cannot be read', () => {
  it('is told of, tells nothing, and keeps no other from being read', async () => {
    await cook('b4', NOW - WEEK_MS / 2);
    await cook('b5', NOW - WEEK_MS / 3);
    await server.db('batch').where({ id: 'b5' }).update({ pins: '{' });
    const before = server.reports.length;
    await server.learning.settle();
    expect(server.reports.length).toBe(before + 1);
    const doc = await learning();
    expect(doc.waiting).toBe(0);
    expect(doc.batches.find((b) => b.id === 'b4')!.readings).toBeGreaterThan(0);
    expect(doc.batches.find((b) => b.id === 'b5')!.readings).toBe(0);
  });
});
