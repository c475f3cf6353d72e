import { type Audience, CAUTION_ROWS, type CautionRow } from '../tables/audience.ts';
import type { Tables } from '../tables/types.ts';
import type { LotMark } from './lots.ts';

/** From here on a drink is called sour, for stomachs and teeth, g/L as citric. */
const ACID_G_PER_L = 5;

/** What brings in the cautions of a drink: its marks, what went in, and what those give. */
export function cautionTags(of: {
  marks: readonly LotMark[];
  itemIds: Iterable<string>;
  sourGPerL?: number;
  tables: Tables;
}): Set<string> {
  const tags = new Set<string>(of.marks);
  for (const id of of.itemIds) {
    tags.add(id);
    const row = of.tables.ingredients.get(id);
    if (row) tags.add(row.marker);
    if (row?.role === 'citrus') tags.add('citrus');
  }
  if (!of.marks.includes('noAddedSugar')) tags.add('sweetened');
  if ((of.sourGPerL ?? 0) >= ACID_G_PER_L) tags.add('acid');
  return tags;
}

/** Usual cautions by person, in the order of the table. Not medical advice. */
export const cautionsOf = (tags: ReadonlySet<string>): CautionRow[] =>
  CAUTION_ROWS.filter((row) => row.when.some((tag) => tags.has(tag)));

/** Who is to be told before a glass is poured, each once. */
export const audienceOf = (rows: readonly CautionRow[]): Audience[] => [...new Set(rows.map((r) => r.who))];
