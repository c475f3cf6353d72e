import { type Entry, nameAt } from '../lexicon.ts';
import { measureAt } from '../quantities/measures.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { TAILS, word } from './thing.ts';

const LONGEST_BRACKET = 16;

/** "300 g hibiscus (8 cups)", "90 g orange peel (of 2 oranges)": the same amount in other measures, in brackets. */
export function otherMeasures(
  tokens: readonly Token[],
  from: number,
  end: number,
  entry: Entry,
): number | null {
  if (word(tokens, from, end) !== '(') return null;
  let measured = false;
  for (let i = from + 1; i < Math.min(end, from + LONGEST_BRACKET); i++) {
    if (tokens[i]!.t === ')') return measured ? i + 1 : null;
    const q = quantityAt(tokens, i);
    const counted = q !== null && (nameAt(tokens, q.to) !== null || TAILS.has(word(tokens, q.to, end)));
    if (q?.measured === 'amount' && (q.measure !== null || counted)) measured = true;
    const named = nameAt(tokens, i)?.entry;
    const piece = measureAt(tokens, i, true) !== null || TAILS.has(tokens[i]!.t);
    const other = named && !piece && !sameThing(named, entry);
    if (other) return null;
  }
  return null;
}

const sameThing = (a: Entry, b: Entry): boolean =>
  b.kind === 'family' &&
  (a.kind === 'family'
    ? a.family.id === b.family.id
    : a.kind === 'group' && a.families.includes(b.family.id));
