import { describe, expect, it } from 'vitest';
import { madeBatchOf } from '../learn/madeBatch.ts';
import { readsOf } from '../learn/readings.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { MINUTE_MS } from '../units/time.ts';
import { foldBatch } from './foldBatch.ts';
import { toldAt } from './told.fixtures.ts';
import { writtenUp } from './writtenUp.ts';

const START = 1_800_000_000_000;
const program = plannedDrink('deep-calyx-ginger', 'straightBoil', 8);
const sim = simulateBatch(program, KITCHEN, TABLES);
const bottle = program.steps.find((s) => s.kind === 'bottle')!;
const filled = {
  stepId: bottle.id,
  hygiene: 'clean' as const,
  bottles: [
    { itemId: 'b1', sizeId: 'tall', name: 'Tall', sizeMl: 4000, volumeMl: 3900, diameterCm: 15 },
    { itemId: 'b2', sizeId: 'tall', name: 'Tall', sizeMl: 4000, volumeMl: 3900, diameterCm: 15 },
  ],
};
const folded = (deeds: ReturnType<typeof writtenUp>) =>
  foldBatch(
    program,
    deeds.map(({ deed, atMs }, i) => toldAt(atMs, i, deed)),
  );

describe('a batch that is written up afterwards', () => {
  it('stands at the step that is said, the steps before it done at the minutes of the model', () => {
    for (const { id } of program.steps) {
      const log = folded(writtenUp(program, sim, START, id));
      expect(log.currentStepId).toBe(id);
      expect(log.startedMs).toBe(START);
      const entry = sim.trace.find((t) => t.stepId === id)!;
      expect(log.steps[id]!.startMs).toBeCloseTo(START + entry.startMin * MINUTE_MS, -1);
    }
  });

  it('is over where it was bottled, with its bottles', () => {
    const log = folded(writtenUp(program, sim, START, null, filled));
    expect(log.currentStepId).toBeNull();
    expect(log.endedMs).toBe(Math.round(START + sim.endMin * MINUTE_MS));
    expect(log.bottled.flatMap((b) => b.bottles.map((x) => x.itemId))).toEqual(['b1', 'b2']);
  });

  it('teaches nothing of how long things take: its minutes are the model’s own. What was filled is read', () => {
    const made = madeBatchOf('b', folded(writtenUp(program, sim, START, null, filled)))!;
    expect(readsOf(made, TABLES).map((r) => r.what)).toEqual(['filled']);
    // Told step by step it does.
    const timed = writtenUp(program, sim, START, null, filled).map(({ deed, atMs }) =>
      deed.kind === 'stepEnded'
        ? { atMs, deed: { ...deed, body: { stepId: deed.body.stepId } } }
        : { atMs, deed },
    );
    expect(readsOf(madeBatchOf('b', folded(timed))!, TABLES).some((r) => r.what === 'minutes')).toBe(true);
  });
});
