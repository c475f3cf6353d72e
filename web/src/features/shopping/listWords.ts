import '../../words/places/shopping.ts';
import type { ShoppingList, ShoppingRow } from '@big-ladle/core/compare';
import { unparse } from 'papaparse';
import { rowName } from '../../shared/cost/rowName.ts';
import { num } from '../../words/numbers.ts';
import { grams } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';

/** What to buy, in the words of a shop. */
export function buyText(row: ShoppingRow): string {
  if (row.buyG <= 0) return say('listWords.nothingItIsIn');
  if (row.packs) return `${num(row.packs.count)} × ${grams(row.packs.sizeG)}`;
  if (row.pieces)
    return `${num(row.pieces.count)} × ${sayCode(`piece.${row.pieces.pieceId}`, { count: row.pieces.count })}`;
  return grams(row.buyG);
}

/** What is still to be bought, as text to be sent: shop by shop. */
export const textOf = (list: ShoppingList): string =>
  [...new Set(list.rows.map((r) => r.shop))]
    .flatMap((shop) => {
      const open = list.rows.filter((r) => r.shop === shop && r.buyG > 0 && !r.bought);
      const lines = open.map((r) => `- ${rowName(r)}: ${buyText(r)}`);
      return lines.length > 0 ? [[say(`shop.${shop}`), ...lines].join('\n')] : [];
    })
    .join('\n\n');

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
