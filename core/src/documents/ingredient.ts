import * as v from 'valibot';
import { ASKED_TRAITS } from '../tables/traits.ts';
import { INGREDIENT_ROLES } from '../tables/types.ts';
import { between, id, name } from '../units/fields.ts';

/** What a cook says of an ingredient of her own. */
export const customFactsSchema = v.strictObject({
  id,
  name: name(60),
  role: v.picklist(INGREDIENT_ROLES),
  /** Dried things swell and hold much liquor; fresh ones bring water. */
  dried: v.boolean(),
  bulkGPerMl: v.optional(between(0.02, 2)),
  pieceG: v.optional(between(0.01, 5000)),
  /** What the cook was asked of it; a question that nobody answered counts as yes. An older one was not asked. */
  answers: v.optional(v.partial(v.strictObject(v.entriesFromList(ASKED_TRAITS, v.boolean())))),
});
export type CustomFacts = v.InferOutput<typeof customFactsSchema>;
