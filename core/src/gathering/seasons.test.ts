import { describe, expect, it } from 'vitest';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { SEASON_ROWS } from '../tables/seasons.ts';
import { KITCHEN, programLine, recipeLine, TABLES } from '../testKitchen.ts';
import { seasonDates } from './seasons.ts';

const DAY = 24 * 3_600_000;
/** A Saturday in December, at six. */
const SERVES_MS = Date.UTC(2027, 11, 4, 18);
const drinkWith = (id: string, ...lines: ReturnType<typeof programLine>[]) => {
  const program = { ...plannedDrink('deep-calyx-ginger', 'straightBoil', 5), lines };
  return { id, made: { program, sim: simulateBatch(program, KITCHEN, TABLES) }, begun: null };
};
const calyx = (massG: number, form = 'dried') => programLine(recipeLine('calyx', `hibiscus-${form}`, massG));
const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);

describe('sow by, pick between, order by', () => {
  it('counts back from the first job of the drink', () => {
    const madeMs = Date.UTC(2027, 11, 1, 9);
    const [dates] = seasonDates(
      { servesAtMs: SERVES_MS },
      [drinkWith('a', calyx(300))],
      () => madeMs,
      TABLES,
    );
    // Ten days to dry: picked by 21 November; sown 180 days before that, on 25 May; ordered two weeks before.
    expect(dates).toMatchObject({ familyId: 'hibiscus', form: 'dried', begins: 'seed', massG: 300 });
    expect([dates!.pickToMs, dates!.sowByMs, dates!.orderByMs].map(day)).toEqual([
      '2027-11-21',
      '2027-05-25',
      '2027-11-17',
    ]);
    // Dried it is good for a year.
    expect(day(dates!.useByMs)).toBe(day(madeMs + 365 * DAY));
    expect(day(dates!.pickFromMs)).toBe(day(madeMs - 365 * DAY));
  });

  it('takes fresh ones to be picked within days, and from the market two days before', () => {
    const [dates] = seasonDates(
      { servesAtMs: SERVES_MS },
      [drinkWith('a', calyx(900, 'fresh'))],
      () => null,
      TABLES,
    );
    // Made two days before it is served, where its hours are not found: on 2 December.
    expect(dates).toMatchObject({ form: 'fresh' });
    expect([dates!.pickFromMs, dates!.pickToMs, dates!.orderByMs].map(day)).toEqual([
      '2027-11-25',
      '2027-12-02',
      '2027-11-30',
    ]);
  });

  it('puts one plant of several drinks together, at the day of the first; what is begun needs no more', () => {
    const soonerMs = SERVES_MS - 5 * DAY;
    const drinks = [drinkWith('a', calyx(300)), drinkWith('b', calyx(200))];
    const begins = (id: string) => (id === 'b' ? soonerMs : SERVES_MS - 3 * DAY);
    const [dates, ...more] = seasonDates({ servesAtMs: SERVES_MS }, drinks, begins, TABLES);
    expect(more).toEqual([]);
    expect(dates).toMatchObject({ drinkIds: ['a', 'b'], massG: 500 });
    expect(dates!.pickToMs).toBe(soonerMs - 10 * DAY);
    const begun = { startedMs: 0, currentStepId: null };
    expect(seasonDates({ servesAtMs: SERVES_MS }, [{ ...drinks[0]!, begun }], begins, TABLES)).toEqual([]);
  });

  it('knows its plants, and each has a span that makes sense', () => {
    for (const row of SEASON_ROWS) {
      expect(
        FAMILY_ROWS.some((f) => f.id === row.familyId),
        row.familyId,
      ).toBe(true);
      const [soonest, latest] = row.toHarvestDays;
      expect(soonest, row.familyId).toBeLessThan(latest);
      expect(row.dried ? row.dried.goodDays : latest, row.familyId).toBeGreaterThan(row.freshDays);
    }
    expect(new Set(SEASON_ROWS.map((r) => r.familyId)).size).toBe(SEASON_ROWS.length);
  });
});
