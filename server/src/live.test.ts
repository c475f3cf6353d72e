import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sectionsOf } from './archive/testArchive.ts';
import { InstrumentWatch } from './instruments/watch.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

const MINUTE = 60_000;

let server: TestServer;
let watch: InstrumentWatch;
beforeEach(async () => {
  server = await new TestServer().open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
  watch = new InstrumentWatch(server.db, server.clock, server.hub, (e) => server.reports.push(e));
});
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

const say = eventWriter('ev');
const event = (
  kind: string,
  body: object,
  atMs = NOW,
  stream: 'batch' | 'rehearsal' = 'rehearsal',
  id = 'r1',
) => say({ kind: stream, id }, kind, body, atMs);
const begin = (speed = 60) =>
  server.api('POST', '/rehearsals', {
    id: 'r1',
    plan: CALYX_PLAN,
    speed,
    seed: 3,
    events: [event('stepStarted', { stepId: 'pick' })],
  });
const passes = (ms: number) => server.clock.set(server.clock.nowMs() + ms, true);

describe('a rehearsal', () => {
  it('is pinned and on, but no batch of the kitchen', async () => {
    const made = await begin();
    expect(made.status).toBe(201);
    expect(made.body.rehearsal).toEqual({ speed: 60, seed: 3, realMs: NOW, atMs: NOW, kept: false });
    expect((await server.api('GET', '/batches')).body.batches).toEqual([]);
    const listed = (await server.api('GET', '/batches?rehearsals=1')).body.batches;
    expect(listed.map((b: { batch: { id: string } }) => b.batch.id)).toEqual(['r1']);
    expect((await server.api('GET', '/batches/r1')).body.events).toHaveLength(1);
  });
  it('takes deeds dated by its own clock, which runs ahead', async () => {
    await begin(600);
    passes(6 * 1000);
    // 6 s at 600 times are an hour: an hour ahead is now, three are not.
    const hour = await server.api('POST', '/events', {
      events: [event('noted', { text: 'an hour in' }, NOW + 60 * MINUTE)],
    });
    expect(hour.status).toBe(200);
    const late = await server.api('POST', '/events', {
      events: [event('noted', { text: 'too far' }, NOW + 180 * MINUTE)],
    });
    expect(late.status).toBe(422);
    expect(late.body.type).toMatch(/inTheFuture$/);
  });
  it('keeps the time it has come to when its speed changes', async () => {
    await begin(10);
    passes(MINUTE);
    const changed = await server.api('PUT', '/rehearsals/r1', { speed: 600 });
    expect(changed.body.rehearsal).toMatchObject({
      speed: 600,
      atMs: NOW + 10 * MINUTE,
      realMs: NOW + MINUTE,
    });
    expect((await server.api('PUT', '/rehearsals/r1', { speed: 7 })).status).toBe(422);
  });
  it('its stream is not a batch, and a batch is no rehearsal', async () => {
    await begin();
    const wrong = await server.api('POST', '/events', {
      events: [event('noted', { text: 'x' }, NOW, 'batch', 'r1')],
    });
    expect(wrong.status).toBe(404);
    await server.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    const other = await server.api('POST', '/events', {
      events: [event('noted', { text: 'x' }, NOW, 'rehearsal', 'b1')],
    });
    expect(other.status).toBe(404);
    expect((await server.api('PUT', '/rehearsals/b1', { speed: 60 })).status).toBe(404);
  });
  it('fills bottles that stand on no shelf, is in no archive, and leaves nothing when it is forgotten', async () => {
    const { program } = (await begin()).body.pins;
    passes(30 * MINUTE);
    const steps = program.steps as { id: string; kind: string }[];
    const events = steps.flatMap((s, i) => [
      ...(s.kind === 'bottle'
        ? [
            event(
              'bottled',
              {
                stepId: s.id,
                hygiene: 'clean',
                bottles: [
                  { itemId: 'i1', sizeId: 'b', name: 'B', sizeMl: 750, volumeMl: 720, diameterCm: 8 },
                ],
              },
              NOW + i * MINUTE,
            ),
          ]
        : []),
      event('stepEnded', { stepId: s.id }, NOW + i * MINUTE + 1),
    ]);
    const answer = await server.api('POST', '/events', { events });
    expect(answer.status).toBe(200);
    expect((await server.api('GET', '/batches/r1')).body.batch.status).toBe('done');
    expect((await server.api('GET', '/items')).body.items).toEqual([]);
    expect(sectionsOf(await server.archive())).toMatchObject({ batches: [], events: [] });
    expect((await server.api('DELETE', '/rehearsals/r1')).status).toBe(204);
    expect((await server.api('GET', '/batches/r1')).status).toBe(404);
    expect(await server.db('event').where({ stream_id: 'r1' })).toEqual([]);
  });
  it('the same again is the same', async () => {
    await begin();
    const again = await begin();
    expect(again.status).toBe(201);
    expect((await server.api('GET', '/batches/r1')).body.events).toHaveLength(1);
  });
});

const put = (id: string, change: object = {}) =>
  server.api('PUT', `/instruments/${id}`, {
    kind: 'probe',
    name: 'Red probe',
    batchId: 'r1',
    lost: false,
    tareKg: 0,
    ...change,
  });
const readings = async (id = 'p1', batch = '?batchId=r1') =>
  (await server.api('GET', `/instruments/${id}/readings${batch}`)).body.readings as {
    atMs: number;
    value: number | null;
    fault: string | null;
  }[];

describe('instruments', () => {
  it('are paired, named, held into a batch, and put away', async () => {
    await begin();
    expect((await put('p1')).body).toMatchObject({
      id: 'p1',
      kind: 'probe',
      name: 'Red probe',
      batchId: 'r1',
    });
    expect((await put('p1', { name: 'Blue probe', batchId: null })).body).toMatchObject({
      name: 'Blue probe',
      batchId: null,
    });
    expect((await server.api('GET', '/instruments')).body.instruments).toHaveLength(1);
    expect((await put('p1', { batchId: 'nothing' })).status).toBe(404);
    expect((await put('p2', { kind: 'sundial' })).status).toBe(422);
    expect((await put('p2', { name: ' ' })).status).toBe(422);
    expect((await server.api('DELETE', '/instruments/p1')).status).toBe(204);
    expect((await server.api('DELETE', '/instruments/p1')).status).toBe(404);
  });
  it('follow the batch that is on, and are kept to one reading a minute of its time', async () => {
    const { program } = (await begin(60)).body.pins;
    await put('p1');
    const upTo = (program.steps as { id: string; kind: string }[]).findIndex((s) => s.kind === 'heat');
    passes(2000);
    await server.api('POST', '/events', {
      events: program.steps
        .slice(0, upTo)
        .map((s: { id: string }, i: number) => event('stepEnded', { stepId: s.id }, NOW + (i + 1) * 1000)),
    });
    for (let second = 0; second < 20; second++) {
      passes(1000);
      await watch.tick();
    }
    const kept = await readings();
    expect(kept.length).toBeGreaterThan(15);
    for (let i = 1; i < kept.length; i++)
      expect(kept[i]!.atMs - kept[i - 1]!.atMs).toBeGreaterThanOrEqual(MINUTE);
    const values = kept.flatMap((r) => (r.value === null ? [] : [r.value]));
    // Tap-cold at first, on its way up after twenty minutes on the flame.
    expect(values[0]!).toBeLessThan(25);
    expect(values.at(-1)!).toBeGreaterThan(values[0]! + 10);
  });
  it('one that is out of reach says so, and is back when it is found', async () => {
    await begin();
    await put('p1', { lost: true });
    passes(2 * MINUTE);
    await watch.tick();
    expect((await readings()).at(-1)).toMatchObject({ value: null, fault: 'lost' });
    await put('p1');
    passes(MINUTE);
    await watch.tick();
    expect((await readings()).at(-1)!.fault).not.toBe('lost');
  });
  it('a fridge logger reads the fridge, whatever is on', async () => {
    await put('f1', { kind: 'fridgeLogger', name: 'Fridge', batchId: null });
    for (let i = 0; i < 3; i++) {
      passes(MINUTE);
      await watch.tick();
    }
    const kept = await readings('f1', '');
    expect(kept).toHaveLength(3);
    for (const r of kept) expect(r.value!).toBeGreaterThan(ONE_POT.fridgeC - 1);
  });
  it('readings reach the windows that look', async () => {
    await begin();
    await put('p1');
    const stopping = new AbortController();
    const response = await fetch(`${server.base}/api/stream`, { signal: stopping.signal });
    const reader = response.body!.getReader();
    passes(MINUTE);
    await watch.tick();
    let text = '';
    while (!text.includes('event: reading')) text += new TextDecoder().decode((await reader.read()).value);
    expect(text).toContain('"instrumentId":"p1"');
    stopping.abort();
  });
});

describe('what an instrument has read', () => {
  const fridge = {
    kind: 'fridgeLogger',
    name: 'Fridge',
    batchId: null,
    lost: false,
    tareKg: 0,
    failing: null,
  };
  const read = async (minutes: number) => {
    for (let i = 0; i < minutes; i++) {
      passes(MINUTE);
      await watch.tick();
    }
  };
  const readings = async () => (await server.api('GET', '/instruments/logger/readings')).body.readings.length;

  it('stays when it is unpaired, and counts for what stood in its fridge', async () => {
    await server.api('PUT', '/instruments/logger', fridge);
    await read(30);
    const { record } = (await server.api('GET', '/fridge')).body;
    expect(record).not.toBeNull();
    expect((await server.api('DELETE', '/instruments/logger')).status).toBe(204);
    expect((await server.api('GET', '/instruments')).body.instruments).toEqual([]);
    expect((await server.api('GET', '/fridge')).body.record).toEqual(record);
    expect((await server.api('DELETE', '/instruments/logger')).status).toBe(404);
    // Paired again it is the same one.
    await server.api('PUT', '/instruments/logger', fridge);
    expect(await readings()).toBe(30);
  });
  it('goes on when a clock that ran a month ahead is set right', async () => {
    await server.api('PUT', '/instruments/logger', fridge);
    await read(5);
    const before = server.clock.nowMs();
    server.clock.set(before + 30 * 24 * 60 * MINUTE, true);
    await read(3);
    server.clock.set(before, true);
    await read(4);
    expect(await readings()).toBe(5 + 3 + 4);
    const { record } = (await server.api('GET', '/fridge')).body;
    expect(record.fromMs).toBeLessThan(before);
  });
});

describe('a window that never reads', () => {
  it('is let go once so much is waiting for it, and the others hear on', () => {
    const ended: string[] = [];
    const windowOf = (name: string, waiting: number) => {
      const heard: string[] = [];
      const res = {
        heard,
        writableLength: waiting,
        status: () => res,
        set: () => res,
        flushHeaders: () => undefined,
        write: (text: string) => heard.push(text),
        on: () => res,
        end: () => undefined,
        destroy: () => ended.push(name),
      };
      return res;
    };
    const [idle, keen] = [windowOf('idle', 1_000_001), windowOf('keen', 0)];
    for (const res of [idle, keen]) server.hub.open(res as never, { events: [], seq: 0, reload: false });
    const before = keen.heard.length;
    server.hub.changed({ doc: 'stock', id: 'x', version: 1 });
    expect(ended).toEqual(['idle']);
    expect(keen.heard.length).toBe(before + 1);
  });
});
