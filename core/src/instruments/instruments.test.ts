import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MethodId } from '../documents/recipe.ts';
import { batchAt } from '../log/batchAt.ts';
import { foldBatch } from '../log/foldBatch.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { NO_FACTORS } from '../program/simulate/state.ts';
import { FRIDGE_LIFE, INSTRUMENT_ROWS, type InstrumentKind, LOSS } from '../tables/instruments.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { MINUTE_MS } from '../units/time.ts';
import { cookThrough, eventOf } from './cook.fixtures.ts';
import { rehearsalNow } from './rehearsal.ts';
import { fridgeAirC, isLost, simulatedReading, type Truth } from './simulated.ts';
import { hiddenFactors, simulateTruth } from './truth.ts';

const rowOf = (kind: InstrumentKind) => INSTRUMENT_ROWS.find((r) => r.kind === kind)!;
const still = (change: Partial<Truth>) => (): Truth => ({
  tempC: 60,
  massKg: 9,
  brix: 11,
  pH: 2.9,
  abvPct: 0,
  ...change,
});
const T0 = 1_795_500_000_000;
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

describe('simulated instruments', () => {
  it('every row has a source, a range and a step', () => {
    for (const row of INSTRUMENT_ROWS) {
      expect(row.source.length).toBeGreaterThan(20);
      expect(row.max).toBeGreaterThan(row.min);
      expect(row.step).toBeGreaterThan(0);
    }
    expect(new Set(INSTRUMENT_ROWS.map((r) => r.kind)).size).toBe(INSTRUMENT_ROWS.length);
  });
  it('a probe runs behind a pot that warms by one degree a minute: 25 s are 0.42 °C', () => {
    const warming = (atMs: number) => still({ tempC: 20 + (atMs - T0) / MINUTE_MS })();
    const misses = Array.from({ length: 400 }, (_, i) => {
      const atMs = T0 + 5 * MINUTE_MS + i * 3000;
      return (
        warming(atMs).tempC! - simulatedReading({ row: rowOf('probe'), seed: 3, atMs, truth: warming }).value!
      );
    });
    expect(mean(misses)).toBeCloseTo(25 / 60, 1);
    // And it trembles by its own noise, 0.15 °C.
    const spread = Math.sqrt(mean(misses.map((m) => (m - mean(misses)) ** 2)));
    expect(spread).toBeGreaterThan(0.1);
    expect(spread).toBeLessThan(0.2);
  });
  it('the same seed and moment give the same reading, another seed another', () => {
    const read = (seed: number) =>
      simulatedReading({ row: rowOf('probe'), seed, atMs: T0, truth: still({}) });
    expect(read(5)).toEqual(read(5));
    const values = Array.from({ length: 12 }, (_, seed) => read(seed).value);
    expect(new Set(values).size).toBeGreaterThan(3);
  });
  it('readings come in the steps of their kind', () => {
    fc.assert(
      fc.property(fc.constantFrom(...INSTRUMENT_ROWS), fc.integer({ min: 0, max: 5000 }), (row, s) => {
        const { value } = simulatedReading({ row, seed: 2, atMs: T0 + s * 1000, truth: still({}) });
        expect(Math.abs(value! / row.step - Math.round(value! / row.step))).toBeLessThan(1e-6);
      }),
    );
  });
  it('a scale shows what stands on it less its tare', () => {
    const at = (tareKg: number) =>
      simulatedReading({ row: rowOf('scale'), seed: 1, atMs: T0, truth: still({}), tareKg }).value!;
    expect(at(0)).toBeCloseTo(9, 1);
    expect(at(2.9)).toBeCloseTo(at(0) - 2.9, 2);
  });
  it.each([
    ['probe', { tempC: 130 }, 'outOfRange'],
    ['scale', { massKg: 44 }, 'outOfRange'],
    ['refractometer', { brix: 40 }, 'outOfRange'],
    ['refractometer', { abvPct: 4 }, 'alcohol'],
    ['phStrip', { pH: 7.4 }, 'outOfRange'],
    ['phStrip', { pH: null }, 'nothingThere'],
    ['probe', { tempC: null }, 'nothingThere'],
  ] as const)('a %s over %j shows nothing and says why', (kind, change, fault) => {
    expect(simulatedReading({ row: rowOf(kind), seed: 1, atMs: T0, truth: still(change) })).toEqual({
      atMs: T0,
      value: null,
      fault,
    });
  });
  it('is lost once in a while, for so long, and comes back', () => {
    for (const seed of [1, 2, 3]) {
      const minutes = Array.from({ length: LOSS.everyMin * 6 }, (_, i) => isLost(seed, i));
      expect(minutes.filter(Boolean)).toHaveLength(LOSS.forMin * 6);
      expect(minutes[0]).toBe(false);
      expect(minutes.lastIndexOf(false)).toBeGreaterThan(minutes.lastIndexOf(true) - LOSS.forMin * 2);
    }
  });
  it('a fridge is as cold as it is set, but for its door and its bad days, never warmer than the room', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 0, max: 60_000 }), (seed, minute) => {
        const c = fridgeAirC(seed, T0 + minute * MINUTE_MS, 4, 22);
        expect(c).toBeGreaterThanOrEqual(4);
        expect(c).toBeLessThanOrEqual(22);
      }),
    );
    const days = Array.from({ length: 40 }, (_, day) =>
      Math.max(
        ...Array.from({ length: 144 }, (_, i) =>
          fridgeAirC(9, T0 + (day * 1440 + i * 10) * MINUTE_MS, 4, 22),
        ),
      ),
    );
    // The door shows on every day; standing still on some.
    expect(days.every((c) => c > 4 + FRIDGE_LIFE.openingC * 0.3)).toBe(true);
    expect(days.filter((c) => c > 4 + FRIDGE_LIFE.openingC * 2).length).toBeGreaterThan(2);
    expect(days.filter((c) => c > 4 + FRIDGE_LIFE.openingC * 2).length).toBeLessThan(25);
  });
});

const programOf = (drinkId: string, methodId: MethodId) => plannedDrink(drinkId, methodId, 6);
const BOTTLED_KITCHEN = {
  ...KITCHEN,
  bottles: [
    { id: 'b750', name: 'Tall', volumeMl: 750, diameterCm: 8, material: 'glass' as const, count: 10 },
  ],
};
/** A simulated cook from the first step to the bottles. */
function rehearse(drinkId: string, methodId: MethodId, seed: number, probe = true) {
  const program = programOf(drinkId, methodId);
  const hidden = hiddenFactors(seed);
  const { events, endMs } = cookThrough(program, BOTTLED_KITCHEN, hidden, T0, (atMs, truthAt) =>
    probe ? simulatedReading({ row: rowOf('probe'), seed, atMs, truth: truthAt(atMs).at }).value : null,
  );
  return { program, events, hidden, endMs };
}

describe('a rehearsal', () => {
  it('its clock runs so many times as fast from where it was set', () => {
    const clock = { speed: 60, realMs: 1000, atMs: 500_000 };
    expect(rehearsalNow(clock, 1000)).toBe(500_000);
    expect(rehearsalNow(clock, 61_000)).toBe(500_000 + 3_600_000);
    expect(rehearsalNow(clock, 0)).toBe(500_000);
  });
  it.each([
    ['deep-calyx-ginger', 'doubleDraw'],
    ['deep-calyx-ginger', 'shortBoilLongSteep'],
    ['raw-ginger-spice', 'rawBlend'],
    ['citrus-vinegar-cordial', 'cordial'],
    ['lemongrass-ginger-mint', 'pourOver'],
    ['melon-calyx', 'overnightSoak'],
  ] as const)('%s by %s goes from the start to bottles', (drinkId, methodId) => {
    const { program, events } = rehearse(drinkId, methodId, 4);
    const log = foldBatch(program, events);
    expect(log.currentStepId).toBeNull();
    const bottledMl = log.bottled.flatMap((b) => b.bottles).reduce((sum, b) => sum + b.volumeMl, 0);
    // The kitchen is a little off, so are the litres: six were wished.
    expect(bottledMl / 1000).toBeGreaterThan(5);
    expect(bottledMl / 1000).toBeLessThan(7);
    expect(log.measured.some((e) => e.body.reading.what === 'volume')).toBe(true);
  });
  it('the weak flame of a rehearsal shows in what the readings teach the plan', () => {
    const seed = [1, 2, 3, 4, 5, 6, 7, 8, 9].find((s) => hiddenFactors(s).power < 0.85)!;
    const { program, events, hidden } = rehearse('deep-calyx-ginger', 'straightBoil', seed);
    const last = events.findLastIndex((e) => e.kind === 'measured' && e.body.reading.what === 'temperature');
    const until = events.slice(0, last + 1);
    const now = batchAt(program, BOTTLED_KITCHEN, TABLES, until, events[last]!.atMs);
    const pace = now.forecast.trace.find((t) => t.kind === 'heat')!.notes.find((n) => n.code === 'heat.pace');
    expect(pace!.params!.percent as number).toBeGreaterThan(100 * hidden.power - 15);
    expect(pace!.params!.percent as number).toBeLessThan(100 * hidden.power + 15);
  });
  it('without hidden differences the truth is what the model says at every moment', () => {
    const { program, events } = rehearse('deep-calyx-ginger', 'straightBoil', 2, false);
    const started = events.filter((e) => e.kind !== 'measured').slice(0, 7);
    const lastMs = started.at(-1)!.atMs;
    for (const minute of [1, 4, 9]) {
      const atMs = lastMs + minute * MINUTE_MS;
      const { at } = simulateTruth(program, BOTTLED_KITCHEN, TABLES, started, atMs, NO_FACTORS);
      const model = batchAt(program, BOTTLED_KITCHEN, TABLES, started, atMs).moment!.trace.at(-1)!.now;
      expect(at(atMs).tempC!).toBeCloseTo(model.tempC, 6);
      expect(at(atMs).brix!).toBeCloseTo(model.brix, 6);
    }
  });
  it('before anything was put together there is nothing to read', () => {
    const program = programOf('deep-calyx-ginger', 'straightBoil');
    expect(simulateTruth(program, KITCHEN, TABLES, [], T0, NO_FACTORS).at(T0).tempC).toBeNull();
    const begun = [eventOf({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, T0)];
    expect(
      simulateTruth(program, KITCHEN, TABLES, begun, T0 + 1000, NO_FACTORS).at(T0 + 500).tempC,
    ).toBeNull();
  });
});
