import type { StockRow } from '../documents/stock.ts';
import { juicePerKg } from '../physics/juice.ts';
import type { Program } from '../program/model/program.ts';
import { familyOfItem } from '../tables/families.ts';
import { FRUIT_ROWS, type FruitRow } from '../tables/fruits.ts';
import { SHOP_ROWS, type ShopRow } from '../tables/kitchenFacts.ts';
import type { Tables } from '../tables/types.ts';

export interface ShoppingRow {
  /** An item, a whole fruit, or ice. */
  id: string;
  what: 'item' | 'fruit' | 'ice';
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
  /** What it is bought for: parts of a fruit, or the forms in which it goes in. */
  parts: readonly { itemId: string; massG: number }[];
  /** What a pack or a piece costs, where the cook said so. */
  price: number | null;
  /** So much of it lies in the basket. */
  basketG: number;
  /** All that is to be bought lies in the basket. */
  bought: boolean;
}

/** What is made, and when: things are bought for its own season. */
export interface ShoppingPlan {
  program: Pick<Program, 'lines'>;
  dosedG: Readonly<Record<string, number>>;
  litres: number;
  /** 1 to 12. */
  month: number;
  /** Ice for cooling it and for its glasses, kg. */
  iceKg?: number;
}

/** What ice is noted as in a stock. */
const ICE_ID = 'ice';
/** A usual bag of ice, g. Source: common packs. */
const ICE_BAG_G = 2000;

export interface ShoppingList {
  rows: ShoppingRow[];
  /** Sum of the priced rows, and how many have no price. */
  cost: number;
  unpriced: number;
  litres: number;
}

const SHOP_ORDER: readonly ShopRow['shop'][] = ['market', 'dry', 'spice', 'store'];

interface Need {
  massG: number;
  /** In which months it is wanted. */
  months: Set<number>;
}

/** Grams of every item that plans take, water aside. */
function needsOf(plans: readonly ShoppingPlan[], tables: Tables): Map<string, Need> {
  const needs = new Map<string, Need>();
  for (const { program, dosedG, month } of plans) {
    for (const line of program.lines) {
      // The tap's; water that is bought has a row of its own.
      if (tables.liquids.get(line.itemId)?.treatment === 'water') continue;
      const massG = line.massG || (dosedG[line.id] ?? 0);
      if (massG <= 0) continue;
      const need = needs.get(line.itemId) ?? { massG: 0, months: new Set() };
      need.massG += massG;
      need.months.add(month);
      needs.set(line.itemId, need);
    }
  }
  return needs;
}

/**
 * What is bought for an item: forms of one thing that come in the same pieces are one purchase, and the first of them
 * stands for it. A root is bought once, however it is cut.
 */
function purchaseOf(itemId: string, tables: Tables): string {
  const piece = tables.ingredients.get(itemId)?.piece;
  if (!piece) return itemId;
  const forms = familyOfItem(itemId)?.forms ?? [];
  return forms.find((f) => tables.ingredients.get(f.itemId)?.piece?.id === piece.id)?.itemId ?? itemId;
}

/** What of a batch that is on must still be there: lines that only steps take which nobody has begun. */
export function stillToGoIn(program: Program, begun: (stepId: string) => boolean): Pick<Program, 'lines'> {
  const taken = (is: boolean): Set<string> =>
    new Set(program.steps.flatMap((step) => ('lines' in step && begun(step.id) === is ? step.lines : [])));
  const [later, sooner] = [taken(false), taken(true)];
  return { lines: program.lines.filter(({ id }) => later.has(id) && !sooner.has(id)) };
}

/**
 * How many whole fruit give all the parts that are wanted, whole and as a fraction that is used. Flesh, juice and the whole fruit come out of the same
 * inside, so they add up; the peel of those fruit is free for whatever asks for peel.
 */
export function wholeFruit(
  fruit: FruitRow,
  needs: ReadonlyMap<string, Pick<Need, 'massG'>>,
  tables: Tables,
): { count: number; used: number; parts: { itemId: string; massG: number }[] } {
  let inside = 0;
  let outside = 0;
  const parts: { itemId: string; massG: number }[] = [];
  for (const { itemId, share } of fruit.parts) {
    const massG = needs.get(itemId)?.massG;
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

const inSeason = ({ fresh }: ShopRow, month: number): boolean =>
  fresh === 'allYear' ||
  (fresh.from <= fresh.to
    ? month >= fresh.from && month <= fresh.to
    : month >= fresh.from || month <= fresh.to);

/** What is not in season in one of these months, with what is to be had instead. */
const seasonOf = (row: ShopRow | undefined, months: Iterable<number>): ShoppingRow['offSeason'] =>
  !row || [...months].every((month) => inSeason(row, month)) ? null : { dried: row.dried ?? null };

const basketOf = (own: StockRow | undefined, buyG: number): Pick<ShoppingRow, 'basketG' | 'bought'> => {
  const basketG = own?.basketG ?? 0;
  return { basketG, bought: buyG > 0 && basketG >= buyG - 0.5 };
};

/** Ice is fetched in bags; what is in the house of it lies in the freezer. */
function iceRow(needG: number, stock: readonly StockRow[]): ShoppingRow {
  const own = stock.find((s) => s.itemId === ICE_ID);
  const inHouseG = Math.min(needG, own?.inHouseG ?? 0);
  const buyG = needG - inHouseG;
  const sizeG = own?.packG ?? ICE_BAG_G;
  const count = Math.ceil(buyG / sizeG - 1e-9);
  const price = own?.price ?? null;
  return {
    id: ICE_ID,
    what: 'ice',
    shop: 'store',
    needG,
    inHouseG,
    buyG,
    packs: buyG > 0 ? { count, sizeG } : null,
    pieces: null,
    leftG: Math.max(0, count * sizeG - buyG),
    cost: price === null ? null : price * count,
    offSeason: null,
    parts: [{ itemId: ICE_ID, massG: needG }],
    price,
    ...basketOf(own, buyG),
  };
}

/** What to buy for plans: whole fruit and packs rounded up, what is in the house taken off, with what will be left. */
export function shoppingList(
  plans: readonly ShoppingPlan[],
  stock: readonly StockRow[],
  tables: Tables,
): ShoppingList {
  const needs = needsOf(plans, tables);
  const rows: ShoppingRow[] = [];

  for (const fruit of FRUIT_ROWS) {
    // A juice alone is bought as fruit too, unless it comes in packs.
    const bought = fruit.parts.some(
      ({ itemId, share }) =>
        needs.has(itemId) && (share !== 'juice' || SHOP_ROWS.find((r) => r.itemId === itemId)?.pack === null),
    );
    if (!bought) continue;
    const { count, used, parts } = wholeFruit(fruit, needs, tables);
    if (count <= 0) continue;
    const months = parts.flatMap(({ itemId }) => [...needs.get(itemId)!.months]);
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
      offSeason: seasonOf(shop, months),
      parts,
      price: own?.price ?? null,
      ...basketOf(own, (count - have) * fruit.wholeG),
    });
  }
  const purchases = new Map<string, [itemId: string, need: Need][]>();
  for (const entry of needs) {
    const id = purchaseOf(entry[0], tables);
    purchases.set(id, [...(purchases.get(id) ?? []), entry]);
  }
  for (const [itemId, forms] of purchases) {
    const needG = forms.reduce((sum, [, need]) => sum + need.massG, 0);
    const shop =
      SHOP_ROWS.find((r) => r.itemId === forms[0]![0]) ?? SHOP_ROWS.find((r) => r.itemId === itemId);
    // What was noted of any of its forms lies in the same drawer.
    const noted = stock.filter((s) => s.itemId === itemId || forms.some(([id]) => id === s.itemId));
    const price = noted.find((s) => s.price !== null)?.price ?? null;
    const hasG = noted.reduce((sum, s) => sum + s.inHouseG, 0);
    const inHouseG = Math.min(needG, hasG);
    const buyG = Math.max(0, needG - inHouseG);
    const sizeG = noted.find((s) => s.packG !== null)?.packG ?? shop?.pack ?? null;
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
      // Of what comes in no pack the price is that of a piece.
      cost:
        price !== null && (packs || pieces || buyG === 0)
          ? price * (packs ?? pieces ?? { count: 0 }).count
          : null,
      offSeason: seasonOf(
        shop,
        forms.flatMap(([, need]) => [...need.months]),
      ),
      parts: forms.map(([id, { massG }]) => ({ itemId: id, massG })),
      price,
      ...basketOf(
        noted.find((s) => s.itemId === itemId),
        buyG,
      ),
    });
  }
  const iceG = 1000 * plans.reduce((sum, p) => sum + (p.iceKg ?? 0), 0);
  if (iceG > 0) rows.push(iceRow(iceG, stock));
  rows.sort((a, b) => SHOP_ORDER.indexOf(a.shop) - SHOP_ORDER.indexOf(b.shop) || b.buyG - a.buyG);
  return {
    rows,
    cost: rows.reduce((sum, r) => sum + (r.cost ?? 0), 0),
    unpriced: rows.filter((r) => r.cost === null && r.buyG > 0).length,
    litres: plans.reduce((sum, p) => sum + p.litres, 0),
  };
}
