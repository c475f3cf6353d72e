import type { DrinkOverview } from '@big-ladle/core/compare';
import type { Recipe } from '@big-ladle/core/documents';
import { sayDrink } from '../../../words/names.ts';

/** A drink as it is shown: what the recipe says, and what this kitchen would make of it, once that is worked out. */
export interface ShownDrink {
  recipe: Recipe;
  overview: DrinkOverview | undefined;
  /** How many of the things asked for are in it. */
  has: number;
}

type Way = DrinkOverview['methods'][number];

/** The way that is ready soonest; undefined while nothing is worked out, or where it does not work out here. */
export const quickest = (drink: Pick<ShownDrink, 'overview'>): Way | undefined =>
  drink.overview?.methods.reduce<Way | undefined>(
    (a, b) => (a && a.totalMin <= b.totalMin ? a : b),
    undefined,
  );

const least = (drink: ShownDrink, of: 'totalMin' | 'handsOnMin'): number =>
  Math.min(Number.POSITIVE_INFINITY, ...(drink.overview?.methods ?? []).map((m) => m[of]));

/** In what order the drinks stand; by readiness they stand on shelves, the soonest first. */
export const SORTS = {
  ready: (a: ShownDrink, b: ShownDrink) => least(a, 'totalMin') - least(b, 'totalMin'),
  name: (a: ShownDrink, b: ShownDrink) =>
    sayDrink(a.recipe.id, a.recipe.name).localeCompare(sayDrink(b.recipe.id, b.recipe.name)),
  work: (a: ShownDrink, b: ShownDrink) => least(a, 'handsOnMin') - least(b, 'handsOnMin'),
} as const;
export type Sort = keyof typeof SORTS;
export const SORT_IDS = Object.keys(SORTS) as Sort[];

/** Shelves by when a drink is ready, each with the time that its bars are drawn out of. */
export const SHELVES = [
  { id: 'hours', mostMin: 3 * 60 },
  { id: 'halfDay', mostMin: 6 * 60 },
  { id: 'day', mostMin: 24 * 60 },
  { id: 'longer', mostMin: 5 * 24 * 60 },
] as const;
type ShelfId = (typeof SHELVES)[number]['id'] | 'unknown';

export interface DrinkShelf {
  /** Null: all of them, in the order that was asked for. */
  id: ShelfId | null;
  drinks: ShownDrink[];
  /** What the bars are drawn out of, minutes. */
  barMin: number;
}

/** Drinks on their shelves; those of no known time stand on the last. */
export function shelvesOf(drinks: readonly ShownDrink[], sort: Sort): DrinkShelf[] {
  const sorted = [...drinks].sort(SORTS[sort]);
  const last = SHELVES.at(-1)!;
  if (sort !== 'ready') {
    const most = Math.max(0, ...sorted.map((d) => quickest(d)?.totalMin ?? 0));
    const barMin = (SHELVES.find((s) => most <= s.mostMin) ?? last).mostMin;
    return [{ id: null, drinks: sorted, barMin }];
  }
  const shelves: DrinkShelf[] = [
    ...SHELVES.map((s) => ({ id: s.id, drinks: [] as ShownDrink[], barMin: s.mostMin })),
    { id: 'unknown', drinks: [], barMin: last.mostMin },
  ];
  for (const drink of sorted) {
    const way = quickest(drink);
    const at = way ? SHELVES.findIndex((s) => way.totalMin <= s.mostMin || s === last) : SHELVES.length;
    shelves[at]!.drinks.push(drink);
  }
  return shelves.filter((shelf) => shelf.drinks.length > 0);
}
