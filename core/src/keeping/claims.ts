import type { LotMark } from '../balance/lots.ts';
import { CLAIM_ROWS, type ClaimRow } from '../tables/claims.ts';
import type { Keeping } from './class.ts';

/** What of a drink brings in the sayings about it. */
export interface Claimed {
  keeping: Pick<Keeping, 'keepClass'>;
  marks: readonly LotMark[];
  /** Of the drink, °Bx. */
  brix: number;
  itemIds: ReadonlySet<string>;
}

const SWEET_BRIX = 8;

function tagsOf({ keeping, marks, brix, itemIds }: Claimed): Set<ClaimRow['when'][number]> {
  const tags = new Set<ClaimRow['when'][number]>();
  tags.add(keeping.keepClass === 'raw' ? 'raw' : 'boiled');
  if (marks.includes('alcohol') || marks.includes('littleAlcohol')) tags.add('alcohol');
  tags.add(marks.includes('noAddedSugar') ? 'plain' : 'sweet');
  if (brix < SWEET_BRIX) tags.delete('sweet');
  const ids = [...itemIds];
  if (ids.some((id) => id.includes('vinegar'))) tags.add('vinegar');
  if (ids.some((id) => /clove|cinnamon|ginger|pepper|nutmeg|allspice/.test(id))) tags.add('spiced');
  return tags;
}

/** What is commonly said of such a drink, and the spread of it, days. */
export function claimsOf(of: Claimed): { rows: ClaimRow[]; fromDays: number; toDays: number } | null {
  const tags = tagsOf(of);
  const rows = CLAIM_ROWS.filter((row) => row.when.every((tag) => tags.has(tag)));
  if (rows.length === 0) return null;
  return {
    rows,
    fromDays: Math.min(...rows.map((r) => r.fromDays)),
    toDays: Math.max(...rows.map((r) => r.toDays)),
  };
}
