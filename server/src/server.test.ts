import { request } from 'node:http';
import { EMPTY_KITCHEN, type Kitchen } from '@big-ladle/core/documents';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { configFrom } from './config.ts';
import { seedDemo } from './demo/seed.ts';
import { rebuildAll } from './services/projections.ts';
import { type Answer, CALYX_PLAN, NOW, ONE_POT, TestServer } from './testServer.ts';

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(() => k.dispose());

const api = (
  method: string,
  url: string,
  body?: unknown,
  headers?: Record<string, string>,
): Promise<Answer> => k.api(method, url, body, headers);

const KITCHEN: Kitchen = {
  ...ONE_POT,
  bottles: [{ id: 'b', name: 'Bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 12 }],
};
let seq = 0;
const event = (deed: EventBody, change: Partial<LogEvent> = {}): LogEvent => {
  seq++;
  return {
    id: `ev-${seq}`,
    stream: { kind: 'batch', id: 'b1' },
    v: 1,
    atMs: NOW + seq,
    deviceId: 'dev',
    deviceSeq: seq,
    ...deed,
    ...change,
  } as LogEvent;
};
const send = (...events: LogEvent[]) => api('POST', '/events', { events });

async function started(): Promise<string[]> {
  await api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
  const answer = await api('POST', '/batches/b1/start', {
    version: 1,
    events: [event({ kind: 'stepStarted', body: { stepId: 'pick' } })],
  });
  expect(answer.status).toBe(200);
  return answer.body.pins.program.steps.map((s: { id: string }) => s.id);
}

/** Ends every step, and fills six bottles. */
async function bottled(): Promise<void> {
  for (const stepId of await started()) {
    if (stepId === 'bottle') {
      const bottles = Array.from({ length: 6 }, (_, i) => ({
        itemId: `item-${i}`,
        sizeId: 'b',
        name: 'Bottle',
        sizeMl: 750,
        volumeMl: 720,
        diameterCm: 8,
      }));
      expect(
        (
          await send(
            event(
              { kind: 'bottled', body: { stepId, hygiene: 'sterilised', bottles } },
              { atMs: k.clock.nowMs() },
            ),
          )
        ).status,
      ).toBe(200);
    }
    k.clock.set(k.clock.nowMs() + 20 * 60_000, true);
    expect(
      (await send(event({ kind: 'stepEnded', body: { stepId } }, { atMs: k.clock.nowMs() }))).status,
    ).toBe(200);
  }
}

describe('health and safety of the edge', () => {
  it('answers for its health', async () => {
    expect(await api('GET', '/health')).toMatchObject({ status: 200, body: { ok: true, nowMs: NOW } });
  });
  it('malformed JSON, a huge body, an unknown place: plain problems without a stack', async () => {
    const bad = await api('POST', '/events', '{"events": [');
    expect(bad).toMatchObject({ status: 400, body: { title: 'malformedJson' } });
    expect(bad.type).toContain('application/problem+json');
    expect((await api('POST', '/events', JSON.stringify({ events: 'x'.repeat(400_000) }))).status).toBe(413);
    const nowhere = await api('GET', '/nothing/here');
    expect(nowhere).toMatchObject({ status: 404, body: { title: 'noSuchPlace' } });
    for (const a of [bad, nowhere])
      expect(JSON.stringify(a.body)).not.toMatch(/at .*\.(ts|js):\d|node_modules|SELECT|insert into/i);
  });
  it('only its own host and page may talk to it', async () => {
    const other = (host: string) =>
      new Promise<number>((resolve, reject) => {
        const { port } = new URL(k.base);
        request({ host: '127.0.0.1', port, path: '/api/health', headers: { Host: host } }, (res) => {
          res.resume();
          resolve(res.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    expect(await other('evil.example:80')).toBe(421);
    expect(await other('localhost:99')).toBe(200);
    expect((await api('GET', '/health', undefined, { Origin: 'http://evil.example' })).status).toBe(403);
    expect((await api('GET', '/health', undefined, { Origin: k.base })).status).toBe(200);
  });
  it('a broken data file is a storage or server problem, reported here and not told there', async () => {
    await k.db.schema.dropTable('item_now');
    const answer = await api('GET', '/items');
    expect(answer.status).toBe(500);
    expect(JSON.stringify(answer.body)).not.toContain('item_now');
    expect(k.reports).toHaveLength(1);
  });
  it('takes its port and folder from the surroundings and refuses nonsense', () => {
    expect(configFrom({ LADLE_PORT: '5001', LADLE_DATA: '/tmp/x' }, '/root')).toMatchObject({
      port: 5001,
      dataDir: '/tmp/x',
      test: false,
    });
    expect(() => configFrom({ LADLE_PORT: 'kettle' }, '/root')).toThrow(/LADLE_PORT is "kettle"/);
  });
});

describe('the kitchen', () => {
  it('is kept as it was put in, by version', async () => {
    expect((await api('GET', '/kitchen')).body).toEqual({ version: 0, kitchen: EMPTY_KITCHEN });
    const full: Kitchen = {
      ...KITCHEN,
      measures: [{ id: 'mug', name: 'blue mug', volumeMl: 310 }],
      cupWeights: [{ ingredientId: 'hibiscus-dried', measureId: 'mug', massG: 44 }],
      preferredMeasureId: 'mug',
      altitudeM: 600,
      zone: 'UTC',
      house: { ...KITCHEN.house, freeSugarGPerGlass: 14, allows: ['honey', 'lime'] },
      labels: [
        {
          id: 'own-nectar',
          name: 'Nectar',
          like: 'apple-juice',
          sugarPer100: 13,
          brix: null,
          taGPerL: null,
          abvPct: null,
          sweetened: true,
        },
      ],
    };
    expect((await api('PUT', '/kitchen', { version: 0, kitchen: full })).status).toBe(200);
    expect((await api('GET', '/kitchen')).body).toEqual({ version: 1, kitchen: full });
  });
  it('an edit of an old version gets both, and nothing is overwritten', async () => {
    await api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
    const late = await api('PUT', '/kitchen', { version: 0, kitchen: { ...KITCHEN, roomC: 30 } });
    expect(late).toMatchObject({
      status: 409,
      body: { title: 'changedElsewhere', stored: { version: 1 }, sent: { roomC: 30 } },
    });
    expect((await api('GET', '/kitchen')).body.kitchen.roomC).toBe(21);
  });
  it.each([
    [
      'a pot without size',
      { pots: [{ ...KITCHEN.pots[0], diameterCm: undefined }] },
      'kitchen.pots.0.diameterCm',
    ],
    ['a negative height', { pots: [{ ...KITCHEN.pots[0], heightCm: -5 }] }, 'kitchen.pots.0.heightCm'],
    ['an absurd ring', { burners: [{ ...KITCHEN.burners[0], powerW: 1e9 }] }, 'kitchen.burners.0.powerW'],
    ['a zone nobody knows', { zone: 'Moon/Base' }, 'kitchen.zone'],
    ['two pots of one id', { pots: [KITCHEN.pots[0], KITCHEN.pots[0]] }, 'kitchen.pots'],
    ['half a bottle', { bottles: [{ ...KITCHEN.bottles[0], count: 1.5 }] }, 'kitchen.bottles.0.count'],
  ])('%s is refused at its field', async (_, change, field) => {
    const answer = await api('PUT', '/kitchen', { version: 0, kitchen: { ...KITCHEN, ...change } });
    expect(answer.status).toBe(422);
    expect(answer.body.fields[0].field).toBe(field);
    expect((await api('GET', '/kitchen')).body.version).toBe(0);
  });
});

describe('plans', () => {
  beforeEach(async () => {
    await api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  });
  it('two windows editing one plan: the later gets both', async () => {
    expect((await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN })).status).toBe(201);
    expect(
      (
        await api('PUT', '/batches/b1', {
          version: 1,
          plan: { ...CALYX_PLAN, question: { kind: 'litres', litres: 7 } },
        })
      ).body.version,
    ).toBe(2);
    const late = await api('PUT', '/batches/b1', {
      version: 1,
      plan: { ...CALYX_PLAN, question: { kind: 'litres', litres: 8 } },
    });
    expect(late).toMatchObject({
      status: 409,
      body: { stored: { version: 2, plan: { question: { litres: 7 } } }, sent: { question: { litres: 8 } } },
    });
  });
  it.each([8_640_000_000_000_000, NOW + 3 * 365 * 86_400_000])(
    'a plan for a moment in a far year (%d) is refused, and names its field',
    async (readyAtMs) => {
      const { status, body } = await api('POST', '/batches', {
        id: 'b2',
        plan: { ...CALYX_PLAN, readyAtMs },
      });
      expect(status).toBe(422);
      expect(body).toMatchObject({ title: 'tooFarAhead', fields: [{ field: 'plan.readyAtMs' }] });
      expect((await api('GET', '/batches/b2')).status).toBe(404);
    },
  );
  it('is made once, and names only what the kitchen has', async () => {
    await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    expect((await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN })).status).toBe(201);
    expect((await api('POST', '/batches', { id: 'b1', plan: { ...CALYX_PLAN, fills: 2 } })).status).toBe(409);
    expect(
      (await api('POST', '/batches', { id: 'b2', plan: { ...CALYX_PLAN, potId: 'gone' } })).body.fields[0]
        .field,
    ).toBe('plan.potId');
    expect(
      (await api('POST', '/batches', { id: 'b2', plan: { ...CALYX_PLAN, recipeId: 'gone' } })).status,
    ).toBe(422);
    expect(
      (
        await api('POST', '/batches', {
          id: 'b2',
          plan: { ...CALYX_PLAN, question: { kind: 'litres', litres: -3 } },
        })
      ).body.fields[0].field,
    ).toContain('litres');
    expect((await api('GET', '/batches/none')).status).toBe(404);
    expect((await api('GET', '/batches')).body.batches).toHaveLength(1);
  });
  it('does not start what does not work out, and is fixed once it has started', async () => {
    await api('POST', '/batches', {
      id: 'b1',
      plan: { ...CALYX_PLAN, question: { kind: 'litres', litres: 18 } },
    });
    const start = { version: 1, events: [event({ kind: 'stepStarted', body: { stepId: 'pick' } })] };
    expect(await api('POST', '/batches/b1/start', start)).toMatchObject({
      status: 422,
      body: { problem: { kind: 'potTooSmall' } },
    });
    await api('PUT', '/batches/b1', { version: 1, plan: CALYX_PLAN });
    expect((await api('POST', '/batches/b1/start', { ...start, version: 2 })).body.status).toBe('on');
    // Said twice it is started once.
    expect((await api('POST', '/batches/b1/start', { ...start, version: 2 })).status).toBe(200);
    expect((await api('PUT', '/batches/b1', { version: 3, plan: CALYX_PLAN })).body.title).toBe(
      'alreadyStarted',
    );
    expect((await api('DELETE', '/batches/b1?version=3')).status).toBe(409);
  });
  it('pins its kitchen: a later change of the kitchen rewrites nothing', async () => {
    await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    await api('POST', '/batches/b1/start', {
      version: 1,
      events: [event({ kind: 'stepStarted', body: { stepId: 'pick' } })],
    });
    await api('PUT', '/kitchen', { version: 1, kitchen: { ...KITCHEN, altitudeM: 1500 } });
    const { batch } = (await api('GET', '/batches/b1')).body;
    expect(batch.pins.kitchen.altitudeM).toBe(0);
    expect(batch.pins.tablesVersion).not.toBe('');
  });
  it('can be dropped before it starts', async () => {
    await api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    expect((await api('DELETE', '/batches/b1?version=1')).status).toBe(204);
    expect((await api('GET', '/batches/b1')).status).toBe(404);
  });
  it('lists page by page, also what was made in one instant, and by drink and state', async () => {
    k.clock.set(NOW, true);
    const ids = Array.from({ length: 53 }, (_, i) => `p${String(i).padStart(2, '0')}`);
    for (const id of ids) await api('POST', '/batches', { id, plan: CALYX_PLAN });
    const list = async (query: string) => (await api('GET', `/batches?${query}`)).body;
    const idsOf = ({ batches }: { batches: { batch: { id: string } }[] }) => batches.map((b) => b.batch.id);
    const first = await list('status=planned');
    expect(first.batches).toHaveLength(50);
    const second = await list(`status=planned&before=${first.next}`);
    expect(idsOf(second)).toEqual(['p02', 'p01', 'p00']);
    expect(second.next).toBeNull();
    expect(idsOf(await list(`drinks=other,${CALYX_PLAN.recipeId}`))).toHaveLength(50);
    expect(idsOf(await list('drinks=other'))).toEqual([]);
    expect(idsOf(await list('status=on'))).toEqual([]);
    expect((await api('GET', '/batches?before=yesterday')).status).toBe(422);
    const names = (await api('GET', '/batch-names')).body.batches;
    expect(names).toHaveLength(53);
    expect(names[0]).toEqual({
      id: 'p52',
      recipeId: CALYX_PLAN.recipeId,
      status: 'planned',
      startedMs: null,
    });
    expect((await api('GET', '/liked-points')).body).toEqual({ points: [] });
  });
});

describe('events', () => {
  it('are stored once: the same again is the same, another body is a conflict', async () => {
    const [first] = await started();
    const ended = event({ kind: 'stepEnded', body: { stepId: first! } });
    expect((await send(ended)).body.stored).toHaveLength(1);
    expect((await send(ended)).body.stored).toHaveLength(0);
    expect(await send({ ...ended, atMs: ended.atMs + 1 })).toMatchObject({
      status: 409,
      body: { title: 'sameIdOtherBody' },
    });
    expect((await api('GET', '/batches/b1')).body.events).toHaveLength(2);
  });
  it('dated far in the future, of unknown batches, steps or bottles are refused', async () => {
    await started();
    expect(
      (await send(event({ kind: 'noted', body: { text: 'x' } }, { atMs: NOW + 3_600_000 }))).body.title,
    ).toBe('inTheFuture');
    expect(
      (await send(event({ kind: 'noted', body: { text: 'x' } }, { stream: { kind: 'batch', id: 'none' } })))
        .status,
    ).toBe(404);
    expect((await send(event({ kind: 'stepEnded', body: { stepId: 'moonwalk' } }))).body.title).toBe(
      'unknownStep',
    );
    expect(
      (await send(event({ kind: 'opened', body: {} }, { stream: { kind: 'item', id: 'none' } }))).status,
    ).toBe(404);
    expect(
      (await send({ ...event({ kind: 'noted', body: { text: 'x' } }), kind: 'sung' } as unknown as LogEvent))
        .status,
    ).toBe(422);
  });
  it('a measurement larger than the vessel is refused whole, with what it holds', async () => {
    const steps = await started();
    for (const stepId of steps.slice(0, steps.indexOf('boil-1')))
      await send(event({ kind: 'stepEnded', body: { stepId } }));
    const note = event({ kind: 'noted', body: { text: 'beside it' } });
    const absurd = event({
      kind: 'measured',
      body: { stepId: 'boil-1', vesselId: 'pot', reading: { what: 'volume', volumeL: 40, atC: 20 } },
    });
    const answer = await send(note, absurd);
    expect(answer).toMatchObject({
      status: 422,
      body: { title: 'cannotBeTrue', problem: { kind: 'measuredTooMuch', valueL: 40 } },
    });
    expect(answer.body.problem.capacityL).toBeCloseTo(16.96, 1);
    // The whole message was refused: its other entry is not there either.
    expect((await api('GET', '/batches/b1')).body.events.some((e: LogEvent) => e.id === note.id)).toBe(false);
    expect(
      (
        await send(
          event({
            kind: 'measured',
            body: { stepId: 'boil-1', vesselId: 'moon', reading: { what: 'temperature', tempC: 50 } },
          }),
        )
      ).body.problem.kind,
    ).toBe('unknownVessel');
  });
  it('bottles stand on the shelf with their class, follow their own log, and go when the filling is undone', async () => {
    await bottled();
    const list = (await api('GET', '/batches')).body.batches;
    expect(list[0].batch.status).toBe('done');
    const { items } = (await api('GET', '/items')).body;
    expect(items).toHaveLength(6);
    expect(items[0].facts.bottle.keeping.sealedDays).toBeGreaterThan(0);
    expect(items[0].facts.bottle.clockStartMs).toBeLessThan(items[0].facts.bottle.filledMs);
    const stream = { kind: 'item' as const, id: 'item-0' };
    await send(
      event({ kind: 'opened', body: {} }, { stream }),
      event({ kind: 'finished', body: {} }, { stream, id: 'drunk' }),
    );
    expect((await api('GET', '/items')).body.items).toHaveLength(5);
    await send(event({ kind: 'undone', body: { target: 'drunk' } }, { stream, atMs: k.clock.nowMs() }));
    expect((await api('GET', '/items')).body.items).toHaveLength(6);
    const filling = (await api('GET', '/batches/b1')).body.events.find(
      (e: LogEvent) => e.kind === 'bottled',
    ).id;
    await send(event({ kind: 'undone', body: { target: filling } }, { atMs: k.clock.nowMs() }));
    expect((await api('GET', '/items')).body.items).toHaveLength(0);
  });
  it('rebuilding folds every log again to the same rows exactly', async () => {
    await seedDemo(k.db, NOW);
    const read = async () => ({
      batches: await k.db('batch_now').orderBy('batch_id'),
      items: await k.db('item_now').orderBy('item_id'),
      tasks: await k.db('task_now').orderBy('batch_id'),
    });
    const before = await read();
    // Eight tall bottles, seven small ones, three leftovers.
    expect(before.items).toHaveLength(18);
    expect(before.tasks).toHaveLength(2);
    await rebuildAll(k.db);
    expect(await read()).toEqual(before);
  });
});

describe('the event stream', () => {
  /** Reads the stream until `enough` says so. */
  async function listenFor(
    headers: Record<string, string>,
    enough: (text: string) => boolean,
  ): Promise<string> {
    const stop = new AbortController();
    const response = await fetch(`${k.base}/api/stream`, { headers, signal: stop.signal });
    let text = '';
    const decoder = new TextDecoder();
    for await (const chunk of response.body!) {
      text += decoder.decode(chunk as Uint8Array, { stream: true });
      if (enough(text)) break;
    }
    stop.abort();
    return text;
  }
  it('tells the time at once, events as they are stored, and resumes after the last seen', async () => {
    const [first] = await started();
    const heard = listenFor({}, (t) => t.includes('stepEnded'));
    await expect.poll(() => (k.hub as unknown as { windows: Set<unknown> }).windows.size).toBe(1);
    await send(event({ kind: 'stepEnded', body: { stepId: first! } }));
    const text = await heard;
    expect(text).toContain(`event: time\ndata: {"nowMs":${NOW}}`);
    expect(text).toMatch(/id: 2\nevent: log/);
    const missed = await listenFor({ 'Last-Event-ID': '1' }, (t) => t.includes('stepEnded'));
    expect(missed).not.toContain('stepStarted');
    const all = await listenFor({ 'Last-Event-ID': '0' }, (t) => t.includes('stepEnded'));
    expect(all).toContain('stepStarted');
  });
});
