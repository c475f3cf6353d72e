import { CLAIM_ROWS, type ClaimRow } from '../tables/claims.ts';
import type { Tag } from '../tables/traits.ts';
import type { Keeping } from './shelfLife.ts';

/** What of a drink brings in the sayings about it. */
export interface Claimed {
  keeping: Pick<Keeping, 'keepClass'>;
  tags: readonly Tag[];
  /** Of the drink, °Bx. */
  brix: number;
}

const SWEET_BRIX = 8;

function saidOf({ keeping, tags, brix }: Claimed): Set<ClaimRow['when'][number]> {
  const has = (...some: Tag[]) => some.some((tag) => tags.includes(tag));
  const all = new Set<ClaimRow['when'][number]>([keeping.keepClass === 'raw' ? 'raw' : 'boiled']);
  if (has('alcohol', 'littleAlcohol')) all.add('alcohol');
  if (has('noAddedSugar')) all.add('plain');
  else if (brix >= SWEET_BRIX) all.add('sweet');
  if (has('vinegar')) all.add('vinegar');
  if (has('strongSpice')) all.add('spiced');
  return all;
}

/** What is commonly said of such a drink, and the spread of it, days. */
export function claimsOf(of: Claimed): { rows: ClaimRow[]; fromDays: number; toDays: number } | null {
  const said = saidOf(of);
  const rows = CLAIM_ROWS.filter((row) => row.when.every((tag) => said.has(tag)));
  if (rows.length === 0) return null;
  return {
    rows,
    fromDays: Math.min(...rows.map((r) => r.fromDays)),
    toDays: Math.max(...rows.map((r) => r.toDays)),
  };
}
