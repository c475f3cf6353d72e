import { ABBREVIATIONS } from '../../../tables/reading/measureWords.ts';
import { plainVerb } from '../clauses/hits.ts';
import type { Token } from '../tokens.ts';
import { pictograph } from './rows.ts';

export interface Sentence {
  from: number;
  /** At the sign that ends it. */
  end: number;
}

const ENDS = new Set(['.', '!', '?', ';', '→', '…', '>']);

/** A sentence longer than this is cut at its next pause, or where it is: what it costs to read grows with its square. */
const LONGEST_SENTENCE = 120;

const PAUSES: ReadonlySet<string> = new Set([',', ':', '-', '(', ')', '/']);

/** Sentences of a stretch of tokens. */
export function sentencesOf(tokens: readonly Token[], from: number, end: number): Sentence[] {
  const out: Sentence[] = [];
  let start = from;
  const close = (at: number) => {
    if (at > start) out.push({ from: start, end: at });
    start = at + 1;
  };
  for (let i = from; i < end; i++) {
    const { t } = tokens[i]!;
    if (t === '.') {
      const before = tokens[i - 1];
      const next = tokens[i + 1];
      if (
        before &&
        ABBREVIATIONS.has(before.t) &&
        next &&
        i + 1 < end &&
        !next.capital &&
        next.kind !== 'row' &&
        !plainVerb(tokens, i + 1, end)
      )
        continue;
      close(i);
    } else if (ENDS.has(t) || pictograph.test(t)) close(i);
    else if (i - start >= LONGEST_SENTENCE && (PAUSES.has(t) || i - start >= 2 * LONGEST_SENTENCE)) {
      if (i > start) out.push({ from: start, end: i });
      start = i;
    }
  }
  close(end);
  return out;
}
