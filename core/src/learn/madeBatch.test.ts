import { describe, expect, it } from 'vitest';
import { cookThrough } from '../instruments/cook.fixtures.ts';
import { massG } from '../liquor/composition.ts';
import { foldBatch } from '../log/foldBatch.ts';
import { toldAt } from '../log/told.fixtures.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import type { ModelFactors } from '../program/model/factors.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { solidsInfo } from '../program/simulate/state.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { factorsBy } from './forecast.ts';
import { learnFrom } from './learn.ts';
import { madeBatchOf } from './madeBatch.ts';
import { priorSpread } from './priors.ts';
import { readsOf } from './readings.ts';
import { residualsOf } from './sensitivities.ts';
import { type Evidence, solveBeliefs } from './solve.ts';

const kitchen = {
  ...KITCHEN,
  bottleSizes: [
    { id: 'tall', name: 'tall', volumeMl: 750, diameterCm: 8, count: 12 },
    { id: 'half', name: 'half', volumeMl: 500, diameterCm: 7, count: 12 },
  ],
};
const START = 1_800_000_000_000;
const WEEK_MS = 7 * 24 * 3_600_000;
const program = plannedDrink('deep-calyx-ginger', 'straightBoil', 8);
/** A ring that gives three quarters of what its label says. */
const HIDDEN = { power: 0.75 };

const cooked = (i: number) => cookThrough(program, kitchen, HIDDEN, START + i * WEEK_MS).events;
function evidenceOf(events: ReturnType<typeof cooked>, id: string): Evidence {
  const made = madeBatchOf(id, foldBatch(program, events))!;
  return {
    batchId: id,
    atMs: made.atMs,
    residuals: residualsOf(made, readsOf(made, TABLES), kitchen, TABLES),
  };
}
const learn = (evidence: readonly Evidence[]) =>
  solveBeliefs(evidence, { priorOf: (id) => priorSpread(id, TABLES), nowMs: null });
const boilMin = (factors: ModelFactors): number =>
  simulateBatch(program, kitchen, TABLES, { factors }).trace.find((t) => t.kind === 'heat')!.modelMin;

describe('batches that were cooked, step by step, in a kitchen whose ring is weaker than its label', () => {
  const logs = [0, 1, 2].map((i) => cooked(i));
  const evidence = logs.map((events, i) => evidenceOf(events, `b${i}`));

  it('the boil of the fourth is foretold within five per cent', () => {
    const learnt = learn(evidence);
    const really = boilMin(HIDDEN);
    // By the book it would be a quarter too soon.
    expect(boilMin({})).toBeLessThan(0.8 * really);
    const foretold = boilMin(factorsBy(learnt));
    expect(Math.abs(foretold - really)).toBeLessThan(0.05 * really);
  });

  it('all of it in one: what is known best comes first, and it can be stopped', () => {
    const batches = logs.map((events, i) => ({
      made: madeBatchOf(`b${i}`, foldBatch(program, events))!,
      kitchen,
      tables: TABLES,
    }));
    const told: number[] = [];
    const learnt = learnFrom(batches, TABLES, START + 3 * WEEK_MS, (done) => {
      told.push(done);
      return false;
    })!;
    expect(told).toEqual([1, 2, 3]);
    const ring = learnt.beliefs.find((b) => b.id === 'power:gas')!;
    expect(Math.abs(Math.exp(ring.mean) - 0.75)).toBeLessThan(0.05);
    expect(ring.batchIds).toEqual(['b0', 'b1', 'b2']);
    const open = learnt.beliefs.map((b) => b.spread / b.prior);
    expect(open).toEqual([...open].sort((a, b) => a - b));
    expect(learnFrom(batches, TABLES, START, (done) => done === 2)).toBeNull();
    expect(learnFrom([], TABLES, START, () => false)).toEqual({ beliefs: [], notApart: [], letGo: 0 });
  });

  it('a pot that is weighed with all that lies in it says nothing new where all is as foreseen', () => {
    const sim = simulateBatch(program, kitchen, TABLES);
    const boil = sim.trace.find((t) => t.kind === 'boil')!;
    const { massG: potG } = program.vessels.find((v) => v.id === boil.vesselId)!;
    const contentsG = massG(boil.after.liquor) + solidsInfo({ tables: TABLES }, boil.after).massG;
    const made = {
      id: 'weighed',
      atMs: START,
      program,
      filledL: null,
      actuals: {
        [boil.stepId]: {
          startMin: boil.startMin,
          endMin: boil.endMin,
          adjustments: [
            {
              kind: 'measured' as const,
              atMin: boil.endMin,
              vesselId: boil.vesselId,
              reading: { what: 'mass' as const, massKg: (contentsG + potG) / 1000, withVessel: true },
            },
          ],
        },
      },
    };
    const [weighed] = residualsOf(made, readsOf(made, TABLES), kitchen, TABLES);
    expect(weighed!.read.what).toBe('mass');
    expect(weighed!.value).toBeCloseTo(0, 6);
    // More steam, less in the pot.
    expect(weighed!.moves.get('boilOff:blue')).toBeLessThan(0);
  });

  it('a batch that was not made to its end tells nothing yet', () => {
    const half = logs[0]!.slice(0, Math.floor(logs[0]!.length / 2));
    expect(madeBatchOf('half', foldBatch(program, half))).toBeNull();
  });

  it('a reading that was taken back leaves no trace', () => {
    const events = logs[0]!;
    const measured = events.find((e) => e.kind === 'measured')!;
    const without = events.filter((e) => e !== measured);
    const taken = [
      ...events,
      toldAt(events.at(-1)!.atMs + 1, 9999, { kind: 'undone', body: { target: measured.id } }),
    ];
    expect(evidenceOf(taken, 'b')).toEqual(evidenceOf(without, 'b'));
    expect(evidenceOf(taken, 'b').residuals.length).toBeLessThan(evidenceOf(events, 'b').residuals.length);
  });
});
