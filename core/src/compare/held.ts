import { rowOf } from '../program/model/tags.ts';
import { SHOP_ROWS } from '../tables/kitchenFacts.ts';
import type { Tables } from '../tables/types.ts';
import { unitOf } from '../units/units.ts';

/** A way in which a cook counts what she has in the house. */
export interface HeldUnit {
  unit: 'gram' | 'pound' | 'millilitre' | 'piece' | 'pack';
  /** What one of it weighs, g. */
  gramsEach: number;
  /** Of a piece: which. */
  pieceId?: string;
}

/** The ways in which something may be counted: by weight always, by volume, by the fruit, by the pack where it has one. */
export function heldUnits(itemId: string, tables: Tables): HeldUnit[] {
  const solid = tables.ingredients.get(itemId);
  const liquid = tables.liquids.get(itemId);
  const sweetener = tables.sweeteners.get(itemId);
  if (!rowOf(tables, itemId)) return [];
  const density =
    liquid?.densityGPerMl ?? (sweetener && sweetener.waterPct > 0 ? sweetener.densityGPerMl : null);
  const pack = SHOP_ROWS.find((r) => r.itemId === itemId)?.pack ?? null;
  return [
    { unit: 'gram', gramsEach: 1 },
    ...(density ? [{ unit: 'millilitre' as const, gramsEach: density }] : []),
    ...(solid?.piece
      ? [{ unit: 'piece' as const, gramsEach: solid.piece.massG, pieceId: solid.piece.id }]
      : []),
    // Packs of liquids stand in the table by their millilitres.
    ...(pack ? [{ unit: 'pack' as const, gramsEach: pack * (liquid?.densityGPerMl ?? 1) }] : []),
    { unit: 'pound', gramsEach: unitOf('pound').factor },
  ];
}
