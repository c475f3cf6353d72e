import * as v from 'valibot';
import { ASKED_TRAITS } from '../tables/traits.ts';
import { INGREDIENT_ROLES } from '../tables/types.ts';
import { between, id, name } from '../units/fields.ts';

/** What kind of thing an item of the cook's own is; unsaid, a plant. */
export const OWN_KINDS = ['plant', 'powder', 'drink', 'milk', 'sweetener'] as const;
export type OwnKind = (typeof OWN_KINDS)[number];

/** What a cook says of an ingredient of her own. */
export const customFactsSchema = v.strictObject({
  id,
  name: name(60),
  role: v.picklist(INGREDIENT_ROLES),
  /** Dried things swell and hold much liquor; fresh ones bring water. */
  dried: v.boolean(),
  bulkGPerMl: v.optional(between(0.02, 2)),
  pieceG: v.optional(between(0.01, 5000)),
  kind: v.optional(v.picklist(OWN_KINDS)),
  /** Sugar: g in 100 mL of a drink, g in 100 g of anything else. */
  sugarPer100: v.optional(between(0, 100)),
  /** Acid of a drink, counted as citric, g/L. */
  sourGPerL: v.optional(between(0, 100)),
  /** Alcohol of a drink, % by volume. */
  abvPct: v.optional(between(0, 96)),
  /** Of a drink: pressed or made at home, never heated. */
  raw: v.optional(v.boolean()),
  /** What the cook was asked of it; a question that nobody answered counts as yes. An older one was not asked. */
  answers: v.optional(v.partial(v.strictObject(v.entriesFromList(ASKED_TRAITS, v.boolean())))),
});
export type CustomFacts = v.InferOutput<typeof customFactsSchema>;
