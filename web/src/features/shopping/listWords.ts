import '../../words/places/shopping.ts';
import type { ShoppingList, ShoppingRow } from '@big-ladle/core/compare';
import { unparse } from 'papaparse';
import { sayItem } from '../../words/names.ts';
import { grams, num, say, sayCode } from '../../words/say.ts';

/** What a row is called: the fruit where whole fruit is bought, else the thing. */
export const rowName = (row: Pick<ShoppingRow, 'id' | 'what'>): string =>
  row.what === 'fruit' ? sayCode(`fruit.${row.id}`) : sayItem(row.id);

/** What to buy, in the words of a shop. */
export function buyText(row: ShoppingRow): string {
  if (row.buyG <= 0) return say('listWords.nothingItIsIn');
  if (row.packs) return `${num(row.packs.count)} × ${grams(row.packs.sizeG)}`;
  if (row.pieces)
    return `${num(row.pieces.count)} × ${sayCode(`piece.${row.pieces.pieceId}`, { count: row.pieces.count })}`;
  return grams(row.buyG);
}

/** The shopping list as CSV, one row a thing. A name that begins like a formula is still a name. */
export const csvOf = (list: ShoppingList): string =>
  unparse(
    list.rows.map((r) => ({
      shop: say(`shop.${r.shop}`),
      what: rowName(r),
      buy: buyText(r),
      need_g: Math.round(r.needG * 10) / 10,
      in_house_g: Math.round(r.inHouseG * 10) / 10,
      left_over_g: Math.round(r.leftG * 10) / 10,
      cost: r.cost ?? '',
    })),
    { escapeFormulae: true },
  );
