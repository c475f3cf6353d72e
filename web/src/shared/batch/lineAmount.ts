import type { Kitchen } from '@big-ladle/core/documents';
import { measuringKit } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import { asHandMeasures } from '@big-ladle/core/units';
import { grams, volume } from '../../words/quantities.ts';
import { handText } from '../../words/say.ts';

/** An amount in both measures: as a hand measures it, and as a scale reads it. */
export interface LineAmount {
  hand: string;
  scale: string;
}

/** An amount of an ingredient in the kitchen's own measures and by weight; liquids in litres. */
export function lineAmount(itemId: string, massG: number, kitchen: Kitchen, tables: Tables): LineAmount {
  const scale = grams(massG);
  const liquid = tables.liquids.get(itemId);
  if (liquid) return { hand: volume(massG / liquid.densityGPerMl / 1000), scale };
  const sweet = tables.sweeteners.get(itemId);
  const item =
    tables.ingredients.get(itemId) ??
    (sweet ? { id: sweet.id, bulkGPerMl: sweet.bulkGPerMl, piece: null } : null);
  if (!item || massG <= 0) return { hand: scale, scale };
  const kit = measuringKit(kitchen);
  // A sweetener goes by cup and spoon, whatever measure the cook likes for leaf.
  const amount = asHandMeasures(massG, item, sweet ? { ...kit, preferredMeasureId: undefined } : kit);
  return { hand: handText(amount, kitchen.measures, itemId), scale };
}
