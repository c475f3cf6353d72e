import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAY_MS } from '../units/time.ts';
import { type FilledInYear, type MadeInYear, yearOf } from './year.ts';

const MARCH = Date.UTC(2026, 2, 14, 9);
const made = (more: Partial<MadeInYear> = {}): MadeInYear => ({
  batchId: 'a',
  recipeId: 'red',
  startedMs: MARCH,
  litres: 6,
  score: 4,
  cost: 3,
  ...more,
});
const bottle = (more: Partial<FilledInYear> = {}): FilledInYear => ({
  batchId: 'a',
  recipeId: 'red',
  filledMs: MARCH,
  volumeMl: 1000,
  leftMl: 1000,
  goneMs: null,
  fate: 'there',
  waste: null,
  ...more,
});
/** One that was thrown out so many days after it was filled, and keeps five. */
const wasted = (days: number, more: Partial<FilledInYear> = {}, openedMs: number | null = null) =>
  bottle({ fate: 'thrownOut', goneMs: MARCH + days * DAY_MS, waste: { openedMs, sealedDays: 5 }, ...more });

describe('a year of a kitchen', () => {
  it('by hand: two drinks, six bottles, what they cost and where they went', () => {
    const year = yearOf(
      2026,
      'UTC',
      [
        made(),
        made({ batchId: 'b', recipeId: 'ginger', litres: 2, cost: null, score: null }),
        made({ batchId: 'c', startedMs: MARCH + 60 * DAY_MS, score: 5 }),
        made({ batchId: 'last', startedMs: Date.UTC(2025, 11, 31) }),
      ],
      [
        bottle({ fate: 'drunk', goneMs: MARCH + DAY_MS }),
        bottle({ fate: 'given', goneMs: MARCH + DAY_MS }),
        bottle({ leftMl: 750 }),
        // Half of it was poured away: a smaller bottle would have been finished.
        wasted(3, { leftMl: 500 }, MARCH),
        wasted(6),
        wasted(4),
        wasted(0, { batchId: 'last' }),
      ],
    );
    expect(year).toMatchObject({ batches: 3, litres: 14, money: 6, uncounted: 1, thrownOutL: 2.5 });
    expect(year).toMatchObject({ drunkL: 1 + 0.25 + 0.5, givenL: 1, thereL: 0.75 });
    // Three litres cost half of six: half a unit of money a litre.
    expect(year.avoidable).toEqual([
      { by: 'lessOrFrozen', litres: 1, money: 0.5 },
      { by: 'colder', litres: 1, money: 0.5 },
      { by: 'smallerBottles', litres: 0.5, money: 0.25 },
    ]);
    expect(year.drinks).toEqual([
      { recipeId: 'red', batches: 2, litres: 12, money: 6, thrownOutL: 2.5, score: 4.5 },
      { recipeId: 'ginger', batches: 1, litres: 2, money: 0, thrownOutL: 0, score: null },
    ]);
    expect(year.months.map((m) => m.batches)).toEqual([0, 0, 2, 0, 1, 0, 0, 0, 0, 0, 0, 0]);
  });

  it('begins and ends with the kitchen’s own days', () => {
    const newYear = made({ startedMs: Date.UTC(2025, 11, 31, 23, 30) });
    expect(yearOf(2026, 'Europe/Paris', [newYear], []).months[0]).toMatchObject({ batches: 1 });
    expect(yearOf(2026, 'UTC', [newYear], []).batches).toBe(0);
  });

  it('loses no litre: what was filled was drunk, given, thrown out, or stands there', () => {
    const bottles = fc.array(
      fc.record({
        volumeMl: fc.integer({ min: 100, max: 2000 }),
        share: fc.double({ min: 0, max: 1, noNaN: true }),
        opened: fc.boolean(),
        fate: fc.constantFrom('there' as const, 'drunk' as const, 'given' as const, 'thrownOut' as const),
        days: fc.integer({ min: 0, max: 20 }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(bottles, (drawn) => {
        const filled = drawn.map(({ volumeMl, share, opened, fate, days }) => {
          const poured = { volumeMl, leftMl: volumeMl * (1 - share) };
          return fate === 'thrownOut'
            ? wasted(days, poured, opened ? MARCH : null)
            : bottle({ ...poured, fate, goneMs: fate === 'there' ? null : MARCH + days * DAY_MS });
        });
        const year = yearOf(2026, 'UTC', [made()], filled);
        const allL = filled.reduce((sum, b) => sum + b.volumeMl, 0) / 1000;
        expect(year.drunkL + year.givenL + year.thereL + year.thrownOutL).toBeCloseTo(allL, 6);
        expect(year.avoidable.reduce((sum, w) => sum + w.litres, 0)).toBeCloseTo(year.thrownOutL, 6);
      }),
    );
  });
});
