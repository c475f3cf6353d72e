import type { Burner, Kitchen, Pot } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Choices, Recipe } from '../documents/recipe.ts';
import { completeChoices } from '../program/book/recipe.ts';
import type { Tables } from '../tables/types.ts';
import { fail, type Result } from '../units/result.ts';
import { solvePlan } from './solve.ts';
import type { Solution, SolveProblem } from './wish.ts';

export type PlanProblem =
  | SolveProblem
  | { kind: 'unknownRecipe'; recipeId: string }
  | { kind: 'unknownPot'; potId: string }
  | { kind: 'unknownBurner'; burnerId: string }
  | { kind: 'unsuitableMethod'; methodId: string };

/** Finds the parts that a plan names, and sizes it. */
export function solvePlanDoc(
  plan: PlanDoc,
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
): Result<Solution & { recipe: Recipe; pot: Pot; burner: Burner; choices: Choices }, PlanProblem> {
  const recipe = book.find((r) => r.id === plan.recipeId);
  if (!recipe) return fail({ kind: 'unknownRecipe', recipeId: plan.recipeId });
  if (!recipe.methods.includes(plan.choices.methodId)) {
    return fail({ kind: 'unsuitableMethod', methodId: plan.choices.methodId });
  }
  const pot = kitchen.pots.find((p) => p.id === plan.potId);
  if (!pot) return fail({ kind: 'unknownPot', potId: plan.potId });
  const burner = kitchen.burners.find((b) => b.id === plan.burnerId);
  if (!burner) return fail({ kind: 'unknownBurner', burnerId: plan.burnerId });
  const beside: { pot: Pot; burner: Burner }[] = [];
  for (const { potId, burnerId } of plan.beside ?? []) {
    const other = kitchen.pots.find((p) => p.id === potId && p.id !== pot.id);
    if (!other) return fail({ kind: 'unknownPot', potId });
    const ring = kitchen.burners.find((b) => b.id === burnerId && b.id !== burner.id);
    if (!ring) return fail({ kind: 'unknownBurner', burnerId });
    beside.push({ pot: other, burner: ring });
  }
  const choices = completeChoices(recipe, plan.choices);
  const solved = solvePlan({
    recipe,
    choices,
    kitchen,
    tables,
    pot,
    burner,
    ...(beside.length > 0 ? { beside } : {}),
    wish: { question: plan.question, fills: plan.fills },
  });
  return solved.ok ? { ok: true, value: { ...solved.value, recipe, pot, burner, choices } } : solved;
}
