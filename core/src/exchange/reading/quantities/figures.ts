import { ABOUT, ONES, PARTS, TENS, VAGUE_NUMBERS } from '../../../tables/reading/numberWords.ts';
import type { Token } from '../tokens.ts';

/** A figure, or figures from where to where, in so many tokens. */
export interface Figure {
  value: number;
  max?: number;
  /** "some", "a few". */
  vague: boolean;
  /** "a", "an": one, where a measure or a thing follows. */
  article: boolean;
  otherValue?: number;
  length: number;
}

/** One number at a token: in figures or in words. "two hundred and fifty", "one and a half", "three quarters". */
export function numberAt(tokens: readonly Token[], at: number): Omit<Figure, 'max'> | null {
  const token = tokens[at];
  if (!token) return null;
  if (token.kind === 'number') {
    let value = token.value!;
    let length = 1;
    const [and, a, part] = [tokens[at + 1]?.t, tokens[at + 2]?.t, tokens[at + 3]?.t];
    if (and === 'and' && a === 'a' && part && PARTS[part]) {
      value += PARTS[part];
      length = 4;
    } else if (and === 'and' && a && PARTS[a]) {
      value += PARTS[a];
      length = 3;
    } else if (and === 'dozen' || and === 'dozens') {
      value *= 12;
      length = 2;
    } else if (and === 'hundred' || and === 'thousand') {
      value *= and === 'hundred' ? 100 : 1000;
      length = 2;
    }
    return {
      value,
      vague: false,
      article: false,
      length,
      ...(length === 1 && token.otherValue !== undefined ? { otherValue: token.otherValue } : {}),
    };
  }
  return wordsAt(tokens, at);
}

/** A number in words. Linear in the words it takes. */
function wordsAt(tokens: readonly Token[], at: number): Omit<Figure, 'max'> | null {
  const word = (i: number) => tokens[i]?.t ?? '';
  const w = word(at);
  const exact = (value: number, length: number) => ({ value, vague: false, article: false, length });
  if (VAGUE_NUMBERS[w]) {
    const [from] = VAGUE_NUMBERS[w];
    return { value: from, vague: w !== 'couple', article: false, length: word(at + 1) === 'of' ? 2 : 1 };
  }
  if (w === 'a' || w === 'an') {
    const next = word(at + 1);
    if (VAGUE_NUMBERS[next]) {
      const inner = wordsAt(tokens, at + 1)!;
      return { ...inner, length: inner.length + 1 };
    }
    if (next === 'dozen') return { ...exact(12, word(at + 2) === 'of' ? 3 : 2) };
    if (next === 'hundred') return afterHundred(tokens, at + 2, 100, 2);
    if (next === 'half' || PARTS[next]) return { ...exact(PARTS[next]!, 2) };
    return { value: 1, vague: false, article: true, length: 1 };
  }
  if (w === 'half') {
    // "half a dozen"
    const a = word(at + 1) === 'a' ? 1 : 0;
    return word(at + 1 + a) === 'dozen' ? exact(6, 2 + a) : exact(1 / 2, 1);
  }
  if (w === 'dozen') return exact(12, 1);
  if (w === 'quarter') return exact(1 / 4, 1);
  let value: number;
  let length = 1;
  if (TENS[w]) {
    value = TENS[w];
    const dash = word(at + 1) === '-' ? 1 : 0;
    const one = ONES[word(at + 1 + dash)];
    if (one !== undefined && one < 10) {
      value += one;
      length += dash + 1;
    }
  } else if (ONES[w] !== undefined) value = ONES[w];
  else return null;
  if (word(at + length) === 'hundred') return afterHundred(tokens, at + length + 1, value * 100, length + 1);
  if (word(at + length) === 'thousand') return exact(value * 1000, length + 1);
  if (word(at + length) === 'dozen') return exact(value * 12, length + 1);
  // "one point eight"
  if (word(at + length) === 'point' && ONES[word(at + length + 1)] !== undefined) {
    const places = String(ONES[word(at + length + 1)]);
    return exact(Number(`${value}.${places}`), length + 2);
  }
  // "three quarters", "two thirds"
  if (PARTS[word(at + length)] && value < 10) return exact(value * PARTS[word(at + length)]!, length + 1);
  // "one and a half"
  if (word(at + length) === 'and') {
    const a = word(at + length + 1);
    const part = a === 'a' || a === 'one' ? PARTS[word(at + length + 2)] : PARTS[a];
    if (part !== undefined) {
      const used = a === 'a' || a === 'one' ? 3 : 2;
      // "two and a half dozen"
      if (word(at + length + used) === 'dozen') return exact((value + part) * 12, length + used + 1);
      return exact(value + part, length + used);
    }
  }
  return exact(value, length);
}

function afterHundred(tokens: readonly Token[], at: number, hundreds: number, length: number) {
  const and = tokens[at]?.t === 'and' ? 1 : 0;
  const rest = wordsAt(tokens, at + and);
  // "two hundred and a half" is no number, "a hundred and one" is.
  if (rest && !rest.article && !rest.vague && Number.isInteger(rest.value) && rest.value < 100)
    return { value: hundreds + rest.value, vague: false, article: false, length: length + and + rest.length };
  return { value: hundreds, vague: false, article: false, length };
}

const RANGE = new Set(['-', '–', '—', '‒', 'to', 'or', '~', 'bis']);

/** A number or a range at a token. */
export function figureAt(tokens: readonly Token[], at: number): Figure | null {
  const first = numberAt(tokens, at);
  if (!first) return null;
  if (first.article || first.vague) {
    const vague = VAGUE_NUMBERS[tokens[at]!.t] ?? VAGUE_NUMBERS[tokens[at + 1]?.t ?? ''];
    return first.vague && vague ? { ...first, max: vague[1] } : first;
  }
  let next = at + first.length;
  // "two three hours"
  if (tokens[at]!.kind === 'word' && first.length === 1) {
    const other = numberAt(tokens, next);
    const follows = other !== null && !other.article && !other.vague && Number.isInteger(other.value);
    if (follows && other.length === 1 && other.value === first.value + 1 && tokens[next]!.kind === 'word')
      return { ...first, max: other.value, length: 2 };
  }
  if (!RANGE.has(tokens[next]?.t ?? '')) {
    // "ten cloves, maybe twelve" is put together where the thing is known; "10, maybe 12" here.
    return first;
  }
  next++;
  while (ABOUT.has(tokens[next]?.t ?? '')) next++;
  const second = numberAt(tokens, next);
  if (!second || second.article || second.vague || second.value <= first.value) return first;
  return { ...first, max: second.value, length: next + second.length - at };
}
