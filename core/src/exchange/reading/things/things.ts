import type { FamilyRow } from '../../../tables/families.ts';
import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../../tables/reading/formWords.ts';
import { MORE } from '../../../tables/reading/numberWords.ts';
import { nameAt, singular } from '../lexicon.ts';
import { fillOf, measureAt } from '../quantities/measures.ts';
import { type Quantity, quantityAt } from '../quantities/quantities.ts';
import { oncePerPlace, type Token } from '../tokens.ts';
import { followsName, partsBefore, skipBefore, startsThing } from './before.ts';
import { tailOf, trailing, wordsAfter } from './behind.ts';
import { isMeasured, leading, PACKS } from './leading.ts';
import { otherMeasures } from './otherMeasures.ts';
import { BARE, JOINS, TAILS, type Thing, word } from './thing.ts';
import { UNKNOWN_STOPS, unknownAt } from './unknown.ts';

const ROUGH = new Set(['glassful', 'mug', 'handful', 'bunch', 'thumb', 'hand', 'knob', 'pinch']);

/**
 * The things named in a row or a sentence, in their order.
 * @param listed the row stands in a list of what goes in: what has an amount is a thing, also where nobody knows it.
 */
export function thingsIn(
  tokens: readonly Token[],
  from: number,
  end: number,
  listed: boolean,
  isVerb: (at: number) => boolean = () => false,
): Thing[] {
  const out: Thing[] = [];
  let at = from;
  let shared: Quantity | null = null;
  while (at < end) {
    const found = thingAt(tokens, at, end, listed, isVerb, from);
    if (!found) {
      // The amount of "a cup each" holds on to the next names only.
      if (shared && !JOINS.has(word(tokens, at, end)) && word(tokens, at, end) !== ',') shared = null;
      at++;
      continue;
    }
    for (const thing of found) {
      const q: Quantity | null = thing.quantity;
      if (q && word(tokens, q.to, end) === 'each') shared = q;
      else if (!q && shared) thing.quantity = shared;
      // "Two handfuls of mint, one of basil": in the same measure.
      const last = out.at(-1);
      if (
        q &&
        !q.measure &&
        !q.article &&
        q.value <= 20 &&
        word(tokens, q.to, end) === 'of' &&
        last?.quantity?.measure &&
        thing.from - last.to <= 2 &&
        !thing.definite &&
        !thing.part
      )
        thing.quantity = { ...q, measure: last.quantity.measure };
      out.push(thing);
    }
    at = Math.max(at + 1, found.at(-1)!.to);
  }
  return out;
}

const REST = new Set(['rest', 'remaining', 'remainder']);

const BEFORE_NAMES = new Set(['of', '-', 'each']);

/** Whether a thing may begin at a token; most do not open and are asked for several times. */
const mayOpen = oncePerPlace((tokens: readonly Token[], at: number): boolean => {
  const { t, kind } = tokens[at]!;
  if (kind === 'row') return false;
  return (
    kind === 'number' ||
    REST.has(t) ||
    BEFORE_NAMES.has(t) ||
    MORE.has(t) ||
    DETERMINERS.has(t) ||
    FORM_WORDS.has(t) ||
    PART_WORDS[t] !== undefined ||
    fillOf(t) !== undefined ||
    nameAt(tokens, at) !== null ||
    quantityAt(tokens, at) !== null ||
    measureAt(tokens, at, false) !== null
  );
});

function thingAt(
  tokens: readonly Token[],
  at: number,
  end: number,
  listed: boolean,
  isVerb: (at: number) => boolean,
  from: number,
): Thing[] | null {
  if (!mayOpen(tokens, at)) return null;
  const t = word(tokens, at, end);
  const forms: string[] = [];
  let i = at;
  let rest = false;
  let share: number | null = null;
  let q: Quantity | null = null;
  let definite = false;
  let more = false;
  if (REST.has(t)) {
    rest = true;
    i++;
    if (word(tokens, i, end) === 'of') i++;
  } else if (isVerb(at)) return null;
  else if (PART_WORDS[t] && !nameAt(tokens, at)) {
    // The parts come first: below.
  } else {
    q = leading(tokens, at, end);
    if (q) i = q.to;
    else if (MORE.has(t) && startsThing(tokens, at + 1, end)) {
      more = true;
      i++;
    }
  }
  if (q?.more) more = true;
  // "half of the sugar", "two thirds of the water", "4 of the oranges"
  if (q && !q.measure && (word(tokens, i, end) === 'of' || q.value < 1)) {
    const of = word(tokens, i, end) === 'of' ? 1 : 0;
    if (
      DETERMINERS.has(word(tokens, i + of, end)) ||
      (of && q.value < 1 && !['a', 'an', 'one'].includes(word(tokens, i + of, end)))
    ) {
      definite = true;
      if (q.value < 1) {
        share = q.value;
        q = null;
      }
    }
    i += of;
    while (['a', 'an', 'one'].includes(word(tokens, i, end)) && !nameAt(tokens, i)) i++;
  }
  const parts = partsBefore(tokens, i, end);
  if (parts) {
    i = parts.at;
    while (DETERMINERS.has(word(tokens, i, end))) {
      if (word(tokens, i, end) !== 'all' && word(tokens, i, end) !== 'both') definite = true;
      i++;
    }
    const inner = leading(tokens, i, end);
    if (inner) {
      q = q && !q.article ? q : inner;
      i = inner.to;
      // "The juice of half a lemon."
      if (inner.value < 1 && ['a', 'an', 'one'].includes(word(tokens, i, end))) i++;
    }
  }
  // "The peel", "the juice": of what was named before.
  if (!parts && !q && PART_WORDS[t] && ['peel', 'core', 'juice'].includes(PART_WORDS[t]!)) {
    const p = tokens[at - 1]?.t ?? '';
    const next = word(tokens, at + 1, end);
    const among = /^(?:\+|&|and)$/.test(next) || (next === ',' && at === from);
    if ((DETERMINERS.has(p) || p === 'and' || p === '+' || among) && !nameAt(tokens, at + 1)) {
      return [
        {
          ...BARE,
          from: at,
          to: at + 1,
          entry: { kind: 'group', families: [] },
          part: PART_WORDS[t]!,
          definite: true,
        },
      ];
    }
  }
  // "One and a half cups, packed brown sugar"
  if (
    q?.measure &&
    word(tokens, i, end) === ',' &&
    FORM_WORDS.has(word(tokens, i + 1, end)) &&
    followsName(tokens, i + 1, end)
  )
    i++;
  const before = skipBefore(tokens, i, end, forms);
  i = before.at;
  definite ||= before.definite;
  if (isVerb(i) && i < end && !parts) return null;
  let name = i < end ? nameAt(tokens, i) : null;
  // "1.5 l cloudy apple juice": a word nobody knows before a name says how it is.
  if (!name && q?.measure)
    for (let k = i + 1; k <= i + 2 && k < end && !name; k++) {
      const skipped = tokens[k - 1]!;
      if (skipped.kind !== 'word' || UNKNOWN_STOPS.has(skipped.t) || isVerb(k - 1)) break;
      name = nameAt(tokens, k);
      if (name && name.entry.kind !== 'group') {
        for (let w = i; w < k; w++) forms.push(tokens[w]!.t);
        i = k;
      } else name = null;
    }
  if (!name) return unknownAt(tokens, at, end, q, listed, isVerb);
  if (name.entry.kind === 'family' && name.entry.foreign && !q && !listed && !definite) return null;
  // "Orange blossom honey" is honey.
  if (['blossom', 'flower', 'flavoured', 'scented', 'infused'].includes(word(tokens, i + name.length, end))) {
    const head = nameAt(tokens, i + name.length + 1);
    if (head && i + name.length + 1 < end) {
      i += name.length + 1;
      name = head;
    }
  }
  // "Coconut sugar", "clove garlic": the second is the thing, the first says which.
  const second = nameAt(tokens, i + name.length);
  if (
    second?.entry.kind === 'family' &&
    i + name.length < end &&
    isKindOf(second.entry.family, tokens[i]!.t)
  ) {
    forms.push(tokens[i]!.t);
    i += name.length;
    name = second;
  }
  let to = i + name.length;
  // "orange peel", "mint leaves", "ginger slices": a word for the part or the form right behind.
  const partWords = parts ? [...parts.parts] : [];
  const nameWords = tokens.slice(i, to).map((token) => token.t);
  while (to < end && !parts) {
    const w = word(tokens, to, end);
    if (PART_WORDS[w] && !isVerb(to)) partWords.push(w);
    else if (FORM_WORDS.has(w) && TAILS.has(w) && !isVerb(to)) forms.push(w);
    else break;
    to++;
  }
  const after = wordsAfter(tokens, to, end, isVerb);
  to = after.at;
  forms.push(...after.forms);
  if (!partWords.length) partWords.push(...after.parts);
  let behind = trailing(tokens, to, end, q);
  if (behind) {
    // "1 packet tamarind 400 g": what a pack weighs, times the packs.
    if (q && !q.measure && behind.quantity.measure) q = { ...behind.quantity, value: behind.quantity.value };
    else if (q && behind.counted) q = behind.quantity;
    else if (q && ROUGH.has(q.measure?.id ?? '')) q = behind.quantity;
    else if (q && PACKS.has(q.measure?.id ?? ''))
      q = { ...behind.quantity, value: behind.quantity.value * q.value };
    else if (!q) q = behind.quantity;
    else behind = null;
  }
  if (behind) {
    to = behind.to;
    const last = wordsAfter(tokens, to, end, isVerb);
    to = last.at;
    forms.push(...last.forms);
    if (!partWords.length) partWords.push(...last.parts);
    after.optional ||= last.optional;
  }
  if (q?.measure && isMeasured(q.measure)) to = otherMeasures(tokens, to, end, name.entry) ?? to;
  const tail = tailOf(tokens, to, end);
  to = tail.to;
  const made = (part: string | null): Thing => ({
    from: at,
    to,
    entry: name.entry,
    quantity: q,
    forms: [...forms, ...nameWords],
    meantFor: after.meantFor,
    part,
    definite,
    more,
    share,
    rest,
    toTaste: tail.toTaste,
    optional: after.optional,
    perL: tail.perL,
    misspelled: name.misspelled,
  });
  if (q && !q.measure && !q.how) {
    const how = forms.map(fillOf).find((f) => f === 'big' || f === 'small');
    if (how && !forms.includes('thin') && !forms.includes('whole')) q = { ...q, how };
  }
  if (q?.measure && forms.includes('packed')) q = { ...q, how: 'packed' };
  const distinct = [...new Set(partWords.map((p) => PART_WORDS[p]!))];
  return distinct.length ? distinct.map(made) : [made(null)];
}

/** A name that says which form of a family is meant. */
const isKindOf = (family: FamilyRow, word: string): boolean =>
  family.leads === true ||
  family.forms.some((f) => f.words.includes(word) || f.words.includes(singular(word)));
