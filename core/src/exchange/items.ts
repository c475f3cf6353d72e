import type { Tables } from '../tables/types.ts';
import type { Measurable } from '../units/measures.ts';

export type ItemKind = 'solid' | 'liquid' | 'sweetener';

export interface ItemFacts {
  kind: ItemKind;
  measurable: Measurable;
  densityGPerMl: number | null;
}

/** What the tables know of an item, whichever table it stands in. */
export function itemFacts(itemId: string, tables: Tables): ItemFacts | null {
  const solid = tables.ingredients.get(itemId);
  if (solid) return { kind: 'solid', measurable: solid, densityGPerMl: null };
  const liquid = tables.liquids.get(itemId);
  if (liquid)
    return {
      kind: 'liquid',
      measurable: { id: itemId, bulkGPerMl: liquid.densityGPerMl, piece: null, liquid: true },
      densityGPerMl: liquid.densityGPerMl,
    };
  const sweet = tables.sweeteners.get(itemId);
  if (sweet)
    return {
      kind: 'sweetener',
      measurable: { id: itemId, bulkGPerMl: sweet.packedGPerMl ?? sweet.bulkGPerMl, piece: null },
      densityGPerMl: null,
    };
  return null;
}
