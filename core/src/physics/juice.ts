import type { FruitRow } from '../tables/fruits.ts';
import type { IngredientRow, LiquidRow, Tables } from '../tables/types.ts';

const FALLBACK = {
  hand: ['hand', 'blender', 'juicer'],
  blender: ['blender', 'juicer', 'hand'],
  juicer: ['juicer', 'blender', 'hand'],
} as const;

/**
 * Juice from a kilogram as weighed, mL, by a tool; by the next best tool where that one is not known for it.
 * @returns null where nothing is known of its juice.
 */
export function juicePerKg(row: IngredientRow, tool: 'hand' | 'blender' | 'juicer'): number | null {
  for (const t of FALLBACK[tool]) {
    const ml = row.juiceMlPerKg[t];
    if (ml !== null) return ml;
  }
  return null;
}

/** What a fruit is pressed of, and the juice it gives; null where it has none. */
export function pressedOf(fruit: FruitRow, tables: Tables): { row: IngredientRow; juice: LiquidRow } | null {
  const part = fruit.parts.find((p) => p.share === 'juice');
  const juice = part ? tables.liquids.get(part.itemId) : undefined;
  const row = fruit.parts
    .filter((p) => p.share === 'whole' || p.share === 'flesh')
    .map((p) => tables.ingredients.get(p.itemId))
    .find((r) => r !== undefined);
  return juice && row ? { row, juice } : null;
}

/** How many pieces, and grams, give so many millilitres of juice. Null where nothing is known of its juice. */
export function fruitForJuice(
  row: IngredientRow,
  juiceMl: number,
  tool: 'hand' | 'blender' | 'juicer',
): { massG: number; pieces: number | null } | null {
  const perKg = juicePerKg(row, tool);
  if (perKg === null || perKg <= 0) return null;
  const massG = (juiceMl / perKg) * 1000;
  return { massG, pieces: row.piece ? massG / row.piece.massG : null };
}

/**
 * How many more fruit like those squeezed so far give the juice that is wanted.
 * @returns null as long as nothing has been squeezed.
 */
export function fruitToCome(
  wantedMl: number,
  gotMl: number,
  pieces: number,
): { perPieceMl: number; more: number } | null {
  if (!(pieces > 0) || !(gotMl > 0)) return null;
  const perPieceMl = gotMl / pieces;
  return { perPieceMl, more: Math.max(0, Math.ceil((wantedMl - gotMl) / perPieceMl - 1e-9)) };
}
