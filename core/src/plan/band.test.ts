import { describe, expect, it } from 'vitest';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { BOOK } from '../program/book/book.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { HOUR_MS } from '../units/time.ts';
import { bandHours, bandOf } from './band.ts';
import { lanesOf } from './lanes.ts';

const drawn = (id: string, methodId: Parameters<typeof plannedDrink>[1]) => {
  const program = plannedDrink(id, methodId, 6);
  const sim = simulateBatch(program, KITCHEN, TABLES);
  return { band: bandOf(lanesOf(program, sim, TABLES)), sim };
};

describe('a drink as one band', () => {
  it('begins with its water, boils with its fruit, leaves it where it is strained, and ends as what is bottled', () => {
    const { band, sim } = drawn('calyx-pineapple', 'straightBoil');
    expect(band[0]).toMatchObject({ kind: 'combine', from: { litres: 0 }, x0: 0 });
    const boil = band.find((s) => s.kind === 'boil')!;
    expect(boil.to.solidsL).toBeGreaterThan(0.1);
    const leaving = band.filter((s) => s.solidsLeave);
    expect(leaving.map((s) => s.kind)).toEqual(['strain']);
    // Pineapple is juiced beside it, and the juice comes in when it is cool.
    expect(band.filter((s) => s.joins.length > 0)).toHaveLength(1);
    expect(band.at(-1)!.kind).toBe('bottle');
    expect(band.at(-1)!.to.litres).toBeCloseTo(finishedL(sim), 1);
    expect(band.at(-1)!.x1).toBeCloseTo(1, 9);
  });
  it('has no gap, for any drink of the book by any of its ways', () => {
    for (const recipe of BOOK)
      for (const methodId of recipe.methods) {
        const { band } = drawn(recipe.id, methodId);
        expect(band.length, `${recipe.id} ${methodId}`).toBeGreaterThan(1);
        for (const [i, span] of band.entries()) {
          if (i === 0) continue;
          expect(span.from).toBe(band[i - 1]!.to);
          expect(span.x0).toBeCloseTo(band[i - 1]!.x1, 9);
          expect(span.to.litres).toBeGreaterThan(0);
        }
      }
  });
  it('at its hours each stretch begins when the cook is called, and waits for her without a gap', () => {
    const span = (stepId: string, startMin: number, endMin: number) =>
      ({ ...drawn('calyx-pineapple', 'straightBoil').band[0]!, stepId, startMin, endMin }) as const;
    const call = { kind: 'strain' as const, attention: 'handsOn' as const };
    // Filled at 8:00 for ten minutes, steeps by itself, is strained at 20:00 and not at 12:10, is cold at 21:00.
    const hours = bandHours([span('fill', 0, 10), span('steep', 10, 250), span('strain', 250, 265)], {
      startMs: 8 * HOUR_MS,
      readyMs: 21 * HOUR_MS,
      calls: [
        { stepId: 'fill', startMs: 8 * HOUR_MS, endMs: 8 * HOUR_MS + 600_000, ...call },
        { stepId: 'strain', startMs: 20 * HOUR_MS, endMs: 20 * HOUR_MS + 900_000, ...call },
      ],
    });
    expect(hours.map((h) => [h.span.stepId, h.startMs, h.endMs])).toEqual([
      ['fill', 8 * HOUR_MS, 8 * HOUR_MS + 600_000],
      ['steep', 8 * HOUR_MS + 600_000, 20 * HOUR_MS],
      ['strain', 20 * HOUR_MS, 21 * HOUR_MS],
    ]);
  });
});
