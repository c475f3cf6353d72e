import type { ReadBlock } from './read.ts';
import type { Token } from './tokens.ts';
import type { MarkedSpan } from './types.ts';

/** What became of each piece of the text. */
export function marksOf(
  _parts: readonly ReadBlock[],
  _text: string,
  _tokens: readonly Token[],
): MarkedSpan[] {
  return [];
}
