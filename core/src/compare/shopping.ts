import type { StockRow } from '../documents/stock.ts';
import { juicePerKg } from '../physics/juice.ts';
import type { Program } from '../program/model/program.ts';
import { FRUIT_ROWS, type FruitRow } from '../tables/fruits.ts';
import { SHOP_ROWS, type ShopRow } from '../tables/kitchenFacts.ts';
import type { Tables } from '../tables/types.ts';

export interface ShoppingRow {
  /** An item, or a whole fruit. */
  id: string;
  what: 'item' | 'fruit';
  shop: ShopRow['shop'];
  needG: number;
  inHouseG: number;
  /** Still to be bought. */
  buyG: number;
  packs: { count: number; sizeG: number } | null;
  /** Whole fruit or pieces, rounded up. */
  pieces: { count: number; pieceId: string } | null;
  leftG: number;
  cost: number | null;
  /** Out of season in this month: what serves instead. */
  offSeason: { dried: string | null } | null;
  /** Which parts of a fruit are wanted, for "nothing is used twice". */
  parts: readonly { itemId: string; massG: number }[];
}

export interface ShoppingList {
  rows: ShoppingRow[];
  /** Sum of the priced rows, and how many have no price. */
  cost: number;
  unpriced: number;
  litres: number;
}

const SHOP_ORDER: readonly ShopRow['shop'][] = ['market', 'dry', 'spice', 'store'];

/** Grams of every item that programs take, water aside. */
function needsOf(
  plans: readonly { program: Program; dosedG: Readonly<Record<string, number>> }[],
  tables: Tables,
): Map<string, number> {
  const needs = new Map<string, number>();
  for (const { program, dosedG } of plans) {
    for (const line of program.lines) {
      // The tap's; water that is bought has a row of its own.
      if (tables.liquids.get(line.itemId)?.treatment === 'water') continue;
      const massG = line.massG || (dosedG[line.id] ?? 0);
      if (massG > 0) needs.set(line.itemId, (needs.get(line.itemId) ?? 0) + massG);
    }
  }
  return needs;
}

/**
 * How many whole fruit give all the parts that are wanted, whole and as a fraction that is used. Flesh, juice and the whole fruit come out of the same
 * inside, so they add up; the peel of those fruit is free for whatever asks for peel.
 */
export function wholeFruit(
  fruit: FruitRow,
  needs: ReadonlyMap<string, number>,
  tables: Tables,
): { count: number; used: number; parts: { itemId: string; massG: number }[] } {
  let inside = 0;
  let outside = 0;
  const parts: { itemId: string; massG: number }[] = [];
  for (const { itemId, share } of fruit.parts) {
    const massG = needs.get(itemId);
    if (!massG) continue;
    parts.push({ itemId, massG });
    const row = tables.ingredients.get(itemId);
    const liquid = tables.liquids.get(itemId);
    if (share === 'juice' && liquid) {
      const from = fruit.parts.find((p) => p.share === 'flesh' || p.share === 'whole');
      const flesh = from ? tables.ingredients.get(from.itemId) : undefined;
      const perKg = flesh ? juicePerKg(flesh, 'hand') : null;
      if (flesh?.piece && perKg) inside += massG / liquid.densityGPerMl / perKg / (flesh.piece.massG / 1000);
      continue;
    }
    const each = row?.piece?.massG ?? fruit.wholeG * (share === 'peel' ? 0.33 : 0.67);
    if (share === 'peel' || share === 'core') outside = Math.max(outside, massG / each);
    else inside += massG / each;
  }
  const used = Math.max(inside, outside);
  return { count: Math.ceil(used - 0.05), used, parts };
}

/** What to buy for plans: whole fruit and packs rounded up, what is in the house taken off, with what will be left. */
export function shoppingList(
  plans: readonly { program: Program; dosedG: Readonly<Record<string, number>>; litres: number }[],
  stock: readonly StockRow[],
  tables: Tables,
  month: number,
): ShoppingList {
  const needs = needsOf(plans, tables);
  const rows: ShoppingRow[] = [];
  const inSeason = (row: ShopRow): boolean =>
    row.fresh === 'allYear' ||
    (row.fresh.from <= row.fresh.to
      ? month >= row.fresh.from && month <= row.fresh.to
      : month >= row.fresh.from || month <= row.fresh.to);
  const seasonOf = (row: ShopRow | undefined): ShoppingRow['offSeason'] =>
    !row || inSeason(row) ? null : { dried: row.dried ?? null };

  for (const fruit of FRUIT_ROWS) {
    // A juice alone is bought as fruit too, unless it comes in packs.
    const bought = fruit.parts.some(
      ({ itemId, share }) =>
        needs.has(itemId) && (share !== 'juice' || SHOP_ROWS.find((r) => r.itemId === itemId)?.pack === null),
    );
    if (!bought) continue;
    const { count, used, parts } = wholeFruit(fruit, needs, tables);
    if (count <= 0) continue;
    for (const { itemId } of parts) needs.delete(itemId);
    const shop = SHOP_ROWS.find((r) => r.itemId === parts[0]!.itemId);
    const own = stock.find((s) => s.itemId === fruit.id);
    const have = Math.min(count, Math.floor((own?.inHouseG ?? 0) / fruit.wholeG + 1e-9));
    const needG = parts.reduce((sum, p) => sum + p.massG, 0);
    rows.push({
      id: fruit.id,
      what: 'fruit',
      shop: shop?.shop ?? 'market',
      needG,
      inHouseG: have * fruit.wholeG,
      buyG: (count - have) * fruit.wholeG,
      packs: null,
      pieces: { count: count - have, pieceId: fruit.id },
      // What was squeezed is spent, skin and all: only fruit that was not cut is left of it.
      leftG: Math.max(
        0,
        parts.some((p) => fruit.parts.find((f) => f.itemId === p.itemId)?.share === 'juice')
          ? (count - used) * fruit.wholeG
          : count * fruit.wholeG - needG,
      ),
      cost: own?.price != null ? own.price * (count - have) : null,
      offSeason: seasonOf(shop),
      parts,
    });
  }
  for (const [itemId, needG] of needs) {
    const shop = SHOP_ROWS.find((r) => r.itemId === itemId);
    const own = stock.find((s) => s.itemId === itemId);
    const inHouseG = Math.min(needG, own?.inHouseG ?? 0);
    const buyG = Math.max(0, needG - inHouseG);
    const sizeG = own?.packG ?? shop?.pack ?? null;
    const piece = tables.ingredients.get(itemId)?.piece ?? null;
    const packs = sizeG && buyG > 0 ? { count: Math.ceil(buyG / sizeG - 1e-9), sizeG } : null;
    const pieces =
      !packs && piece && buyG > 0 && piece.massG >= 2
        ? { count: Math.ceil(buyG / piece.massG - 0.05), pieceId: piece.id }
        : null;
    const boughtG = packs ? packs.count * packs.sizeG : pieces && piece ? pieces.count * piece.massG : buyG;
    rows.push({
      id: itemId,
      what: 'item',
      shop: shop?.shop ?? 'store',
      needG,
      inHouseG,
      buyG,
      packs,
      pieces,
      leftG: Math.max(0, boughtG - buyG),
      cost: own?.price != null && (packs || buyG === 0) ? own.price * (packs?.count ?? 0) : null,
      offSeason: seasonOf(shop),
      parts: [],
    });
  }
  rows.sort((a, b) => SHOP_ORDER.indexOf(a.shop) - SHOP_ORDER.indexOf(b.shop) || b.buyG - a.buyG);
  return {
    rows,
    cost: rows.reduce((sum, r) => sum + (r.cost ?? 0), 0),
    unpriced: rows.filter((r) => r.cost === null && r.buyG > 0).length,
    litres: plans.reduce((sum, p) => sum + p.litres, 0),
  };
}
