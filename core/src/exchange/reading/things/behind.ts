import { FORM_WORDS, PART_WORDS } from '../../../tables/reading/formWords.ts';
import { nameAt } from '../lexicon.ts';
import { fillOf } from '../quantities/measures.ts';
import { type Quantity, quantityAt } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { followsName, startsThing } from './before.ts';
import { MASS_OR_VOLUME } from './leading.ts';
import { word } from './thing.ts';

interface After {
  at: number;
  forms: string[];
  parts: string[];
  optional: boolean;
  meantFor: string | null;
}

/** What a thing is meant for, and the form that it will be in. */
const PURPOSES: Readonly<Record<string, string>> = {
  blending: 'blended',
  grating: 'grated',
  slicing: 'sliced',
  crushing: 'crushed',
};

/** Words about a thing that stand behind its name: ", peeled and sliced", "(zest and juice)", ", cut in strips". */
export function wordsAfter(
  tokens: readonly Token[],
  from: number,
  end: number,
  isVerb: (at: number) => boolean,
): After {
  const forms: string[] = [];
  const parts: string[] = [];
  let optional = false;
  let meantFor: string | null = null;
  let at = from;
  let i = from;
  let open = 0;
  for (let n = 0; n < 14 && i < end; n++) {
    const t = word(tokens, i, end);
    if (isVerb(i)) break;
    if (t === ',' || t === '-' || t === '–' || t === '|') {
      i++;
      if (nameAt(tokens, i) && !FORM_WORDS.has(word(tokens, i, end))) break;
      continue;
    }
    if (t === '(') {
      open++;
      i++;
      continue;
    }
    if (t === ')') {
      if (!open) break;
      open--;
      i++;
      at = i;
      continue;
    }
    if (t === 'optional') {
      optional = true;
      i++;
      at = i;
      continue;
    }
    if (
      t === 'if' &&
      ['you', 'using', 'u', 'liked', 'wanted', 'desired'].includes(word(tokens, i + 1, end))
    ) {
      optional = true;
      i += 2;
      while (['like', 'want', 'wish', 'have', 'it', 'can', 'prefer'].includes(word(tokens, i, end))) i++;
      at = i;
      continue;
    }
    // "spirit, 40 %"
    const strength = tokens[i]!.kind === 'number' ? quantityAt(tokens, i) : null;
    if (strength?.measured === 'share' && strength.to <= end) {
      i = strength.to;
      at = i;
      continue;
    }
    // "ginger, for blending"
    const purpose = t === 'for' ? PURPOSES[word(tokens, i + 1, end)] : undefined;
    if (purpose) {
      meantFor = purpose;
      i += 2;
      at = i;
      continue;
    }
    // "with the skin on", "without the white": how it is, and nothing to put in.
    if ((t === 'with' || t === 'without' || t === 'no') && n < 4) {
      const the = word(tokens, i + 1, end) === 'the' ? 1 : 0;
      const what = word(tokens, i + 1 + the, end);
      if (what === 'skin' || what === 'white' || what === 'pith' || what === 'seeds' || what === 'skins') {
        i += 2 + the;
        if (word(tokens, i, end) === 'on') i++;
        at = i;
        continue;
      }
      break;
    }
    if ((t === 'cut' || t === 'sliced') && ['in', 'into'].includes(word(tokens, i + 1, end))) {
      forms.push(t);
      i += 2;
      at = i;
      continue;
    }
    // "of good size"
    const size = t === 'of' ? (word(tokens, i + 1, end) === 'a' ? i + 2 : i + 1) : -1;
    if (size > 0 && fillOf(word(tokens, size, end)) && word(tokens, size + 1, end) === 'size') {
      forms.push(word(tokens, size, end));
      i = size + 2;
      at = i;
      continue;
    }
    if (t === 'in' && FORM_WORDS.has(word(tokens, i + 1, end))) {
      i++;
      continue;
    }
    if (t === 'not' && FORM_WORDS.has(word(tokens, i + 1, end))) {
      i += 2;
      at = i;
      continue;
    }
    if (PART_WORDS[t] || FORM_WORDS.has(t)) {
      // "water, juice of 8 limes": of the next thing.
      if (PART_WORDS[t] && i > from && word(tokens, i - 1, end) === ',' && word(tokens, i + 1, end) === 'of')
        break;
      // It belongs to the next thing: "sugar, dried hibiscus".
      if (i > from && followsName(tokens, i + 1, end) && !open) break;
      if (nameAt(tokens, i) && i > from && !PART_WORDS[t] && !FORM_WORDS.has(t)) break;
      if (PART_WORDS[t]) parts.push(t);
      else forms.push(t);
      i++;
      at = i;
      continue;
    }
    if ((t === 'and' || t === 'then' || t === '+' || t === '&') && (forms.length || parts.length)) {
      const next = word(tokens, i + 1, end);
      if (!(FORM_WORDS.has(next) || PART_WORDS[next]) || followsName(tokens, i + 2, end)) break;
      i++;
      continue;
    }
    break;
  }
  return { at, forms, parts, optional, meantFor };
}

const NAME_FIRST_SIGNS = new Set(': | , - – = ( × x * /'.split(' '));

/** An amount behind the name: "hibiscus dried | 100 g", "lemons 6 (juice)", "limes ×3". */
export function trailing(tokens: readonly Token[], from: number, end: number, had: Quantity | null) {
  let at = from;
  let sign = '';
  while (at < end && NAME_FIRST_SIGNS.has(word(tokens, at, end))) {
    sign = word(tokens, at, end);
    at++;
    if (at - from > 3) return null;
  }
  while (['of', 'take', 'weighing', 'weighs', 'which'].includes(word(tokens, at, end))) at++;
  const q = leadingQuantity(tokens, at, end);
  if (!q || q.to > end || q.measured !== 'amount' || (q.article && !q.measure)) return null;
  // With an amount before it, only its weight may follow.
  const counted = sign === '(' && had?.measure != null && !MASS_OR_VOLUME.has(had.measure.id);
  if (had && !(q.measure && MASS_OR_VOLUME.has(q.measure.id)) && !counted) return null;
  // "Cloves, 8."
  const alone = tokens[at]!.kind === 'number' && (q.to >= end || /^[./;|]$/.test(word(tokens, q.to, end)));
  if (sign === ',' && q.measure === null && !alone) return null;
  if (sign === '' && q.measure === null && tokens[at]!.kind === 'word') return null;
  const { at: after } = skipForms(tokens, q.to, end);
  const next = word(tokens, after, end);
  // It is the amount of what comes next.
  if (next === 'of' || next === 'x' || (after < end && startsThing(tokens, after, end))) return null;
  if (tokens[after]?.kind === 'number' && after < end) return null;
  let to = q.to;
  if (sign === '(' && word(tokens, to, end) === ')') to++;
  return { quantity: q, to, counted };
}

const leadingQuantity = (tokens: readonly Token[], at: number, end: number): Quantity | null => {
  const q = quantityAt(tokens, at);
  return q && q.to <= end ? q : null;
};

function skipForms(tokens: readonly Token[], from: number, end: number) {
  let at = from;
  while (at < end && FORM_WORDS.has(word(tokens, at, end)) && !nameAt(tokens, at)) at++;
  return { at };
}

/** "to taste", "per litre" behind a thing. */
export function tailOf(tokens: readonly Token[], from: number, end: number) {
  let to = from;
  let toTaste = false;
  let perL = false;
  for (let n = 0; n < 4; n++) {
    let i = to;
    while ([',', 'or', '(', 'or,'].includes(word(tokens, i, end))) i++;
    if (word(tokens, i, end) === 'to' && word(tokens, i + 1, end) === 'taste') {
      toTaste = true;
      to = i + 2;
    } else if (word(tokens, i, end) === 'to' && word(tokens, i + 2, end) === 'taste') {
      toTaste = true;
      to = i + 3;
    } else if (
      (word(tokens, i, end) === 'per' || word(tokens, i, end) === 'for') &&
      ['litre', 'liter', 'l'].includes(word(tokens, i + 1, end))
    ) {
      perL = true;
      to = i + 2;
    } else if (word(tokens, i, end) === 'per' && ['litre', 'liter'].includes(word(tokens, i + 2, end))) {
      perL = true;
      to = i + 3;
    } else break;
    if (word(tokens, to, end) === ')') to++;
  }
  return { to, toTaste, perL };
}
