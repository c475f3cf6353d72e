import * as v from 'valibot';
import { between, id, list, moment, whole } from '../units/fields.ts';
import { DAY_MS } from '../units/time.ts';
import { choicesSchema } from './recipe.ts';

export const questionSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('litres'), litres: between(0.2, 400) }),
  v.strictObject({
    kind: v.literal('servings'),
    servings: whole(1, 2000),
    servingMl: between(10, 2000),
    /** For so many people; the servings are theirs together. */
    people: v.optional(whole(1, 500)),
    /** Of a glass, what is ice: so much less of the drink is wanted. */
    iceShare: v.optional(between(0, 0.6)),
  }),
  v.strictObject({ kind: v.literal('potFull') }),
  v.strictObject({ kind: v.literal('useUp'), lineId: id, massG: between(0.5, 100_000) }),
]);

/** What a cook has settled of a batch before it starts: the wish and the choices. Everything else follows from it. */
export const planSchema = v.strictObject({
  recipeId: id,
  choices: choicesSchema,
  potId: id,
  burnerId: id,
  question: questionSchema,
  fills: v.union([v.literal('asNeeded'), whole(1, 6)]),
  /** Other pots, each on a ring of its own, that take their share beside the first. */
  beside: v.optional(
    v.pipe(
      list(v.strictObject({ potId: id, burnerId: id }), 3),
      v.check((pots) => new Set(pots.map((p) => p.potId)).size === pots.length, 'unique'),
      v.check((pots) => new Set(pots.map((p) => p.burnerId)).size === pots.length, 'unique'),
    ),
  ),
  readyAtMs: v.nullable(moment),
  /** The batch that is made again: its notes come back at their steps. */
  again: v.optional(id),
});
/** So many glasses of so much, less the ice in them, L. */
export const servingsL = (asked: {
  servings: number;
  servingMl: number;
  iceShare?: number | undefined;
}): number => (asked.servings * asked.servingMl * (1 - (asked.iceShare ?? 0))) / 1000;

/** The litres that a plan asks for by a figure; null where the pot or what there is of something decides. */
export function askedL(question: PlanDoc['question']): number | null {
  switch (question.kind) {
    case 'litres':
      return question.litres;
    case 'servings':
      return servingsL(question);
    case 'potFull':
    case 'useUp':
      return null;
  }
}

/** A plan may be for a moment at most so far ahead, ms: two years. */
export const PLAN_AHEAD_MS = 2 * 366 * DAY_MS;

/** Whether a plan is for a moment that nobody plans for: a slip of the year, as a rule. */
export const isTooFarAhead = (readyAtMs: number | null, nowMs: number): boolean =>
  readyAtMs !== null && readyAtMs > nowMs + PLAN_AHEAD_MS;

export type PlanDoc = v.InferOutput<typeof planSchema>;
