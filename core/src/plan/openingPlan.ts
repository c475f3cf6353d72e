import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { potCapacityMl } from '../program/model/kitchen.ts';
import type { Tables } from '../tables/types.ts';
import { solvePlanDoc } from './planDoc.ts';
import type { Solution } from './wish.ts';

export interface OpeningPlan {
  plan: PlanDoc;
  /** Null: it does not work out in this kitchen, whatever is asked of it. */
  solution: Solution | null;
}

/**
 * The plan a drink begins with: in the largest pot on the strongest ring, the recipe's own amount where it fits, else
 * as much as the pot takes. Without a method, the first of the recipe's that fits as it is, else the first that fits at
 * all.
 * @returns null where there is no pot or no ring.
 */
export function openingPlan(
  recipe: Recipe,
  kitchen: Kitchen,
  book: readonly Recipe[],
  tables: Tables,
  methodId?: MethodId,
): OpeningPlan | null {
  const pot = [...kitchen.pots].sort((a, b) => potCapacityMl(b) - potCapacityMl(a))[0];
  const burner = [...kitchen.burners].sort((a, b) => b.powerW - a.powerW)[0];
  const methods = methodId ? [methodId] : recipe.methods;
  const [usual] = methods;
  if (!pot || !burner || !usual) return null;
  const planOf = (method: MethodId, question: PlanDoc['question']): PlanDoc => ({
    recipeId: recipe.id,
    choices: defaultChoices(recipe, method),
    potId: pot.id,
    burnerId: burner.id,
    question,
    fills: 1,
    readyAtMs: null,
  });
  const itsOwn: PlanDoc['question'] = {
    kind: 'litres',
    litres: Math.min(recipe.basisL, kitchen.fridgeFreeL),
  };
  for (const question of [itsOwn, { kind: 'potFull' } as const])
    for (const method of methods) {
      const plan = planOf(method, question);
      const solved = solvePlanDoc(plan, book, kitchen, tables);
      if (solved.ok) return { plan, solution: solved.value };
    }
  return { plan: planOf(usual, itsOwn), solution: null };
}
