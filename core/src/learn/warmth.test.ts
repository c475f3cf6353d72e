import { describe, expect, it } from 'vitest';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import type { FactorId } from '../program/model/factors.ts';
import type { Reading, StepActual, TraceEntry } from '../program/model/simulation.ts';
import type { StepKind } from '../program/model/steps.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { type MadeBatch, readsOf } from './readings.ts';
import { residualsOf } from './sensitivities.ts';
import { warmthAt } from './warmth.ts';

const entryOf = (more: Partial<TraceEntry>, startC: number): TraceEntry =>
  ({ startMin: 30, endMin: 40, modelMin: 10, before: { liquor: { tempC: startC } }, ...more }) as TraceEntry;

describe('how warm the model has a pot', () => {
  it('by hand: halfway down a straight line, and beyond its end as it went last', () => {
    const cooling = entryOf({ kind: 'cool', curve: [{ atMin: 40, tempC: 50 }] }, 90);
    expect(warmthAt(cooling, 5)).toBeCloseTo(70, 9);
    expect(warmthAt(cooling, 15)).toBeCloseTo(30, 9);
  });

  it('by hand: heating is drawn in the minutes that it took, and read in those of the model', () => {
    // From 20 to 100 °C it took twenty minutes; the model gave it ten, so at its fifth it is halfway.
    const heating = entryOf({ kind: 'heat', endMin: 50, curve: [{ atMin: 50, tempC: 100 }] }, 20);
    expect(warmthAt(heating, 5)).toBeCloseTo(60, 9);
  });

  it('is nothing without a line', () => {
    expect(warmthAt(entryOf({ kind: 'cool', curve: [] }, 90), 5)).toBeNull();
  });
});

/** A batch in a kitchen that differs in one thing, of which nothing but one reading is told. */
function told(
  kind: StepKind,
  factors: Partial<Record<FactorId, number>>,
  share: number,
  read: (entry: TraceEntry, atMin: number) => Reading,
  more: Partial<StepActual> = {},
) {
  // Of all drinks it is this one that steeps for hours while it is still hot.
  const program =
    kind === 'steep'
      ? plannedDrink('spiced-cranberry-punch', 'shortBoilLongSteep', 6)
      : plannedDrink('deep-calyx-ginger', 'straightBoil', 8);
  const truth = simulateBatch(program, KITCHEN, TABLES, { factors });
  const entry = truth.trace.find((t) => t.kind === kind)!;
  const atMin = entry.startMin + share * (entry.endMin - entry.startMin);
  const actuals: Record<string, StepActual> = Object.fromEntries(
    truth.trace.map((t) => [t.stepId, { startMin: t.startMin, endMin: t.endMin, adjustments: [] }]),
  );
  const reading = read(entry, atMin);
  actuals[entry.stepId] = {
    startMin: entry.startMin,
    endMin: entry.endMin,
    ...more,
    adjustments: [
      ...(more.adjustments ?? []),
      { kind: 'measured', atMin, vesselId: entry.vesselId, reading },
    ],
  };
  const made: MadeBatch = { id: 'b', atMs: 0, program, actuals, madeFrom: [], filledL: null, likedPct: {} };
  const reads = readsOf(made, TABLES).filter((r) => r.what === reading.what);
  return residualsOf(made, reads, KITCHEN, TABLES);
}

/** A thermometer in a pot that is followed along its line. */
const thermometer = (entry: TraceEntry, atMin: number): Reading => {
  const line = [{ atMin: entry.startMin, tempC: entry.before.liquor.tempC }, ...entry.curve];
  const i = line.findIndex((p) => p.atMin >= atMin);
  const [a, b] = [line[i - 1]!, line[i]!];
  return {
    what: 'temperature',
    tempC: a.tempC + ((b.tempC - a.tempC) * (atMin - a.atMin)) / (b.atMin - a.atMin),
  };
};

describe('a temperature with its time', () => {
  const cases: [StepKind, FactorId, number][] = [
    ['heat', 'power', 0.8],
    ['heat', 'power', 1.2],
    ['cool', 'heatLoss', 0.75],
    ['cool', 'heatLoss', 1.25],
    ['steep', 'heatLoss', 0.7],
  ];
  it.each(cases)('halfway through a %s tells %s, here %d of the book', (kind, id, factor) => {
    const [residual] = told(kind, { [id]: factor }, 0.5, thermometer);
    const by = [...residual!.moves].filter(([of]) => of.startsWith(id)).reduce((sum, [, m]) => sum + m, 0);
    // What was read is off by what this factor does, and by nothing else.
    expect(Math.abs(by * Math.log(factor))).toBeGreaterThan(2 * residual!.read.spread);
    expect(residual!.value / (by * Math.log(factor))).toBeGreaterThan(0.7);
    expect(residual!.value / (by * Math.log(factor))).toBeLessThan(1.3);
  });

  it('tells nothing of a kitchen that is as the book says', () => {
    for (const kind of ['heat', 'cool', 'steep'] as const)
      expect(told(kind, {}, 0.5, thermometer)[0]!.value).toBeCloseTo(0, 3);
  });

  it('tells nothing after something was thrown in, in a step whose minutes nobody knows, or at its first minute', () => {
    const ice = {
      kind: 'added' as const,
      atMin: 0,
      vesselId: 'pot',
      lineKind: 'liquid' as const,
      itemId: 'water',
      lineId: 'ice',
      massG: 500,
    };
    expect(told('cool', {}, 0.5, thermometer, { adjustments: [ice] })).toEqual([]);
    expect(told('cool', {}, 0.5, thermometer, { untimed: true })).toEqual([]);
    expect(told('cool', {}, 0.001, thermometer)).toEqual([]);
  });
});
