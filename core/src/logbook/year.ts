import { TZDate } from '@date-fns/tz';
import { DAY_MS } from '../units/time.ts';
import { type Fate, type FilledShare, whereItWent } from './whereItWent.ts';

/** A batch that was made to its end, as far as a year's page asks for it. */
export interface MadeInYear {
  batchId: string;
  recipeId: string;
  startedMs: number;
  litres: number;
  score: number | null;
  /** What went into it and what its heat cost, in the kitchen's money; null: nobody has counted it. */
  cost: number | null;
}

/** A bottle that was filled, and what became of it. */
export interface FilledInYear {
  batchId: string;
  recipeId: string;
  filledMs: number;
  volumeMl: number;
  /** What had not been poured when it went, or has not yet. */
  leftMl: number;
  /** When it left the shelf; null: it stands there. */
  goneMs: number | null;
  fate: Fate;
  /** Of one that was thrown out: when it was opened, if it was, and for how many days it keeps closed and cold. */
  waste: { openedMs: number | null; sealedDays: number } | null;
}

/** What would have spared what was thrown out. */
export const AVOIDED_BY = ['smallerBottles', 'lessOrFrozen', 'colder'] as const;
export type AvoidedBy = (typeof AVOIDED_BY)[number];

export interface Waste {
  litres: number;
  money: number;
}

interface Sums {
  batches: number;
  litres: number;
  money: number;
  thrownOutL: number;
}
export interface YearOfDrink extends Sums {
  recipeId: string;
  /** Of five, the mean of its scores; null: none. */
  score: number | null;
}

/** A year of a kitchen, looked back at. */
export interface Year extends Sums {
  /** January first. */
  months: readonly Sums[];
  /** The most litres first. */
  drinks: readonly YearOfDrink[];
  drunkL: number;
  givenL: number;
  thereL: number;
  /** What was thrown out, by what would have spared it; what was the most first. */
  avoidable: readonly (Waste & { by: AvoidedBy })[];
  /** Batches whose cost nobody has counted. */
  uncounted: number;
}

/** The year and the month, 1 to 12, in which a moment lies where the kitchen is. */
export function calendarOf(ms: number, zone: string): { year: number; month: number } {
  const day = new TZDate(ms, zone);
  return { year: day.getFullYear(), month: day.getMonth() + 1 };
}

const NONE: Sums = { batches: 0, litres: 0, money: 0, thrownOutL: 0 };

/**
 * What would have spared a bottle that was thrown out: opened and not finished, a smaller one; kept closed past its days,
 * making less or freezing it; turned within its days, standing colder.
 */
function avoidedBy(
  { goneMs, filledMs }: FilledInYear,
  { openedMs, sealedDays }: NonNullable<FilledInYear['waste']>,
): AvoidedBy {
  if (openedMs !== null) return 'smallerBottles';
  return (goneMs ?? filledMs) - filledMs > sealedDays * DAY_MS ? 'lessOrFrozen' : 'colder';
}

/**
 * What a kitchen made in a year of its own calendar, what that cost, where it went, and what was thrown out. A bottle
 * counts in the year and month in which its batch was begun.
 * @param made batches that were made to their end, of any year. @param filled their bottles.
 */
export function yearOf(
  year: number,
  zone: string,
  made: readonly MadeInYear[],
  filled: readonly FilledInYear[],
): Year {
  const monthOf = new Map<string, number>();
  const own = made.filter(({ batchId, startedMs }) => {
    const day = calendarOf(startedMs, zone);
    if (day.year === year) monthOf.set(batchId, day.month);
    return day.year === year;
  });
  const months = Array.from({ length: 12 }, () => ({ ...NONE }));
  const all = { ...NONE };
  const drinks = new Map<string, Sums & { scores: number[] }>();
  const perL = new Map<string, number>();
  const sumsOf = (batchId: string, recipeId: string): Sums[] => {
    const drink = drinks.get(recipeId) ?? { ...NONE, scores: [] };
    drinks.set(recipeId, drink);
    return [all, months[monthOf.get(batchId)! - 1]!, drink];
  };
  for (const { batchId, recipeId, litres, cost, score } of own) {
    for (const sums of sumsOf(batchId, recipeId)) {
      sums.batches++;
      sums.litres += litres;
      sums.money += cost ?? 0;
    }
    if (score !== null) drinks.get(recipeId)!.scores.push(score);
    perL.set(batchId, litres > 0 && cost !== null ? cost / litres : 0);
  }
  const shares: FilledShare[] = [];
  const spared = new Map<AvoidedBy, Waste>();
  for (const bottle of filled) {
    if (!monthOf.has(bottle.batchId)) continue;
    const rest = bottle.leftMl / 1000;
    shares.push({ fate: bottle.fate, frozen: false, filledL: bottle.volumeMl / 1000, leftL: rest });
    if (!bottle.waste) continue;
    for (const sums of sumsOf(bottle.batchId, bottle.recipeId)) sums.thrownOutL += rest;
    const by = avoidedBy(bottle, bottle.waste);
    const { litres, money } = spared.get(by) ?? { litres: 0, money: 0 };
    spared.set(by, { litres: litres + rest, money: money + rest * (perL.get(bottle.batchId) ?? 0) });
  }
  const { drunkL, givenL, thereL } = whereItWent(shares);
  return {
    ...all,
    drunkL,
    givenL,
    thereL,
    months,
    drinks: [...drinks]
      .map(([recipeId, { scores, ...sums }]) => ({
        recipeId,
        ...sums,
        score: scores.length > 0 ? scores.reduce((a, b) => a + b, 0) / scores.length : null,
      }))
      .sort((a, b) => b.litres - a.litres),
    avoidable: [...spared]
      .map(([by, waste]) => ({ by, ...waste }))
      .filter((w) => w.litres > 0)
      .sort((a, b) => b.litres - a.litres),
    uncounted: own.filter((m) => m.cost === null).length,
  };
}
