import {
  defaultChoices,
  type Kitchen,
  type MethodId,
  type PlanDoc,
  potCapacityMl,
  type Recipe,
} from '@big-ladle/core';

/** The plan a drink starts with in this kitchen: its own litres, or what the largest pot and the fridge allow. */
export function firstPlan(recipe: Recipe, kitchen: Kitchen, methodId?: MethodId): PlanDoc | null {
  const pot = [...kitchen.pots].sort((a, b) => potCapacityMl(b) - potCapacityMl(a))[0];
  const burner = [...kitchen.burners].sort((a, b) => b.powerW - a.powerW)[0];
  const method = methodId ?? recipe.methods[0];
  if (!pot || !burner || !method) return null;
  return {
    recipeId: recipe.id,
    choices: defaultChoices(recipe, method),
    potId: pot.id,
    burnerId: burner.id,
    question: { kind: 'litres', litres: Math.min(recipe.basisL, kitchen.fridgeFreeL) },
    fills: 1,
    readyAtMs: null,
  };
}
