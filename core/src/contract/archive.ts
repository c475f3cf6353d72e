import * as v from 'valibot';
import { customFactsSchema } from '../documents/ingredient.ts';
import { kitchenSchema } from '../documents/kitchen.ts';
import { recipeSchema } from '../documents/recipe.ts';
import { stockSchema } from '../documents/stock.ts';
import { withoutBounds } from '../units/withoutBounds.ts';
import { batchSchema } from './messages.ts';

export const ARCHIVE_FORMAT = 'big-ladle-archive';

/** As far as it must be right for a bottle to have a date; the rest of it is words. */
const keptSchema = v.looseObject({
  key: v.string(),
  filledMs: v.number(),
  clockStartMs: v.number(),
  filledC: v.number(),
  longer: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  keeping: v.looseObject({
    keepClass: v.picklist(['heated', 'rawAdded', 'raw']),
    verdict: v.picklist(['keep', 'drinkToday', 'throwOut']),
    acid: v.looseObject({ shown: v.boolean(), by: v.string() }),
    sealedDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    openDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    reasons: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  }),
});

/** The documents of an archive, as they are newly written. */
export const ARCHIVED = {
  kitchen: kitchenSchema,
  recipe: recipeSchema,
  ingredient: customFactsSchema,
  stock: stockSchema,
  batch: v.omit(batchSchema, ['rehearsal']),
} as const;

/**
 * Everything of a kitchen in one JSON document; described in docs/archive.md. The documents are those of the contract, by
 * their shape: an older archive may hold what would be refused today. Events are read one by one (`readStored`).
 */
export const archiveSchema = v.object({
  format: v.literal(ARCHIVE_FORMAT),
  v: v.literal(1),
  kitchen: v.optional(withoutBounds(ARCHIVED.kitchen)),
  recipes: v.array(
    v.strictObject({
      recipeId: v.string(),
      version: v.pipe(v.number(), v.integer()),
      parent: v.nullable(v.number()),
      createdMs: v.number(),
      recipe: withoutBounds(ARCHIVED.recipe),
    }),
  ),
  ingredients: v.array(withoutBounds(ARCHIVED.ingredient)),
  stock: v.array(withoutBounds(ARCHIVED.stock)),
  batches: v.array(withoutBounds(ARCHIVED.batch)),
  events: v.array(
    v.strictObject({
      receivedMs: v.number(),
      event: v.unknown(),
      /** What a filling gave to its bottles by the rules it was filled under. Older archives do not have it. */
      kept: v.optional(keptSchema),
    }),
  ),
});

/** What a document would be refused for if it were written today; null where it would not. */
export function outsideToday(
  schema: v.GenericSchema,
  value: unknown,
): { field: string; code: string } | null {
  const read = v.safeParse(schema, value, { abortPipeEarly: true });
  if (read.success) return null;
  const [issue] = read.issues;
  return { field: v.getDotPath(issue) ?? '', code: issue.message };
}
