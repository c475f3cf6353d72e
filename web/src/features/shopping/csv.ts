import type { ShoppingList } from '@big-ladle/core';
import { unparse } from 'papaparse';
import { say } from '../../words/say.ts';
import { buyText, rowName } from './ShoppingPage.tsx';

/** The shopping list as CSV, one row a thing. */
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
  );
