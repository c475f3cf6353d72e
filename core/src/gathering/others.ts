import type { GatheringDoc, GuestGroup } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Recipe } from '../documents/recipe.ts';
import { openingPlan } from '../plan/openingPlan.ts';
import type { Tables } from '../tables/types.ts';
import { plannedDrink } from './drinks.ts';
import { lastsThrough, mayDrink } from './mayDrink.ts';

/** What is in a drink does not hang on its litres, L. */
const ANY_L = 3;

/** A drink of the book that groups may have which have none of those that are settled. */
export interface OtherDrink {
  recipeId: string;
  plan: PlanDoc;
}

/**
 * Drinks of the book, as the kitchen would make them, that all of these groups may have as they are, and that last until the last
 * glass. @param next asked before each; true ends the search with what was found.
 */
export function othersFor(
  groups: readonly GuestGroup[],
  gathering: GatheringDoc,
  kitchen: Kitchen,
  book: readonly Recipe[],
  tables: Tables,
  nowMs: number,
  over: () => boolean,
): OtherDrink[] {
  const found: OtherDrink[] = [];
  for (const recipe of book) {
    if (over()) break;
    const opening = openingPlan(recipe, kitchen, book, tables);
    if (!opening) continue;
    const drink = plannedDrink(recipe.id, opening.plan, ANY_L, { gathering, kitchen, tables, book, nowMs });
    if (drink.problem || !('fromDoneMs' in drink.life)) continue;
    const lot = { ...drink.lot, lasts: lastsThrough(drink.life.fromDoneMs, drink.chillMs, gathering) };
    if (groups.every((g) => mayDrink(g, lot))) found.push({ recipeId: recipe.id, plan: opening.plan });
  }
  return found;
}
