import { nameAt } from '../lexicon.ts';
import { lotAt } from '../lotNames.ts';
import type { Token } from '../tokens.ts';
import { OWN_WORDS, REMARK } from './headings.ts';
import { type Row, words } from './rows.ts';

/** "A:", "Caller:": names of speakers at the heads of rows, where they come again. */
export function speakersIn(tokens: readonly Token[], rows: readonly Row[]): Map<number, number> {
  const heads = new Map<string, number[]>();
  for (const [index, row] of rows.entries()) {
    const colon = tokens.slice(row.from, row.from + 3).findIndex((t) => t.t === ':');
    if (colon < 1) continue;
    const name = words(tokens, row.from, row.from + colon);
    if (nameAt(tokens, row.from) || tokens[row.from]!.kind !== 'word') continue;
    if (REMARK.test(`${name}: `) || OWN_WORDS.test(`${name}: `) || lotAt(tokens, row.from)) continue;
    heads.set(name, [...(heads.get(name) ?? []), index]);
  }
  const out = new Map<number, number>();
  for (const [, indexes] of heads)
    if (indexes.length >= 2)
      for (const index of indexes) {
        const row = rows[index]!;
        let a = row.from;
        while (tokens[a]!.t !== ':') a++;
        out.set(index, a + 1);
      }
  return out;
}
