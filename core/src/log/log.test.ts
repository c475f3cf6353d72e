import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { solvePlan } from '../plan/solve.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { MINUTE_MS } from '../units/time.ts';
import { batchAt } from './batchAt.ts';
import { activeEvents, lastUndoable, saidTogether } from './events/order.ts';
import { EVENT_KINDS, type EventBody, eventSchema, type LogEvent } from './events/table.ts';
import { foldBatch } from './foldBatch.ts';
import { foldItem } from './foldItem.ts';
import { toldAt } from './told.fixtures.ts';

const START = 1_800_000_000_000;
let seq = 0;
const at = (minute: number, deed: EventBody, id?: string): LogEvent =>
  toldAt(START + minute * MINUTE_MS, ++seq, deed, id === undefined ? {} : { id });

const recipe = BOOK[0]!;
const { program } = unwrap(
  solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'straightBoil'),
    kitchen: KITCHEN,
    tables: TABLES,
    pot: POTS[1]!,
    burner: BURNERS[0]!,
    wish: { question: { kind: 'litres', litres: 9 }, fills: 1 },
  }),
);
const ids = program.steps.map((s) => s.id);
/** The batch up to the boil that has just begun: 40 min of preparing, 45 of heating. */
const toTheBoil = (): LogEvent[] => [
  at(0, { kind: 'stepStarted', body: { stepId: 'pick' } }),
  at(6, { kind: 'stepEnded', body: { stepId: 'pick' } }),
  at(12, { kind: 'stepEnded', body: { stepId: 'wash' } }),
  at(16, { kind: 'stepEnded', body: { stepId: 'wash.2' } }),
  at(36, { kind: 'stepEnded', body: { stepId: 'prep' } }),
  at(40, { kind: 'stepEnded', body: { stepId: 'combine-1' } }),
  at(85, { kind: 'stepEnded', body: { stepId: 'heat-1' } }),
];

describe('events', () => {
  it('the schema takes every kind and refuses strange bodies', () => {
    for (const event of toTheBoil()) expect(v.safeParse(eventSchema, event).success).toBe(true);
    expect(EVENT_KINDS).toHaveLength(32);
    const good = toTheBoil()[1]!;
    for (const bad of [
      { ...good, kind: 'exploded' },
      { ...good, id: 'no spaces please' },
      { ...good, atMs: Number.NaN },
      { ...good, body: { stepId: 'pick', extra: 1 } },
      { ...good, v: 2 },
      {
        ...good,
        kind: 'measured',
        body: { stepId: 'pick', vesselId: 'pot', reading: { what: 'pH', pH: 40, by: 'meter' } },
      },
      {
        ...good,
        kind: 'added',
        body: {
          stepId: 'pick',
          vesselId: 'pot',
          lineKind: 'sweetener',
          itemId: 'honey',
          lineId: 'x',
          massG: -3,
        },
      },
    ])
      expect(v.safeParse(eventSchema, bad).success).toBe(false);
  });

  it('undo takes back, undoing the undo brings it back', () => {
    const deed = at(1, { kind: 'noted', body: { text: 'sour' } });
    const undo = at(2, { kind: 'undone', body: { target: deed.id } });
    const redo = at(3, { kind: 'undone', body: { target: undo.id } });
    expect(activeEvents([deed])).toHaveLength(1);
    expect(activeEvents([deed, undo])).toHaveLength(0);
    expect(activeEvents([deed, undo, redo])).toHaveLength(1);
    expect(lastUndoable([deed, undo])).toBeNull();
    expect(lastUndoable([deed, undo, redo])?.id).toBe(deed.id);
  });

  it('order of arrival changes nothing', () => {
    const events = [...toTheBoil(), at(86, { kind: 'noted', body: { text: 'foam' } })];
    const undo = at(87, { kind: 'undone', body: { target: events.at(-1)!.id } });
    const whole = foldBatch(program, [...events, undo]);
    fc.assert(
      fc.property(fc.shuffledSubarray([...events, undo], { minLength: events.length + 1 }), (shuffled) => {
        expect(foldBatch(program, shuffled)).toEqual(whole);
      }),
      { numRuns: 30 },
    );
  });

  it('an undo of something later, or of itself, does nothing', () => {
    const deed = at(5, { kind: 'noted', body: { text: 'x' } });
    const early = at(1, { kind: 'undone', body: { target: deed.id } });
    const self = at(6, { kind: 'undone', body: { target: 'self' } }, 'self');
    expect(activeEvents([deed, early, self]).map((e) => e.id)).toEqual([deed.id]);
  });
});

describe('a batch from its log', () => {
  it('a step begins where the one before ended; the one after the last is on', () => {
    const log = foldBatch(program, toTheBoil());
    expect(log.currentStepId).toBe('boil-1');
    expect(log.steps['heat-1']).toMatchObject({
      status: 'done',
      startMs: START + 40 * MINUTE_MS,
      endMs: START + 85 * MINUTE_MS,
    });
    expect(log.steps['boil-1']).toMatchObject({
      status: 'now',
      startMs: START + 85 * MINUTE_MS,
      endMs: null,
    });
    expect(log.steps['strain-1']!.status).toBe('later');
    expect(log.actuals['heat-1']).toMatchObject({ startMin: 40, endMin: 85 });
  });

  it('the clock runs from where the cook said it boils', () => {
    const now = batchAt(program, KITCHEN, TABLES, toTheBoil(), START + 95 * MINUTE_MS);
    expect(now.clock).toMatchObject({
      stepId: 'boil-1',
      kind: 'timed',
      startMs: START + 85 * MINUTE_MS,
      endMs: START + 110 * MINUTE_MS,
    });
    expect(now.moment!.trace.at(-1)!.now.tempC).toBe(100);
  });

  it('“it boiled six minutes ago” moves the clock and the extraction', () => {
    const events = toTheBoil();
    const boiled = events.at(-1)!;
    const later = at(91, { kind: 'retimed', body: { target: boiled.id, toMs: START + 79 * MINUTE_MS } });
    const before = batchAt(program, KITCHEN, TABLES, events, START + 91 * MINUTE_MS);
    const after = batchAt(program, KITCHEN, TABLES, [...events, later], START + 91 * MINUTE_MS);
    expect(before.clock!.endMs - after.clock!.endMs).toBe(6 * MINUTE_MS);
    const ginger = (now: typeof before) => now.moment!.trace.at(-1)!.drawn.ginger!;
    expect(ginger(after)).toBeGreaterThan(ginger(before));
  });

  it('the pot’s own pace replaces the predicted one, and the rest follows in time', () => {
    const plan = simulateBatch(program, KITCHEN, TABLES);
    const now = batchAt(program, KITCHEN, TABLES, toTheBoil(), START + 86 * MINUTE_MS);
    const heat = now.forecast.trace.find((t) => t.stepId === 'heat-1')!;
    expect(heat.endMin - heat.startMin).toBeCloseTo(45, 6);
    expect(heat.now.tempC).toBeCloseTo(100, 6);
    const boilEnd = now.forecast.trace.find((t) => t.stepId === 'boil-1')!.endMin;
    expect(boilEnd).toBeCloseTo(110, 6);
    expect(now.forecast.endMin - boilEnd).toBeCloseTo(
      plan.endMin - plan.trace.find((t) => t.stepId === 'boil-1')!.endMin,
      -0.5,
    );
  });

  it('a boil left too long goes on boiling away in the forecast', () => {
    const late = batchAt(program, KITCHEN, TABLES, toTheBoil(), START + 180 * MINUTE_MS);
    const onTime = batchAt(program, KITCHEN, TABLES, toTheBoil(), START + 100 * MINUTE_MS);
    expect(late.forecast.trace.at(-1)!.now.volumeL).toBeLessThan(
      onTime.forecast.trace.at(-1)!.now.volumeL - 0.1,
    );
    expect(late.clock!.endMs).toBe(onTime.clock!.endMs);
  });

  it('rinses are counted from taps, and an entry at the end wins', () => {
    const rinse = (m: number) => at(m, { kind: 'cueSeen', body: { stepId: 'wash', cue: 'rinse' } });
    const base = [
      at(0, { kind: 'stepStarted', body: { stepId: 'pick' } }),
      at(6, { kind: 'stepEnded', body: { stepId: 'pick' } }),
      rinse(7),
      rinse(8),
      rinse(9),
    ];
    expect(
      foldBatch(program, [...base, at(10, { kind: 'stepEnded', body: { stepId: 'wash' } })]).actuals.wash!
        .rinses,
    ).toBe(3);
    expect(
      foldBatch(program, [...base, at(10, { kind: 'stepEnded', body: { stepId: 'wash', rinses: 5 } })])
        .actuals.wash!.rinses,
    ).toBe(5);
  });

  it('clocks of the cook’s own stand beside, several at once, until they are stopped', () => {
    const events = [
      ...toTheBoil(),
      at(86, { kind: 'clockStarted', body: { clockId: 'c1', label: 'Spice pot', minutes: 10 } }),
      at(87, { kind: 'clockStarted', body: { clockId: 'c2', label: 'Peel', minutes: 5 } }),
    ];
    expect(foldBatch(program, events).clocks.map((c) => [c.id, c.endMs])).toEqual([
      ['c1', START + 96 * MINUTE_MS],
      ['c2', START + 92 * MINUTE_MS],
    ]);
    expect(
      foldBatch(program, [...events, at(93, { kind: 'cueSeen', body: { clockId: 'c2', cue: 'stopped' } })])
        .clocks,
    ).toHaveLength(1);
  });

  it('sweetener added is booked, tastes move the target, and what is left follows', () => {
    const done = ids
      .slice(ids.indexOf('boil-1'), ids.indexOf('sweeten'))
      .map((stepId, i) => at(110 + 10 * i, { kind: 'stepEnded', body: { stepId } }));
    const add = at(150, {
      kind: 'added',
      body: {
        stepId: 'sweeten',
        vesselId: 'tub',
        lineKind: 'sweetener',
        itemId: 'sugar-cane-raw',
        lineId: 'sugar',
        massG: 500,
      },
    });
    const now = (events: LogEvent[]) => batchAt(program, KITCHEN, TABLES, events, START + 155 * MINUTE_MS);
    const plain = now([...toTheBoil(), ...done]);
    const some = now([...toTheBoil(), ...done, add]);
    const left = (b: typeof plain) => b.forecast.trace.find((t) => t.kind === 'sweeten')!.dosedG.sugar!;
    // 500 g in: 500 g fewer to come, for the same litres and sweetness at the end.
    expect(left(plain) - left(some)).toBeCloseTo(500, 0);
    const sweetNow = some.moment!.trace.at(-1)!.now.sweetnessPct;
    const right = now([
      ...toTheBoil(),
      ...done,
      add,
      at(152, { kind: 'tasted', body: { stepId: 'sweeten', axes: { sweet: 0 }, atSweetnessPct: sweetNow } }),
    ]);
    expect(left(right)).toBeCloseTo(0, 0);
    const tooSweet = now([
      ...toTheBoil(),
      ...done,
      add,
      at(152, { kind: 'tasted', body: { stepId: 'sweeten', axes: { sweet: 1 }, atSweetnessPct: sweetNow } }),
    ]);
    expect(tooSweet.log.actuals.sweeten!.targetSweetnessPct).toBeLessThan(sweetNow);
  });

  it('cannot be made unreadable: any events in any order fold', () => {
    const stepId = fc.constantFrom(...ids, 'nothing');
    const deed: fc.Arbitrary<EventBody> = fc.oneof(
      fc.record({ kind: fc.constant('stepStarted' as const), body: fc.record({ stepId }) }),
      fc.record({ kind: fc.constant('stepEnded' as const), body: fc.record({ stepId }) }),
      fc.record({ kind: fc.constant('skipped' as const), body: fc.record({ stepId }) }),
      fc.record({
        kind: fc.constant('measured' as const),
        body: fc.record({
          stepId,
          vesselId: fc.constantFrom('pot', 'tub', 'moon'),
          reading: fc.constant({ what: 'volume' as const, volumeL: 8, atC: 20 }),
        }),
      }),
      fc.record({
        kind: fc.constant('retimed' as const),
        body: fc.record({
          target: fc.constantFrom('x0', 'x1', 'x2'),
          toMs: fc.integer({ min: START, max: START + 1e7 }),
        }),
      }),
      fc.record({
        kind: fc.constant('undone' as const),
        body: fc.record({ target: fc.constantFrom('x0', 'x1', 'x2', 'x3') }),
      }),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(deed, fc.integer({ min: 0, max: 2000 })), { maxLength: 14 }), (deeds) => {
        const events = deeds.map(([d, minute], i) => at(minute, d, `x${i}`));
        const now = batchAt(program, KITCHEN, TABLES, events, START + 3000 * MINUTE_MS);
        for (const t of now.forecast.trace)
          expect(Number.isFinite(t.now.volumeL) && t.endMin >= t.startMin - 1e-9).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});

describe('a bottle from its log', () => {
  it('is opened, poured, moved and finished', () => {
    const log = foldItem(START, [
      at(10, { kind: 'poured', body: { volumeMl: 200 } }),
      at(20, { kind: 'moved', body: { place: 'counter' } }),
      at(30, { kind: 'poured', body: { volumeMl: 150 } }),
      at(40, { kind: 'finished', body: {} }),
    ]);
    expect(log).toMatchObject({
      openedMs: START + 10 * MINUTE_MS,
      pouredMl: 350,
      finishedMs: START + 40 * MINUTE_MS,
      discarded: null,
    });
    expect(log.places.map((p) => p.place)).toEqual(['fridge', 'counter']);
  });
});

describe('two devices on one batch', () => {
  it('a step that both have ended ended when the first of them said so, in whatever order they arrive', () => {
    const first = at(100, { kind: 'stepEnded', body: { stepId: 'boil-1' } }, 'first');
    const second = at(103, { kind: 'stepEnded', body: { stepId: 'boil-1' } }, 'second');
    for (const events of [
      [...toTheBoil(), first, second],
      [second, first, ...toTheBoil()],
    ]) {
      const log = foldBatch(program, events);
      expect(log.steps['boil-1']!.endMs).toBe(START + 100 * MINUTE_MS);
      expect(log.doubled).toEqual(['second']);
    }
  });
  it('when the first is taken back the second counts', () => {
    const log = foldBatch(program, [
      ...toTheBoil(),
      at(100, { kind: 'stepEnded', body: { stepId: 'boil-1' } }, 'one'),
      at(103, { kind: 'stepEnded', body: { stepId: 'boil-1' } }, 'two'),
      at(104, { kind: 'undone', body: { target: 'one' } }),
    ]);
    expect(log.steps['boil-1']!.endMs).toBe(START + 103 * MINUTE_MS);
    expect(log.doubled).toEqual([]);
  });
});

describe('what was said with one tap', () => {
  const tap = (id: string, ms: number, deviceSeq: number, deviceId = 'd'): LogEvent =>
    ({
      ...at(0, { kind: 'noted', body: { text: id } }, id),
      atMs: START + ms,
      deviceSeq,
      deviceId,
    }) as LogEvent;
  it('is taken back with one tap: numbered on, a millisecond apart, on the same device', () => {
    const events = [
      tap('before', 0, 10),
      tap('a', 5000, 11),
      tap('b', 5001, 12),
      tap('c', 5002, 13),
      tap('other', 5001, 12, 'phone'),
    ];
    const ids = (id: string) => saidTogether(events, events.find((e) => e.id === id)!).map((e) => e.id);
    expect(ids('c')).toEqual(['a', 'b', 'c']);
    expect(ids('a')).toEqual(['a']);
    expect(ids('other')).toEqual(['other']);
  });
});

describe('a batch that is given up', () => {
  const stop = (minute: number) =>
    at(minute, { kind: 'stopped', body: { rest: 'pouredAway', code: 'stop.fell' } }, `stop-${minute}`);
  it('has no step on, no clock that calls, and ended when it was said', () => {
    const clock = at(86, { kind: 'clockStarted', body: { clockId: 'c', label: 'Peel', minutes: 20 } });
    const log = foldBatch(program, [...toTheBoil(), clock, stop(90)]);
    expect(log.currentStepId).toBeNull();
    expect(log.clocks).toEqual([]);
    expect(log.endedMs).toBe(START + 90 * MINUTE_MS);
    expect(log.stopped?.body.code).toBe('stop.fell');
    // What was done before stays done, what was on is not.
    expect(log.steps.pick?.status).toBe('done');
    expect(Object.values(log.steps).filter((s) => s.status === 'now')).toEqual([]);
    const now = batchAt(program, KITCHEN, TABLES, [...toTheBoil(), stop(90)], START + 95 * MINUTE_MS);
    expect(now.clock).toBeNull();
  });
  it('goes on where it was once that is taken back', () => {
    const before = foldBatch(program, toTheBoil());
    const undone = at(91, { kind: 'undone', body: { target: 'stop-90' } });
    const after = foldBatch(program, [...toTheBoil(), stop(90), undone]);
    expect(after.currentStepId).toBe(before.currentStepId);
    expect(after.stopped).toBeNull();
    expect(after.endedMs).toBeNull();
  });
  it('a batch whose last step is over was not given up, whatever is said afterwards', () => {
    const all = ids.map((stepId, i) => at(i + 1, { kind: 'stepEnded', body: { stepId } }));
    const start = at(0, { kind: 'stepStarted', body: { stepId: ids[0]! } });
    const log = foldBatch(program, [start, ...all, stop(ids.length + 5)]);
    expect(log.stopped).toBeNull();
    expect(log.endedMs).toBe(START + ids.length * MINUTE_MS);
  });
});
