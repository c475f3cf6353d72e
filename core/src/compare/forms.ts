import { FRUIT_ROWS } from '../tables/fruits.ts';
import { SUBSTITUTE_ROWS } from '../tables/kitchenFacts.ts';
import type { IngredientRow } from '../tables/types.ts';

/** Which part of a whole fruit an item is; null: it is no part of one. */
const partOf = (itemId: string): string | null =>
  FRUIT_ROWS.flatMap((f) => f.parts).find((p) => p.itemId === itemId)?.share ?? null;

/**
 * How much of another form is as strong as so much of this one: by the tested ratio of the table of substitutes where it
 * has the pair, else by the potency of both.
 * @returns null where they are no forms of one thing: a peel is not flesh, however much alike it smells.
 */
export function sameStrengthG(from: IngredientRow, massG: number, to: IngredientRow): number | null {
  if (from.id === to.id) return massG;
  if (from.marker !== to.marker || partOf(from.id) !== partOf(to.id)) return null;
  const tested = SUBSTITUTE_ROWS.find((s) => s.itemId === from.id && s.insteadId === to.id);
  if (tested) return massG * tested.ratio;
  const back = SUBSTITUTE_ROWS.find((s) => s.itemId === to.id && s.insteadId === from.id);
  return back ? massG / back.ratio : (massG * from.potency) / to.potency;
}
