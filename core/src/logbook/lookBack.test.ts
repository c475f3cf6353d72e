import { describe, expect, it } from 'vitest';
import { batchAt } from '../log/batchAt.ts';
import type { EventBody, LogEvent } from '../log/events/table.ts';
import { toldAt } from '../log/told.fixtures.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { BOOK } from '../program/book/book.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { MINUTE_MS } from '../units/time.ts';
import { lookBack } from './lookBack.ts';

const START = 1_800_000_000_000;
const recipe = BOOK.find((r) => r.id === 'deep-calyx-ginger')!;
const program = plannedDrink(recipe.id, 'straightBoil', 8);
const planned = simulateBatch(program, KITCHEN, TABLES);

const sweeten = planned.trace.find((t) => t.kind === 'sweeten')!;

/** Every step ended at its minute of the plan, but for what is said otherwise. */
function made(
  lateMin: Readonly<Record<string, number>> = {},
  more: readonly (EventBody & { atMin: number })[] = [],
) {
  let late = 0;
  const deeds: (EventBody & { atMin: number })[] = [
    { kind: 'stepStarted', body: { stepId: program.steps[0]!.id }, atMin: 0 },
    ...planned.trace.map(({ stepId, endMin }) => {
      late += lateMin[stepId] ?? 0;
      return { kind: 'stepEnded' as const, body: { stepId }, atMin: endMin + late };
    }),
    // The sweetener as the plan has it.
    ...program.lines.flatMap((line): (EventBody & { atMin: number })[] => {
      const massG = planned.dosedG[line.id];
      if (!massG) return [];
      const { stepId, vesselId, startMin } = sweeten;
      const body = { stepId, vesselId, lineKind: line.kind, itemId: line.itemId, lineId: line.id, massG };
      return [{ kind: 'added', body, atMin: startMin + 1 + late }];
    }),
    ...more,
  ];
  return deeds
    .sort((a, b) => a.atMin - b.atMin)
    .map(({ atMin, ...deed }, i) => toldAt(START + atMin * MINUTE_MS, i, deed));
}
const boil = program.steps.find((s) => s.kind === 'boil')!;
const looked = (events: readonly LogEvent[]) => {
  const now = batchAt(program, KITCHEN, TABLES, events, events.at(-1)!.atMs);
  return lookBack(program, KITCHEN, TABLES, now, { kind: 'litres', litres: 8 });
};

describe('a batch beside its plan', () => {
  it('went as planned where every step took its minutes', () => {
    const back = looked(made());
    expect(back.otherwise).toEqual([]);
    expect(back.minutes.real).toBeCloseTo(planned.endMin, 3);
    expect(back.litres.planned).toBeCloseTo(8, 1);
    expect(back.bottledL).toBeNull();
    expect(back.litres.real).toBeCloseTo(back.litres.planned, 2);
    expect(back.sweetnessPct.real).toBeCloseTo(back.sweetnessPct.planned, 2);
    for (const step of back.steps) expect(step.realMin).toBeCloseTo(step.plannedMin, 3);
  });

  it('names the step that took longer, and by how much', () => {
    const back = looked(made({ [boil.id]: 40 }));
    expect(back.otherwise).toContainEqual({ kind: 'longer', stepId: boil.id, byMin: expect.closeTo(40, 3) });
    expect(back.minutes.real! - back.minutes.planned).toBeCloseTo(40, 3);
    // Forty minutes more at the boil is less in the bottles.
    expect(back.litres.real!).toBeLessThan(back.litres.planned - 0.3);
  });

  it('counts the bottles that were filled beside what was made: some of it was drunk at once', () => {
    const bottle = program.steps.find((s) => s.kind === 'bottle')!;
    const bottles = Array.from({ length: 6 }, (_, i) => ({
      itemId: `i${i}`,
      sizeId: 'l',
      sizeMl: 1000,
      volumeMl: 1000,
      diameterCm: 8,
      placeId: 'fridge',
    }));
    const fill = {
      kind: 'bottled',
      body: { stepId: bottle.id, hygiene: 'clean', bottles },
    } as unknown as EventBody;
    const at = planned.trace.find((t) => t.stepId === bottle.id)!.endMin - 0.5;
    const back = looked(made({}, [{ ...fill, atMin: at }]));
    expect(back.bottledL).toBe(6);
    expect(back.litres.real).toBeCloseTo(back.litres.planned, 1);
  });

  it('leaves open what the log does not say: a batch that was stopped has no litres', () => {
    const events = made().slice(0, 4);
    const stopped = { kind: 'stopped', body: { reason: 'other' } } as unknown as EventBody;
    const last = events.at(-1)!;
    const back = looked([
      ...events,
      { ...last, ...stopped, id: 'stop', atMs: last.atMs + MINUTE_MS, deviceSeq: 99 } as LogEvent,
    ]);
    expect(back.litres.real).toBeNull();
    expect(back.sweetnessPct.real).toBeNull();
  });
});
