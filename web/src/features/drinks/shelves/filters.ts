import '../../../words/places/drinks.ts';
import type { DrinkOverview } from '@big-ladle/core/compare';
import type { Recipe } from '@big-ladle/core/documents';
import { useSearchParams } from 'react-router';
import { SORT_IDS, type Sort } from './drinkList.ts';

export const FILTERS = [
  { id: 'cold', text: 'drinksPage.cold' },
  { id: 'hot', text: 'drinksPage.hot' },
  { id: 'noSugar', text: 'drinksPage.noAddedSugar' },
  { id: 'noAlcohol', text: 'drinksPage.noAlcohol' },
  { id: 'mild', text: 'drinksPage.mildForChildren' },
  { id: 'favourite', text: 'drinksPage.favourites' },
] as const;
export type FilterId = (typeof FILTERS)[number]['id'];

export const TIMES = [
  { value: 'any', text: 'drinksPage.any', minutes: Number.POSITIVE_INFINITY },
  { value: '3', text: 'drinksPage.3H', minutes: 180 },
  { value: '6', text: 'drinksPage.6H', minutes: 360 },
  { value: 'day', text: 'drinksPage.aDay', minutes: 1440 },
] as const;
export const HANDS = [
  { value: 'any', text: 'drinksPage.any', minutes: Number.POSITIVE_INFINITY },
  { value: '60', text: 'drinksPage.1H', minutes: 60 },
  { value: '90', text: 'drinksPage.1H30', minutes: 90 },
] as const;

/** What drinks are looked for, in the address of the page, so that it can be gone back to. */
export interface DrinkFilter {
  sort: Sort;
  /** Families that are in the house. */
  held: readonly string[];
  on: ReadonlySet<FilterId>;
  time: (typeof TIMES)[number];
  hands: (typeof HANDS)[number];
  /** Changes one of them; an empty text or "any" takes it away. */
  put: (key: 'sort' | 'held' | 'only' | 'time' | 'hands', value: string) => void;
}

export function useDrinkFilter(): DrinkFilter {
  const [search, setSearch] = useSearchParams();
  const listOf = (key: string) => (search.get(key) ?? '').split(',').filter(Boolean);
  return {
    sort: SORT_IDS.find((s) => s === search.get('sort')) ?? 'ready',
    held: listOf('held'),
    on: new Set(listOf('only') as FilterId[]),
    time: TIMES.find((t) => t.value === search.get('time')) ?? TIMES[0],
    hands: HANDS.find((t) => t.value === search.get('hands')) ?? HANDS[0],
    put: (key, value) => {
      if (value && value !== 'any') search.set(key, value);
      else search.delete(key);
      setSearch(search, { replace: true });
    },
  };
}

/** Whether a drink suits, as far as it is worked out. */
export function fits(
  recipe: Recipe,
  o: DrinkOverview | undefined,
  { on, time, hands }: Pick<DrinkFilter, 'on' | 'time' | 'hands'>,
): boolean {
  if (on.has('cold') && recipe.serve === 'hot') return false;
  if (on.has('hot') && recipe.serve === 'cold') return false;
  if (!o) return true;
  if (on.has('noSugar') && !o.noAddedSugar && !o.standsPlain) return false;
  if (on.has('noAlcohol') && o.alcohol) return false;
  if (on.has('mild') && !o.mild) return false;
  return (
    o.methods.length === 0 ||
    o.methods.some((m) => m.totalMin <= time.minutes && m.handsOnMin <= hands.minutes)
  );
}
