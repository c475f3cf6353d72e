import { PAIR_ROWS } from '../tables/pairs.ts';
import type { Tables } from '../tables/types.ts';

/** What goes with a thing: what sweetens it, what sours it, and other flavours, each by the tables' ids. */
export interface GoesWith {
  sweet: readonly string[];
  sour: readonly string[];
  flavour: readonly string[];
}

/** What is usually put together with an item; null where the table has nothing to say. */
export function goesWith(itemId: string, tables: Tables): GoesWith | null {
  const row = PAIR_ROWS.find((p) => p.itemId === itemId);
  if (!row) return null;
  const sweet = row.with.filter((id) => tables.sweeteners.has(id));
  const sour = row.with.filter((id) => tables.liquids.get(id)?.traits.includes('sour') === true);
  return { sweet, sour, flavour: row.with.filter((id) => !sweet.includes(id) && !sour.includes(id)) };
}
