import { BOOK } from '@big-ladle/core/book';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

const HOUR = 3_600_000;

let server: TestServer;
const say = eventWriter('bal');
const event = (kind: string, body: object, atMs: number) =>
  say({ kind: 'batch', id: 'b1' }, kind, body, atMs);
interface Step {
  id: string;
  kind: string;
}
let steps: Step[];
const idOf = (kind: string) => steps.find((s) => s.kind === kind)!.id;
const send = (...events: object[]) => server.api('POST', '/events', { events });

/** Begun ten hours ago, every step before the first of a kind ended. */
async function upTo(kind: string): Promise<void> {
  await server.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
  const started = await server.api('POST', '/batches/b1/start', {
    version: 1,
    events: [event('stepStarted', { stepId: 'pick' }, NOW - 10 * HOUR)],
  });
  steps = started.body.pins.program.steps;
  const done = steps.slice(
    0,
    steps.findIndex((s) => s.kind === kind),
  );
  await send(
    ...done.map((s, i) =>
      event('stepEnded', { stepId: s.id }, NOW - 10 * HOUR + ((i + 1) * 8 * HOUR) / done.length),
    ),
  );
}

beforeEach(async () => {
  server = await new TestServer().open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
});
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

const bottles = (stepId: string, prefix: string, count: number) =>
  event(
    'bottled',
    {
      stepId,
      hygiene: 'sterilised',
      bottles: Array.from({ length: count }, (_, i) => ({
        itemId: `${prefix}-${i}`,
        sizeId: 'b750',
        name: 'Bottle',
        sizeMl: 750,
        volumeMl: 720,
        diameterCm: 8,
      })),
    },
    NOW - 1000,
  );

describe('what was not as planned', () => {
  it('steps that the log has added are known from then on, others are not', async () => {
    await upTo('boil');
    const early = event('strainedEarly', { stepId: idOf('boil'), waterL: 2, boilMin: 15 }, NOW - HOUR);
    expect((await send(early)).status).toBe(200);
    const tag = `again-${early.id.slice(-6)}`;
    expect((await send(event('stepEnded', { stepId: idOf('strain') }, NOW - HOUR + 60_000))).status).toBe(
      200,
    );
    expect((await send(event('stepEnded', { stepId: `combine-${tag}` }, NOW - HOUR + 120_000))).status).toBe(
      200,
    );
    const wrong = await send(event('stepEnded', { stepId: 'combine-again-nobody' }, NOW - HOUR + 180_000));
    expect(wrong.status).toBe(422);
    expect(wrong.body.type).toMatch(/unknownStep$/);
  });
  it('a swap for something that is not known as that kind is refused whole', async () => {
    await upTo('boil');
    const ginger = BOOK[0]!.lines.find((l) => l.itemId.startsWith('ginger'))!;
    const swap = (itemId: string) =>
      send(event('swapped', { lineId: ginger.id, itemId, massG: 20 }, NOW - HOUR));
    const refused = await swap('lime-juice');
    expect(refused.status).toBe(422);
    expect(refused.body).toMatchObject({ title: 'cannotBeTrue', problem: { kind: 'unknownItem' } });
    const swaps = async () =>
      (await server.api('GET', '/batches/b1')).body.events.filter(
        (e: { kind: string }) => e.kind === 'swapped',
      );
    expect(await swaps()).toHaveLength(0);
    expect((await swap('ginger-grated')).status).toBe(200);
    expect(await swaps()).toHaveLength(1);
  });
});

describe('lots, verdicts and scores', () => {
  it('bottles carry the lot they come from, its marks and its own sugar', async () => {
    await upTo('sweeten');
    const split = event(
      'split',
      {
        stepId: idOf('sweeten'),
        restL: 3.5,
        lots: [{ lotId: 'x1', kind: 'spirits', name: 'With spirits', volumeL: 2 }],
      },
      NOW - HOUR,
    );
    expect((await send(split)).status).toBe(200);
    const ended = (id: string, min: number) => event('stepEnded', { stepId: id }, NOW - HOUR + min * 60_000);
    const added = event(
      'added',
      {
        stepId: 'mix-x1',
        vesselId: 'lot-x1',
        lineKind: 'liquid',
        itemId: 'spirit-40',
        lineId: 'rum',
        massG: 285,
      },
      NOW - HOUR + 20 * 60_000,
    );
    const answer = await send(
      ended('split-x1', 1),
      ended('sweeten', 10),
      bottles('bottle', 'rest', 4),
      ended('bottle', 15),
      added,
      ended('mix-x1', 25),
      bottles('bottle-x1', 'lot', 2),
      ended('bottle-x1', 30),
    );
    expect(answer.status).toBe(200);
    const { items } = (await server.api('GET', '/items')).body as {
      items: {
        facts: { itemId: string; lot?: { kind: string }; tags: string[]; glass: { ethanolG: number } };
      }[];
    };
    expect(items).toHaveLength(6);
    for (const { facts } of items) {
      const ofLot = facts.itemId.startsWith('lot');
      expect(facts.lot?.kind).toBe(ofLot ? 'spirits' : undefined);
      expect(facts.tags.includes('alcohol')).toBe(ofLot);
      if (ofLot) expect(facts.glass.ethanolG).toBeGreaterThan(5);
      else expect(facts.glass.ethanolG).toBe(0);
    }
  });
  it('more in lots than there is cannot be poured: the lot is what there was', async () => {
    await upTo('sweeten');
    const answer = await send(
      event(
        'split',
        {
          stepId: idOf('sweeten'),
          restL: 0,
          lots: [{ lotId: 'x1', kind: 'plain', name: 'Plain', volumeL: 300 }],
        },
        NOW - HOUR,
      ),
    );
    expect(answer.status).toBe(200);
    for (const lots of [[], [{ lotId: 'x', kind: 'magic', name: 'x', volumeL: 1 }]])
      expect(
        (await send(event('split', { stepId: idOf('sweeten'), restL: 0, lots }, NOW - HOUR))).status,
      ).toBe(422);
  });
  it('"about right" as the last word is what the house likes; a score and a word stand in the list', async () => {
    await upTo('bottle');
    const tasted = (sweet: number, min: number) =>
      event(
        'tasted',
        { stepId: idOf('sweeten'), axes: { sweet }, atSweetnessPct: 8, atSourGPerL: 6 },
        NOW - 2 * HOUR + min * 60_000,
      );
    await send(tasted(1, 1), tasted(0, 2));
    const now = async () => (await server.api('GET', '/batches')).body.batches[0].now;
    expect((await now()).liked).toBeUndefined();
    await send(bottles(idOf('bottle'), 'b', 6), event('stepEnded', { stepId: idOf('bottle') }, NOW - 500));
    expect((await now()).liked.sourGPerL).toBeGreaterThan(2);
    await send(event('scored', { score: 4, words: 'more lime' }, NOW - 400));
    expect(await now()).toMatchObject({ score: 4, words: 'more lime' });
    await send(tasted(-1, 3));
    expect((await now()).liked).toBeUndefined();
    expect((await send(event('scored', { score: 9 }, NOW - 300))).status).toBe(422);
  });
});

describe('what the house has settled', () => {
  it('is kept with the kitchen, and a label counts in a batch that is begun with it', async () => {
    const { body } = await server.api('GET', '/kitchen');
    const label = {
      id: 'lime-juice',
      name: 'Lime juice',
      like: 'lime-juice',
      sugarPer100: null,
      brix: null,
      taGPerL: 30,
      abvPct: null,
      sweetened: false,
    };
    const kitchen = {
      ...body.kitchen,
      house: { ...body.kitchen.house, freeSugarGPerGlass: 12, citrusMlPerL: 30 },
      labels: [label],
    };
    expect((await server.api('PUT', '/kitchen', { version: body.version, kitchen })).status).toBe(200);
    const again = (await server.api('GET', '/kitchen')).body.kitchen;
    expect(again.house).toMatchObject({ freeSugarGPerGlass: 12, citrusMlPerL: 30 });
    expect(again.labels).toEqual([label]);
    for (const [field, value] of [
      ['house', { ...kitchen.house, alcoholUnitId: 'thimble' }],
      ['labels', [{ ...label, sugarPer100: 400 }]],
    ] as const)
      expect(
        (
          await server.api('PUT', '/kitchen', {
            version: body.version + 1,
            kitchen: { ...kitchen, [field]: value },
          })
        ).status,
      ).toBe(422);
    await upTo('boil');
    const { batch } = (await server.api('GET', '/batches/b1')).body;
    expect(batch.pins.kitchen.labels).toEqual([label]);
  });
  it('a plan keeps what goes in instead, and refuses what is no such thing', async () => {
    const sweet = BOOK[0]!.lines.find((l) => l.kind === 'sweetener')!;
    const plan = (itemId: string, ratio = 1) => ({
      ...CALYX_PLAN,
      choices: { ...CALYX_PLAN.choices, instead: [{ lineId: sweet.id, itemId, ratio }] },
    });
    const made = await server.api('POST', '/batches', { id: 'b2', plan: plan('honey') });
    expect(made.status).toBe(201);
    expect(made.body.plan.choices.instead).toEqual([{ lineId: sweet.id, itemId: 'honey', ratio: 1 }]);
    const started = await server.api('POST', '/batches/b2/start', {
      version: 1,
      events: [
        { ...event('stepStarted', { stepId: 'pick' }, NOW - HOUR), stream: { kind: 'batch', id: 'b2' } },
      ],
    });
    const line = started.body.pins.program.lines.find((l: { id: string }) => l.id === sweet.id);
    expect(line.itemId).toBe('honey');
    expect((await server.api('POST', '/batches', { id: 'b3', plan: plan('honey', -1) })).status).toBe(422);
    await server.api('POST', '/batches', { id: 'b4', plan: plan('gravel') });
    const refused = await server.api('POST', '/batches/b4/start', {
      version: 1,
      events: [
        { ...event('stepStarted', { stepId: 'pick' }, NOW - HOUR), stream: { kind: 'batch', id: 'b4' } },
      ],
    });
    expect(refused.status).toBe(422);
    expect(refused.body.type).toMatch(/cannotStart$/);
  });
});
