import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../../tables/reading/formWords.ts';
import { nameAt } from '../lexicon.ts';
import { fillOf } from '../quantities/measures.ts';
import type { Token } from '../tokens.ts';
import { word } from './thing.ts';

/** Past the words that may stand before a name: its size, form, "of the". */
export function skipBefore(tokens: readonly Token[], at: number, end: number, forms: string[]) {
  let i = at;
  let definite = false;
  for (let n = 0; n < 8 && i < end; n++) {
    const t = word(tokens, i, end);
    if (nameAt(tokens, i) && !(FORM_WORDS.has(t) && followsName(tokens, i + 1, end))) break;
    if (t === 'of' || t === '-' || t === 'each') i++;
    else if (DETERMINERS.has(t)) {
      definite = true;
      i++;
    } else if (FORM_WORDS.has(t) || fillOf(t)) {
      forms.push(t);
      i++;
    } else if (
      t === ',' &&
      i > at &&
      FORM_WORDS.has(word(tokens, i - 1, end)) &&
      FORM_WORDS.has(word(tokens, i + 1, end))
    )
      i++;
    else break;
  }
  return { at: i, definite };
}

export const followsName = (tokens: readonly Token[], at: number, end: number): boolean => {
  for (let i = at; i < at + 4 && i < end; i++) {
    if (nameAt(tokens, i)) return true;
    if (!FORM_WORDS.has(word(tokens, i, end))) return false;
  }
  return false;
};

export const startsThing = (tokens: readonly Token[], at: number, end: number): boolean => {
  const { at: i } = skipBefore(tokens, at, end, []);
  return i < end && nameAt(tokens, i) !== null;
};

/** "peel and core", "skins + cores": the parts, and where what they are parts of begins. */
export function partsBefore(tokens: readonly Token[], at: number, end: number) {
  const parts: string[] = [];
  let i = at;
  while (i < end) {
    const t = word(tokens, i, end);
    if (PART_WORDS[t]) {
      parts.push(t);
      i++;
    } else if ((t === 'and' || t === '+' || t === '&' || t === ',') && parts.length) {
      const the = DETERMINERS.has(word(tokens, i + 1, end)) ? 1 : 0;
      if (!PART_WORDS[word(tokens, i + 1 + the, end)]) break;
      i += 1 + the;
    } else break;
  }
  return parts.length && (word(tokens, i, end) === 'of' || word(tokens, i, end) === 'from')
    ? { parts, at: i + 1 }
    : null;
}
