import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../../tables/reading/formWords.ts';
import { nameAt } from '../lexicon.ts';
import type { Quantity } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { BARE, type Thing, word } from './thing.ts';

export const UNKNOWN_STOPS = new Set(
  'and or in into to with for from on at the a an is are was it that which then until till if when while as per by but so of'.split(
    ' ',
  ),
);

/** The name of something that is in no table: the words after its amount, up to three of them. */
function unknownName(
  tokens: readonly Token[],
  from: number,
  end: number,
  isVerb: (at: number) => boolean,
): { name: string; to: number } | null {
  let at = from;
  while (
    at < end &&
    (word(tokens, at, end) === 'of' ||
      FORM_WORDS.has(word(tokens, at, end)) ||
      DETERMINERS.has(word(tokens, at, end)))
  )
    at++;
  const words: string[] = [];
  while (at < end && words.length < 3 && tokens[at]!.kind === 'word' && !UNKNOWN_STOPS.has(tokens[at]!.t)) {
    const known = words.length ? nameAt(tokens, at) : null;
    if ((known && known.entry.kind !== 'group') || isVerb(at)) break;
    if (!words.length && PART_WORDS[tokens[at]!.t]) break;
    words.push(tokens[at]!.t);
    at++;
  }
  return words.length ? { name: words.join(' '), to: at } : null;
}

export function unknownAt(
  tokens: readonly Token[],
  at: number,
  end: number,
  q: Quantity | null,
  listed: boolean,
  isVerb: (at: number) => boolean,
): Thing[] | null {
  if (!q || q.vague) return null;
  // Prose: only what has a measure and "of" is surely a thing.
  const hasOf = word(tokens, q.to, end) === 'of';
  const loose =
    q.measure === null ||
    ['slice', 'inch', 'cm', 'bottleful', 'glassful', 'hand', 'piece'].includes(q.measure.id);
  if (!listed && (!hasOf || loose)) return null;
  if (listed && q.article && !q.measure) return null;
  const name = unknownName(tokens, q.to, end, isVerb);
  if (!name) return null;
  return [
    {
      ...BARE,
      from: at,
      to: name.to,
      entry: { kind: 'unknown', name: name.name },
      quantity: q,
      more: q.more,
    },
  ];
}
