import * as v from 'valibot';
import type { Burner, Kitchen, Pot } from '../program/kitchen.ts';
import { type Choices, completeChoices, METHOD_IDS, type Recipe } from '../program/recipe.ts';
import type { Tables } from '../tables/types.ts';
import { between, id, whole } from '../units/fields.ts';
import { fail, type Result } from '../units/result.ts';
import { type Solution, type SolveProblem, solvePlan } from './solve.ts';

export const questionSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('litres'), litres: between(0.2, 400) }),
  v.strictObject({ kind: v.literal('servings'), servings: whole(1, 2000), servingMl: between(10, 2000) }),
  v.strictObject({ kind: v.literal('potFull') }),
  v.strictObject({ kind: v.literal('useUp'), lineId: id, massG: between(0.5, 100_000) }),
]);

/** What an older plan did not ask for may be missing: the drink's own usual takes its place. */
export const choicesSchema = v.strictObject({
  methodId: v.picklist(METHOD_IDS),
  rinses: whole(1, 10),
  boilMin: between(1, 180),
  steepMin: between(5, 4320),
  steepPlace: v.picklist(['fridge', 'counter']),
  coolBy: v.picklist(['iceBath', 'counter', 'fridge', 'bottles']),
  acidFirst: v.optional(v.nullable(v.strictObject({ itemId: id, gPerL: between(0.1, 500) }))),
  lid: v.picklist(['on', 'ajar', 'off']),
  press: v.picklist(['drain', 'press', 'wring']),
  targetSweetnessPct: between(0, 40),
  hygiene: v.picklist(['clean', 'sterilised']),
  soakMin: v.optional(between(5, 4320)),
  soakPlace: v.optional(v.picklist(['fridge', 'counter'])),
  simmerMin: v.optional(between(1, 300)),
  secondShare: v.optional(between(0.1, 0.6)),
  secondBoilMin: v.optional(between(1, 180)),
  pourMin: v.optional(between(1, 240)),
  matureMin: v.optional(between(0, 60 * 24 * 60)),
  strength: v.optional(v.picklist(['light', 'full', 'dark'])),
  heat: v.optional(v.picklist(['mild', 'medium', 'hot'])),
  fruit: v.optional(v.picklist(['cooked', 'raw'])),
  shelfParts: v.optional(v.pipe(v.array(id), v.maxLength(8, 'between:0:8'))),
  instead: v.optional(
    v.pipe(
      v.array(v.strictObject({ lineId: id, itemId: id, ratio: between(0.001, 1000) })),
      v.maxLength(40, 'between:0:40'),
    ),
  ),
  way: v.optional(
    v.nullable(
      v.strictObject({
        sweeteners: v.pipe(v.array(id), v.maxLength(8, 'between:0:8')),
        with: v.pipe(
          v.array(v.strictObject({ itemId: id, gPerL: between(0, 2000) })),
          v.maxLength(12, 'between:0:12'),
        ),
        litresShare: between(0.2, 1),
      }),
    ),
  ),
});

/** What a cook has settled of a batch before it starts: the wish and the choices. Everything else follows from it. */
export const planSchema = v.strictObject({
  recipeId: id,
  choices: choicesSchema,
  potId: id,
  burnerId: id,
  question: questionSchema,
  fills: v.union([v.literal('asNeeded'), whole(1, 6)]),
  readyAtMs: v.nullable(between(0, 8.64e15)),
  /** The batch that is made again: its notes come back at their steps. */
  again: v.optional(id),
});
/** A plan may be for a moment at most so far ahead, ms: two years. */
export const PLAN_AHEAD_MS = 2 * 366 * 24 * 3_600_000;

/** Whether a plan is for a moment that nobody plans for: a slip of the year, as a rule. */
export const isTooFarAhead = (readyAtMs: number | null, nowMs: number): boolean =>
  readyAtMs !== null && readyAtMs > nowMs + PLAN_AHEAD_MS;

export type PlanDoc = Omit<v.InferOutput<typeof planSchema>, 'choices'> & {
  choices: Partial<Choices> & Pick<Choices, 'methodId'>;
};

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
  const choices = completeChoices(recipe, plan.choices as Partial<Choices> & Pick<Choices, 'methodId'>);
  const solved = solvePlan({
    recipe,
    choices,
    kitchen,
    tables,
    pot,
    burner,
    wish: { question: plan.question, fills: plan.fills },
  });
  return solved.ok ? { ok: true, value: { ...solved.value, recipe, pot, burner, choices } } : solved;
}
