import { familyOfItem } from '../tables/families.ts';
import { FRUIT_ROWS } from '../tables/fruits.ts';
import { SUBSTITUTE_ROWS, type SubstituteRow } from '../tables/kitchenFacts.ts';
import type { IngredientRow, Tables } from '../tables/types.ts';

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

/** Something that may go in instead of a thing: how many grams for each gram of it, and when. */
export interface InsteadRow {
  itemId: string;
  ratio: number;
  moment: SubstituteRow['moment'];
  /** Word code of what it changes; null: another form of the same. */
  note: string | null;
}

/** What may take the place of a thing, as strong as it is: what was tried, then its other forms. None: nothing does. */
export function insteadOf(itemId: string, tables: Pick<Tables, 'ingredients'>): InsteadRow[] {
  const tried = SUBSTITUTE_ROWS.filter((s) => s.itemId === itemId && tables.ingredients.has(s.insteadId)).map(
    (s): InsteadRow => ({ itemId: s.insteadId, ratio: s.ratio, moment: s.moment, note: s.note }),
  );
  const own = tables.ingredients.get(itemId);
  const family = familyOfItem(itemId);
  const forms = (family?.forms ?? []).flatMap((form): InsteadRow[] => {
    const row = tables.ingredients.get(form.itemId);
    const ratio = own && row && row !== own ? sameStrengthG(own, 1, row) : null;
    return ratio === null || tried.some((t) => t.itemId === form.itemId)
      ? []
      : [{ itemId: form.itemId, ratio, moment: 'same', note: null }];
  });
  return [...tried, ...forms];
}
