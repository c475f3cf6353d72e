import { nameAt } from './lexicon.ts';
import type { Block } from './segments/block.ts';
import type { Token } from './tokens.ts';
import type { ReadDrink } from './types.ts';

const DRINKS = new Set(
  'drink drinks tea punch cordial shots shot cooler tonic toddy syrup shrub brew infusion cider lemonade beer recipe one ones thing warmer concentrate'.split(
    ' ',
  ),
);
/** Words that name a drink only together with what it is made of. */
const VAGUE_DRINKS = new Set(['one', 'ones', 'thing', 'recipe', 'drinks']);
const STARTS = new Set(['the', 'a', 'my', 'our', "grandmother's", 'your', 'an', 'her']);

/** The name of a drink: its title, or what the text calls it: "the red drink", "the tamarind one". */
export function titleOf(block: Block, text: string, tokens: readonly Token[]): ReadDrink['title'] {
  if (block.title) {
    const span = trimmed(block.title.from, block.title.to, tokens);
    if (span) return { words: text.slice(span.start, span.end), span };
  }
  const first = block.told[0];
  if (!first) return null;
  const to = Math.min(tokens.length, first.from + 90);
  // "The first one is the watermelon lime."
  for (let i = first.from; i < Math.min(to, first.from + 40); i++)
    if (tokens[i]!.t === 'one' && tokens[i + 1]?.t === 'is') {
      let end = i + 2;
      while (end < tokens.length && tokens[end]!.kind === 'word') end++;
      const start = STARTS.has(tokens[i + 2]?.t ?? '') ? i + 3 : i + 2;
      if (end > start && end - start <= 7) return found(start, end, text, tokens);
    }
  for (let i = first.from; i < to; i++) {
    if (!DRINKS.has(tokens[i]!.t)) continue;
    // Back to "the", "my": what lies between is what it is called.
    let start = i - 1;
    while (
      start > first.from &&
      i - start < 6 &&
      tokens[start]!.kind === 'word' &&
      !STARTS.has(tokens[start]!.t)
    )
      start--;
    const opens = start >= first.from && STARTS.has(tokens[start]!.t);
    const named = tokens.slice(start + 1, i).some((_, k) => nameAt(tokens, start + 1 + k) !== null);
    if (
      VAGUE_DRINKS.has(tokens[i]!.t) ? !(opens && named) : !(opens || (named && tokens[start + 1]!.capital))
    )
      continue;
    // "The pineapple one": the name stands right before.
    if (VAGUE_DRINKS.has(tokens[i]!.t) && !nameEndsAt(tokens, i)) continue;
    if (opens && i - start < 2 && VAGUE_DRINKS.has(tokens[i]!.t)) continue;
    let end = i + 1;
    if (tokens[end]?.t === 'for' && tokens[end + 1]?.t === 'the') {
      end += 2;
      while (end < tokens.length && tokens[end]!.kind === 'word' && end - i < 5) end++;
    }
    return found(opens ? start : start + 1, end, text, tokens);
  }
  return null;
}

const nameEndsAt = (tokens: readonly Token[], at: number): boolean =>
  nameAt(tokens, at - 1) !== null || (nameAt(tokens, at - 2)?.length ?? 0) === 2;

const found = (from: number, to: number, text: string, tokens: readonly Token[]) => {
  const span = { start: tokens[from]!.start, end: tokens[to - 1]!.end };
  return { words: text.slice(span.start, span.end), span };
};

function trimmed(from: number, to: number, tokens: readonly Token[]) {
  let a = from;
  let b = to;
  while (a < b && tokens[a]!.kind === 'sign') a++;
  while (b > a && tokens[b - 1]!.kind === 'sign') b--;
  return b > a ? { start: tokens[a]!.start, end: tokens[b - 1]!.end } : null;
}
