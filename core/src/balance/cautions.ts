import { type Audience, CAUTION_ROWS, type CautionRow } from '../tables/audience.ts';
import type { Tag } from '../tables/traits.ts';

/** Usual cautions by person, in the order of the table. Not medical advice. */
export const cautionsOf = (tags: ReadonlySet<Tag>): CautionRow[] =>
  CAUTION_ROWS.filter((row) => row.when.some((tag) => tags.has(tag)));

/** Who is to be told before a glass is poured, each once. */
export const audienceOf = (rows: readonly CautionRow[]): Audience[] => [...new Set(rows.map((r) => r.who))];
