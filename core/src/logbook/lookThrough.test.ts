import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAY_MS } from '../units/time.ts';
import { costPerL, LOGBOOK_ORDERS, type LogbookRow, type LookedFor, lookThrough } from './lookThrough.ts';
import { FATES, type FilledShare, whereItWent } from './whereItWent.ts';

const share = (fate: FilledShare['fate'], filledL: number, leftL: number, frozen = false): FilledShare => ({
  fate,
  filledL,
  leftL,
  frozen,
});

describe('where a batch went', () => {
  it('by hand: what is poured is drunk, whatever became of the rest', () => {
    const went = whereItWent([
      share('drunk', 2, 0.3),
      share('given', 1, 1),
      share('thrownOut', 1, 0.4),
      share('there', 0.75, 0.75, true),
      share('there', 1, 0.5),
    ]);
    // 2 emptied, 0.6 of the one thrown out, 0.5 of the one that is open.
    expect(went.drunkL).toBeCloseTo(3.1, 9);
    expect(went).toMatchObject({ givenL: 1, thrownOutL: 0.4, frozenL: 0.75, thereL: 0.5 });
  });

  it('loses no litre', () => {
    const shares = fc.array(
      fc.record({
        fate: fc.constantFrom(...FATES),
        frozen: fc.boolean(),
        filledL: fc.double({ min: 0.1, max: 3, noNaN: true }),
        left: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(shares, (drawn) => {
        const all = drawn.map(({ fate, frozen, filledL, left }) =>
          share(fate, filledL, filledL * left, frozen),
        );
        const sum = Object.values(whereItWent(all)).reduce((a, b) => a + b, 0);
        expect(sum).toBeCloseTo(
          all.reduce((a, b) => a + b.filledL, 0),
          6,
        );
      }),
    );
  });
});

const row = (more: Partial<LogbookRow> & { startedMs: number }): LogbookRow => ({
  batchId: `b${more.startedMs}`,
  recipeId: 'red',
  minutes: 200,
  stopped: false,
  wishedL: 6,
  expectedL: 6,
  madeL: 6,
  sweetPct: 9,
  score: null,
  words: null,
  cost: null,
  went: null,
  lastedDays: null,
  ...more,
});
const went = (thrownOutL: number) => ({ drunkL: 1, givenL: 0, frozenL: 0, thereL: 0, thrownOutL });
const day = (month: number, date: number) => Date.UTC(2026, month - 1, date, 12);
const ANY: LookedFor = { text: null, quarter: null, atLeast: null, wasted: false, order: 'newest' };

const JANUARY = row({ startedMs: day(1, 10), score: 5, words: 'This is it', cost: 6, went: went(0) });
const MARCH = row({ startedMs: day(3, 3), recipeId: 'peel', cost: 9, madeL: 3, went: went(0.4) });
const JULY = row({ startedMs: day(7, 1), score: 3, went: went(1) });
const DECEMBER = row({ startedMs: day(12, 24), recipeId: 'peel', score: 4 });
const ALL = [MARCH, DECEMBER, JANUARY, JULY];
const look = (asked: Partial<LookedFor>, zone = 'UTC') => lookThrough(ALL, { ...ANY, ...asked }, zone);

describe('looked through', () => {
  it('finds all, the newest first, where nothing is asked', () => {
    expect(look({})).toEqual([DECEMBER, JULY, MARCH, JANUARY]);
  });

  it('finds by drink or by what was said of it', () => {
    const text = (drinkIds: string[], words: string) => ({ text: { drinkIds: new Set(drinkIds), words } });
    expect(look(text(['peel'], 'pee'))).toEqual([DECEMBER, MARCH]);
    expect(look(text([], 'this is'))).toEqual([JANUARY]);
    expect(look(text([], 'nothing'))).toEqual([]);
  });

  it('finds by the time of the year, as the calendar of the kitchen has it', () => {
    expect(look({ quarter: 0 })).toEqual([DECEMBER, JANUARY]);
    expect(look({ quarter: 1 })).toEqual([MARCH]);
    // Late in the evening of the last of February in the west is the first of March in London.
    const late = row({ startedMs: Date.UTC(2026, 2, 1, 2) });
    const found = (zone: string) => lookThrough([late], { ...ANY, quarter: 1 }, zone).length;
    expect([found('UTC'), found('America/Chicago')]).toEqual([1, 0]);
  });

  it('finds by score and by what was thrown out', () => {
    expect(look({ atLeast: 4 })).toEqual([DECEMBER, JANUARY]);
    expect(look({ wasted: true })).toEqual([JULY, MARCH]);
  });

  it('orders by score, by what a litre cost, by what was thrown out; what is not known stands last', () => {
    expect(look({ order: 'best' })).toEqual([JANUARY, DECEMBER, JULY, MARCH]);
    // 9 for three litres are dearer than 6 for six; of the other two nobody has counted it.
    expect(costPerL(MARCH)).toBe(3);
    expect(look({ order: 'dearest' })).toEqual([MARCH, JANUARY, DECEMBER, JULY]);
    expect(look({ order: 'thrownOut' })).toEqual([JULY, MARCH, JANUARY, DECEMBER]);
  });

  it('an order changes what stands first and never what is found', () => {
    const rows = fc.array(
      fc.record({
        at: fc.integer({ min: 0, max: 900 }),
        score: fc.option(fc.integer({ min: 1, max: 5 })),
        cost: fc.option(fc.integer({ min: 0, max: 9 })),
      }),
    );
    fc.assert(
      fc.property(rows, fc.constantFrom(...LOGBOOK_ORDERS), (drawn, order) => {
        const all = drawn.map(({ at, score, cost }, i) =>
          row({ batchId: `r${i}`, startedMs: at * DAY_MS, score, cost }),
        );
        const found = lookThrough(all, { ...ANY, order }, 'UTC');
        expect(found.map((r) => r.batchId).sort()).toEqual(all.map((r) => r.batchId).sort());
      }),
    );
  });
});
