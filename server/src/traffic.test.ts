import { ROUTES } from '@big-ladle/core/contract';
import { EVENT_KINDS, type EventBody, type LogEvent } from '@big-ladle/core/log';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, NOW, ONE_POT, TestServer } from './testServer.ts';

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
  await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
});
afterEach(() => k.dispose());

describe('every route of the contract', () => {
  it.each(Object.entries(ROUTES))('%s is served', async (_, route) => {
    const path = route.path.replace(/:\w+/g, 'x');
    const answer = await k.api(route.method, path, route.method === 'GET' ? undefined : {});
    expect(answer.body?.title).not.toBe('noSuchPlace');
  });
});

const STEPS = ['pick', 'wash', 'prep', 'combine', 'heat', 'boil', 'strain', 'cool', 'sweeten', 'bottle'];
const step = fc.constantFrom(...STEPS);
const bottle = (itemId: string) => ({
  itemId,
  sizeId: 'b',
  name: 'Bottle',
  sizeMl: 750,
  volumeMl: 700,
  diameterCm: 8,
});
/** What a kitchen may say, in any order, right or wrong: so that much of it is refused, and much is not. */
const said: fc.Arbitrary<EventBody> = fc.oneof(
  { weight: 6, arbitrary: step.map((stepId): EventBody => ({ kind: 'stepEnded', body: { stepId } })) },
  step.map((stepId): EventBody => ({ kind: 'skipped', body: { stepId } })),
  fc.record({ stepId: step, tempC: fc.integer({ min: 5, max: 100 }) }).map(
    ({ stepId, tempC }): EventBody => ({
      kind: 'measured',
      body: { stepId, vesselId: 'pot', reading: { what: 'temperature', tempC } },
    }),
  ),
  fc.array(fc.constantFrom('i1', 'i2', 'i3', 'i4'), { minLength: 1, maxLength: 2 }).map(
    (ids): EventBody => ({
      kind: 'bottled',
      body: { stepId: 'bottle', hygiene: 'clean', bottles: ids.map(bottle) },
    }),
  ),
  fc.integer({ min: 0, max: 40 }).map((n): EventBody => ({ kind: 'undone', body: { target: `t${n}` } })),
  fc
    .record({ n: fc.integer({ min: 0, max: 40 }), min: fc.integer({ min: -60, max: 0 }) })
    .map(
      ({ n, min }): EventBody => ({ kind: 'retimed', body: { target: `t${n}`, toMs: NOW + min * 60_000 } }),
    ),
  fc.constantFrom<EventBody>(
    { kind: 'opened', body: {} },
    { kind: 'poured', body: { volumeMl: 150 } },
    { kind: 'finished', body: {} },
    { kind: 'moved', body: { place: 'counter' } },
    { kind: 'scored', body: { score: 3 } },
  ),
);
const stream = fc.constantFrom<LogEvent['stream']>(
  { kind: 'batch', id: 'b1' },
  { kind: 'batch', id: 'b2' },
  { kind: 'item', id: 'i1' },
  { kind: 'item', id: 'i3' },
);

describe('after anything that was accepted', () => {
  it('the projections are those that a rebuild makes', async () => {
    const read = async () => ({
      batches: await k.db('batch_now').orderBy('batch_id'),
      status: await k.db('batch').orderBy('id').select('id', 'status'),
      items: await k.db('item_now').orderBy('item_id'),
      owners: await k.db('item_owner').orderBy('item_id'),
      tasks: await k.db('task_now').orderBy('batch_id'),
    });
    let accepted = 0;
    let refused = 0;
    await fc.assert(
      fc
        .asyncProperty(
          fc.array(fc.tuple(stream, said), { minLength: 30, maxLength: 40 }),
          async (traffic) => {
            for (const id of ['b1', 'b2']) {
              await k.api('POST', '/batches', { id, plan: CALYX_PLAN });
              const first = { id: `s-${id}`, stream: { kind: 'batch', id }, v: 1, atMs: NOW, deviceId: 'd' };
              const events = [{ ...first, deviceSeq: 0, kind: 'stepStarted', body: { stepId: 'pick' } }];
              await k.api('POST', `/batches/${id}/start`, { version: 1, events });
            }
            for (const [i, [where, what]] of traffic.entries()) {
              const envelope = {
                id: `t${i}`,
                stream: where,
                v: 1,
                atMs: NOW + i * 1000,
                deviceId: 'd',
                deviceSeq: i,
              };
              const { status } = await k.api('POST', '/events', { events: [{ ...envelope, ...what }] });
              if (status === 200) accepted++;
              else {
                expect([404, 409, 422]).toContain(status);
                refused++;
              }
            }
            const before = await read();
            await rebuildAll(k.db);
            expect(await read()).toEqual(before);
          },
        )
        .beforeEach(async () => {
          for (const table of ['event', 'batch', 'batch_now', 'item_now', 'item_owner', 'task_now'])
            await k.db(table).del();
        }),
      { numRuns: 12, seed: 20_261_128 },
    );
    // Neither all nor nothing: the traffic says something of both.
    expect(accepted).toBeGreaterThan(60);
    expect(refused).toBeGreaterThan(60);
    expect(EVENT_KINDS.length).toBeGreaterThan(20);
  }, 60_000);
});
