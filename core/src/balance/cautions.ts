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

/** The marks that a recipe will have, from its lines alone: what is stirred in raw, and what has alcohol. */
export function marksOfLines(
  lines: readonly { kind: string; itemId: string; stream: string }[],
  tables: Tables,
): LotMark[] {
  const marks = new Set<LotMark>();
  let sweetened = false;
  for (const line of lines) {
    const liquid = line.kind === 'liquid' ? tables.liquids.get(line.itemId) : undefined;
    const solid = line.kind === 'solid' ? tables.ingredients.get(line.itemId) : undefined;
    if (line.kind === 'sweetener' || liquid?.sweetened) sweetened = true;
    if (liquid && liquid.abvPct > 0) marks.add('alcohol');
    if (liquid?.treatment === 'live') marks.add('live');
    if (
      liquid &&
      (liquid.treatment === 'rawJuice' || liquid.treatment === 'rawMilk') &&
      line.stream !== 'pot'
    )
      marks.add('raw');
    if (line.itemId === 'honey') marks.add('honey');
    if (solid?.marker === 'coconut' || line.itemId.startsWith('coconut-m')) marks.add('coconut');
    if (solid?.marker === 'garlic') marks.add('garlic');
    if (solid?.marker === 'chilli') marks.add('hot');
  }
  if (!sweetened) marks.add('noAddedSugar');
  return [...marks];
}

/** Usual cautions by person, in the order of the table. Not medical advice. */
export const cautionsOf = (tags: ReadonlySet<string>): CautionRow[] =>
  CAUTION_ROWS.filter((row) => row.when.some((tag) => tags.has(tag)));

/** Who is to be told before a glass is poured, each once. */
export const audienceOf = (rows: readonly CautionRow[]): Audience[] => [...new Set(rows.map((r) => r.who))];
