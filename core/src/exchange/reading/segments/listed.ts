import { clausesIn } from '../clauses/clauses.ts';
import type { Thing } from '../things/thing.ts';
import { thingsIn } from '../things/things.ts';
import type { Token } from '../tokens.ts';
import type { Row } from './rows.ts';
import { sentencesOf } from './sentences.ts';

/** A row of a list is no longer than this. */
const MOST_IN_A_ROW = 80;

/** A row that reads like one of a list: something with an amount, and no deed. */
export function listedThings(tokens: readonly Token[], row: Row, inList: boolean): Thing[] | null {
  const count = row.end - row.from;
  if (count > MOST_IN_A_ROW) return null;
  const wordCount = tokens.slice(row.from, row.end).filter((t) => t.kind === 'word').length;
  const things = thingsIn(tokens, row.from, row.end, true);
  const named = things.filter((t) => t.entry.kind !== 'group');
  if (inList) {
    if (named.length) return things;
    return null;
  }
  if (count > 40) return null;
  const sentences = sentencesOf(tokens, row.from, row.end);
  const clauses = sentences.flatMap((s) => clausesIn(tokens, s.from, s.end, 0));
  const deeds = clauses.flatMap((c) => c.hits.filter((h) => h.deeds[0] !== 'aux'));
  if (deeds.length) return null;
  if (clauses.some((c) => c.times.length)) return null;
  if (!named.length) return null;
  const amounts = named.filter((t) => t.quantity || t.toTaste);
  if (amounts.length && wordCount <= 7 * named.length + 3) return things;
  // "salt", "cinnamon": names alone, in a row of their own.
  return wordCount <= 4 && row.bullet ? things : null;
}

export const isListLike = (tokens: readonly Token[], row: Row): boolean =>
  tokens.slice(row.from, row.end).filter((t) => t.kind === 'word').length <= 22 &&
  sentencesOf(tokens, row.from, row.end).length <= 2;
