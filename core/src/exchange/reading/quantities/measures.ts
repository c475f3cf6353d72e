import { FILLS, MEASURE_WORDS, type MeasureWord } from '../../../tables/reading/measureWords.ts';
import { MORE } from '../../../tables/reading/numberWords.ts';
import { nameAt } from '../lexicon.ts';
import type { Token } from '../tokens.ts';

const phrases = new Map<string, MeasureWord[]>();

for (const row of MEASURE_WORDS)
  for (const words of row.words) {
    const first = words.split(/[ -]/)[0]!;
    phrases.set(first, [...(phrases.get(first) ?? []), row]);
  }

export const FILL_OF = new Map(
  Object.entries(FILLS).flatMap(([id, f]) => f.words.map((w) => [w, id] as const)),
);

/** The measure that a word or two name, longest first. */
export function measureAt(
  tokens: readonly Token[],
  at: number,
  afterFigure: boolean,
): { row: MeasureWord; length: number } | null {
  const first = tokens[at]?.t;
  if (first === undefined) return null;
  let best: { row: MeasureWord; length: number } | null = null;
  for (const row of phrases.get(first) ?? []) {
    if (row.afterFigure && !afterFigure) continue;
    for (const words of row.words) {
      const parts = words.split(/[ -]/);
      if (parts[0] !== first) continue;
      let next = at;
      let fits = true;
      for (const part of parts) {
        if (tokens[next]?.t === '-') next++;
        if (tokens[next]?.t !== part) {
          fits = false;
          break;
        }
        next++;
      }
      if (fits && (!best || next - at > best.length)) best = { row, length: next - at };
    }
  }
  return best;
}

/** What stands between a figure and its measure: "two big handfuls", "3 heaped tbsp", "4-quart". */
export function measureAfter(tokens: readonly Token[], from: number, afterFigure: boolean) {
  let at = from;
  let how: string | undefined;
  for (let i = 0; i < 3; i++) {
    const t = tokens[at]?.t ?? '';
    if (t === '-' && at === from) {
      at++;
      continue;
    }
    const found = measureAt(tokens, at, afterFigure && at === from);
    if (found) {
      // "three cloves" are the spice; "three cloves of garlic" are cloves of it.
      const name = nameAt(tokens, at);
      if (name && name.entry.kind !== 'group') {
        let next = at + found.length;
        if (tokens[next]?.t === 'of') next++;
        if (!nameAt(tokens, next)) break;
        if (name.length > found.length) break;
      }
      return { row: found.row, length: at + found.length - from, how };
    }
    if (MORE.has(t) && i === 0) {
      at++;
      continue;
    }
    const fill = FILL_OF.get(t);
    if (!fill) break;
    how = fill;
    at++;
  }
  return null;
}

export const fillOf = (word: string): string | undefined => FILL_OF.get(word);
