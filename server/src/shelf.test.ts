import { DAY_MS } from '@big-ladle/core/units';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { seedHistory } from './demo/history.ts';
import { InstrumentWatch } from './instruments/watch.ts';
import { storeReadings } from './services/instruments.ts';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

const HOUR = 3_600_000;
const BOTTLED = NOW - 2 * DAY_MS;

let server: TestServer;
const event = eventWriter('shelf');
const ofBatch = (kind: string, body: object, atMs: number) =>
  event({ kind: 'batch', id: 'b1' }, kind, body, atMs);
const ofItem = (id: string, kind: string, body: object, atMs: number) =>
  event({ kind: 'item', id }, kind, body, atMs);
const send = (...events: object[]) => server.api('POST', '/events', { events });
const items = async () => (await server.api('GET', '/items')).body;
const filled = (n: number, more: object = {}) =>
  Array.from({ length: n }, (_, i) => ({
    itemId: `i${i}`,
    sizeId: 's',
    name: 'Tall',
    sizeMl: 750,
    volumeMl: 720,
    diameterCm: 8,
    ...more,
  }));

interface MadeStep {
  id: string;
  kind: string;
}

/** A batch that was bottled two days ago, with what else happened before the end of a step. */
async function bottled(
  bottles: object[] = filled(3),
  during: (step: MadeStep, endMs: number) => object[] = () => [],
): Promise<void> {
  await server.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
  const started = await server.api('POST', '/batches/b1/start', {
    version: 1,
    events: [ofBatch('stepStarted', { stepId: 'pick' }, BOTTLED - 6 * HOUR)],
  });
  const steps = started.body.pins.program.steps as MadeStep[];
  const at = (i: number) => BOTTLED - 5 * HOUR + (i * 5 * HOUR) / steps.length;
  const answer = await send(
    ...steps.flatMap((s, i) => [
      ...during(s, at(i + 1)),
      ...(s.kind === 'bottle'
        ? [ofBatch('bottled', { stepId: s.id, hygiene: 'sterilised', bottles }, at(i + 1) - 1)]
        : []),
      ofBatch('stepEnded', { stepId: s.id }, at(i + 1)),
    ]),
  );
  expect(answer.status).toBe(200);
}

beforeEach(async () => {
  server = await new TestServer().open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
});
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

describe('what stands on the shelf', () => {
  it('carries its log, its container, what is in it and what would have kept it longer', async () => {
    await bottled(
      filled(2, {
        material: 'plastic',
        form: 'jar',
        closure: 'swingTop',
        placeId: 'door',
        forWhom: 'No. 14',
      }),
    );
    const { items: there, leftovers } = await items();
    expect(leftovers).toEqual([]);
    expect(there).toHaveLength(2);
    expect(there[0]).toMatchObject({
      facts: {
        material: 'plastic',
        form: 'jar',
        closure: 'swingTop',
        forWhom: 'No. 14',
        itemIds: expect.arrayContaining(['hibiscus-dried', 'ginger-bruised']),
        longer: [],
      },
      log: { openedMs: null, pouredMl: 0, places: [{ place: 'door' }] },
    });
  });
  it('opened, poured, moved, frozen, thawed, looked at, given away: each in its log, in order', async () => {
    await bottled();
    await send(
      ofItem('i0', 'opened', {}, BOTTLED + HOUR),
      ofItem('i0', 'poured', { volumeMl: 250 }, BOTTLED + HOUR),
      ofItem('i0', 'moved', { place: 'freezer' }, BOTTLED + 2 * HOUR),
      ofItem('i0', 'moved', { place: 'fridge' }, BOTTLED + 30 * HOUR),
      ofItem('i0', 'looked', { signs: ['settled'] }, BOTTLED + 31 * HOUR),
      ofItem('i0', 'vented', {}, BOTTLED + 32 * HOUR),
    );
    const { log } = (await server.api('GET', '/items/i0')).body;
    expect(log).toMatchObject({ openedMs: BOTTLED + HOUR, pouredMl: 250, ventedMs: BOTTLED + 32 * HOUR });
    expect(log.places.map((p: { place: string }) => p.place)).toEqual(['fridge', 'freezer', 'fridge']);
    await send(ofItem('i1', 'gaveAway', { to: 'No. 9' }, BOTTLED + HOUR));
    expect((await items()).items).toHaveLength(2);
    const gone = (await server.api('GET', '/items/gone')).body;
    expect(gone.items).toHaveLength(1);
    expect(gone.items[0]).toMatchObject({ facts: { itemId: 'i1' }, goneMs: BOTTLED + HOUR });
    // A printed code still leads to it.
    expect((await server.api('GET', '/items/i1')).body).toMatchObject({
      kind: 'bottle',
      log: { given: { to: 'No. 9' } },
    });
    expect((await server.api('GET', '/items/nothing')).status).toBe(404);
  });
  it('refuses a place that this kitchen does not have, and says which', async () => {
    await bottled();
    const refused = await send(ofItem('i0', 'moved', { place: 'attic' }, NOW));
    expect(refused.status).toBe(422);
    expect(refused.body.params.id).toBe('attic');
    expect((await send(ofItem('i0', 'looked', { signs: ['taste'] }, NOW))).status).toBe(422);
    expect((await items()).items[0].log.places).toHaveLength(1);
  });
  it('rebuilt from the logs it is the same', async () => {
    await bottled();
    await send(
      ofItem('i0', 'opened', {}, BOTTLED + HOUR),
      ofItem('i1', 'discarded', { why: 'fizz' }, BOTTLED + HOUR),
    );
    const read = () => server.db('item_now').orderBy('item_id');
    const before = await read();
    await rebuildAll(server.db);
    expect(await read()).toEqual(before);
  });
});

describe('a live drink', () => {
  it('is marked, keeps five days at most, and says that it makes gas', async () => {
    const starter = { lineKind: 'liquid', itemId: 'live-starter', lineId: 'starter', massG: 200 };
    await bottled(filled(2), (step, endMs) =>
      step.kind === 'sweeten'
        ? [ofBatch('added', { stepId: step.id, vesselId: 'tub', ...starter }, endMs - 2)]
        : [],
    );
    const [first] = (await items()).items;
    expect(first.facts.tags).toEqual(expect.arrayContaining(['live']));
    expect(first.facts.bottle.keeping).toMatchObject({ live: true, keepClass: 'rawAdded' });
    // Heated base and something raw: 4 sealed; the starter's own limit is 5 / 3.
    expect(first.facts.bottle.keeping.sealedDays).toBe(4);
    expect(first.facts.longer.map((l: { code: string }) => l.code)).toContain('longer.noStarter');
  });
});

describe('leftovers', () => {
  it('are set aside with what the trace knows of them, used, and gone when they are used up', async () => {
    await bottled();
    const set = await send(
      ofBatch(
        'setAside',
        {
          leftovers: [
            {
              itemId: 'calyx',
              kind: 'calyx',
              ingredientIds: ['hibiscus-dried'],
              massG: 500,
              portions: 2,
              placeId: 'freezer',
            },
          ],
        },
        BOTTLED,
      ),
    );
    expect(set.status).toBe(200);
    const [calyx] = (await items()).leftovers;
    expect(calyx.facts.leftover).toMatchObject({ kind: 'calyx', massG: 500, boiled: true, alcohol: false });
    expect(calyx.facts.leftover.heldMl).toBeGreaterThan(50);
    // After a boil a good part of it is drawn, and some is left.
    expect(calyx.facts.leftover.strengthShare).toBeGreaterThan(0);
    expect(calyx.facts.leftover.strengthShare).toBeLessThan(0.6);
    expect(calyx.log.places[0].place).toBe('freezer');
    await send(ofItem('calyx', 'used', { massG: 300, use: 'jam' }, BOTTLED + HOUR));
    expect((await items()).leftovers).toHaveLength(1);
    await send(ofItem('calyx', 'used', { massG: 200, use: 'secondBrew' }, BOTTLED + 2 * HOUR));
    expect((await items()).leftovers).toHaveLength(0);
    expect((await server.api('GET', '/items/calyx')).body).toMatchObject({ kind: 'leftover' });
  });
});

describe('gifts, and how fast it goes', () => {
  it('a batch for somebody is thought of next year where that was asked', async () => {
    await bottled();
    const gifts = { occasion: 'Lantern supper', remindNextYear: true, rows: [{ to: 'No. 14', count: 2 }] };
    await send(ofBatch('gifts', gifts, NOW));
    expect((await server.api('GET', '/gifts')).body.gifts).toMatchObject([
      { batchId: 'b1', recipeId: 'deep-calyx-ginger', gifts },
    ]);
    await send(ofBatch('gifts', { ...gifts, remindNextYear: false }, NOW + 1));
    expect((await server.api('GET', '/gifts')).body.gifts).toEqual([]);
  });
  it('counts what was poured and what was finished within the window', async () => {
    await bottled();
    await send(
      ofItem('i0', 'poured', { volumeMl: 250 }, NOW - DAY_MS),
      ofItem('i1', 'finished', {}, NOW - HOUR),
    );
    const { use } = (await server.api('GET', '/items/use')).body;
    // A glass of 250, and a whole bottle of 720.
    expect(use).toMatchObject([{ recipeId: 'deep-calyx-ginger', pouredMl: 970 }]);
    expect(use[0].sinceMs).toBeLessThanOrEqual(BOTTLED);
    // Of today only the bottle that was finished.
    const today = (await server.api('GET', `/items/use?since=${NOW - 2 * HOUR}`)).body.use;
    expect(today).toMatchObject([{ pouredMl: 720 }]);
    expect(today[0].strongG.ginger).toBeGreaterThan(1);
    expect(today[0].strongG.ginger).toBeCloseTo((use[0].strongG.ginger * 720) / 970, 6);
  });
});

describe('the fridge that is read', () => {
  const logger = { kind: 'fridgeLogger', name: 'Logger', batchId: null, lost: false, tareKg: 0 };
  it('gives its readings by cells of ten minutes, the warmest of two loggers', async () => {
    expect((await server.api('GET', '/fridge')).body.record).toBeNull();
    await server.api('PUT', '/instruments/one', logger);
    await server.api('PUT', '/instruments/two', logger);
    const read = (id: string, values: number[]) =>
      storeReadings(
        server.db,
        id,
        null,
        values.map((value, i) => ({ atMs: NOW - DAY_MS + i * 300_000, value, fault: null })),
      );
    // Two readings to a cell: means of 4 and 6, and of 8 and 8.
    await read('one', [4, 6, 8, 8]);
    await read('two', [5, 5, 9, 7]);
    const { record } = (await server.api('GET', '/fridge')).body;
    expect(record.fromMs).toBe(Math.floor((NOW - DAY_MS) / 600_000) * 600_000);
    const means = record.tempC as number[];
    expect(Math.max(...means)).toBeGreaterThanOrEqual(8);
    expect(means.length).toBeGreaterThanOrEqual(2);
  });
  it('its power is cut: it warms towards the room, and is cold again when that is over', async () => {
    const watch = new InstrumentWatch(server.db, server.clock, server.hub, (e) => server.reports.push(e));
    await server.api('PUT', '/instruments/one', {
      ...logger,
      failing: { kind: 'noPower', sinceMs: NOW },
    });
    const at = async (hours: number) => {
      server.clock.set(NOW + hours * HOUR, true);
      await watch.tick();
      const { readings } = (await server.api('GET', '/instruments/one/readings')).body;
      return readings.at(-1).value as number;
    };
    const after = [await at(0.1), await at(3), await at(9)];
    expect(after[1]).toBeGreaterThan(after[0]!);
    // τ is 6 h: after 9 h it has come 1 − e^−1.5 = 78 % of the way from 4 to 21 °C.
    expect(after[2]).toBeGreaterThan(15);
    expect(after[2]).toBeLessThan(20);
    await server.api('PUT', '/instruments/one', { ...logger, failing: null });
    expect(await at(12)).toBeLessThan(9);
  });
});

describe('years of history', () => {
  it('is made through the log, and only what is there is sent', async () => {
    const kitchen = {
      ...ONE_POT,
      bottles: [
        { id: 's', name: 'Tall', volumeMl: 750, diameterCm: 8, material: 'glass' as const, count: 50 },
      ],
    };
    await server.api('PUT', '/kitchen', { version: 1, kitchen });
    await seedHistory(server.db, NOW, { years: 1, batches: 12, bottlesEach: 4, there: 8 });
    const { items: there } = await items();
    expect(there).toHaveLength(8);
    const [{ count }] = (await server.db('item_now').count({ count: '*' })) as [{ count: number }];
    expect(count).toBe(48);
    const first = (await server.api('GET', '/items/gone')).body;
    expect(first.items).toHaveLength(40);
    expect(first.next).toBeNull();
    const times = first.items.map((i: { goneMs: number }) => i.goneMs);
    expect(times).toEqual([...times].sort((a: number, b: number) => b - a));
  });
});
