import type { FamilyRow } from '../../tables/families.ts';
import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../tables/reading/formWords.ts';
import type { MeasureWord } from '../../tables/reading/measureWords.ts';
import { MORE } from '../../tables/reading/numberWords.ts';
import { type Entry, nameAt, singular } from './lexicon.ts';
import { fillOf, measureAt, type Quantity, quantityAt } from './quantities.ts';
import { oncePerPlace, type Token } from './tokens.ts';

/** A thing that a text names, with the amount and the words about it. Places are those of tokens. */
export interface Thing {
  from: number;
  to: number;
  entry: Entry | { kind: 'unknown'; name: string };
  quantity: Quantity | null;
  /** Words for its form and its size. */
  forms: string[];
  /** "For blending": the form it will be in, whatever is done to it before. */
  meantFor: string | null;
  /** Peel, core, juice: one thing for each. */
  part: string | null;
  /** Named as something that is known already: "the sugar". */
  definite: boolean;
  /** More of it. */
  more: boolean;
  /** "half of the sugar": a share of what there is; "the rest": 1, rest. */
  share: number | null;
  rest: boolean;
  toTaste: boolean;
  optional: boolean;
  perL: boolean;
  misspelled: boolean;
}

const BARE: Omit<Thing, 'from' | 'to' | 'entry'> = {
  quantity: null,
  forms: [],
  meantFor: null,
  part: null,
  definite: false,
  more: false,
  share: null,
  rest: false,
  toTaste: false,
  optional: false,
  perL: false,
  misspelled: false,
};

const LOOSE_MEASURES = new Set(
  'thumb pinch handful bunch knob stick slice dash pack inch finger sprig stalk hand strip mug glassful head bottleful metricCup metricTablespoon metricTeaspoon L piece'.split(
    ' ',
  ),
);
const PACKS = new Set(['pack', 'piece', 'bottleful', 'knob', 'stick', 'hand', 'head']);
const ROUGH = new Set(['glassful', 'mug', 'handful', 'bunch', 'thumb', 'hand', 'knob', 'pinch']);
const MASS_OR_VOLUME = new Set('g kg mL cL dL L ounce pound usFluidOunce'.split(' '));
const JOINS = new Set(['plus', '+', 'and', '&']);

const word = (tokens: readonly Token[], i: number, end: number): string =>
  i < end ? (tokens[i]?.t ?? '') : '';

/** A quantity before a thing, with packs multiplied and sums added up. */
function leading(tokens: readonly Token[], at: number, end: number): Quantity | null {
  let q = quantityAt(tokens, at);
  if (!q || q.to > end) {
    // "pinch of salt", "thumb of ginger": one of it.
    const loose = measureAt(tokens, at, false);
    if (!loose || !LOOSE_MEASURES.has(loose.row.id)) return null;
    return one(loose.row, at, at + loose.length);
  }
  if (q.measured !== 'amount') return null;
  // "2 x 300 g", "two 300 g bags", "1 (2-inch) piece", "1 big bag (500 g)"
  const sign = word(tokens, q.to, end);
  const bracket = sign === '(' ? 1 : 0;
  const times = sign === 'x' || sign === '×' || sign === '*' ? 1 : 0;
  const each =
    q.measure === null || PACKS.has(q.measure.id) ? quantityAt(tokens, q.to + bracket + times) : null;
  if (each && each.measured === 'amount' && !each.article && !each.vague && each.measure && each.to <= end) {
    const fits = q.measure === null ? true : bracket === 1 && MASS_OR_VOLUME.has(each.measure.id);
    const closes = bracket
      ? word(tokens, each.to, end) === ')' || word(tokens, each.to, end) === 'each'
      : true;
    if (fits && closes && (bracket || times || each.from === q.to)) {
      let to = each.to;
      while (to < end && (word(tokens, to, end) === ')' || word(tokens, to, end) === 'each')) to++;
      const pack = measureAt(tokens, to, false);
      if (pack && PACKS.has(pack.row.id)) to += pack.length;
      q = {
        ...each,
        value: q.value * each.value,
        ...(each.max === undefined ? {} : { max: q.value * each.max }),
        from: q.from,
        to,
      };
    }
  }
  // "A 2-inch knob": the inches say how large.
  if (q.measure && (q.measure.id === 'inch' || q.measure.id === 'cm')) {
    const piece = measureAt(tokens, q.to, false);
    if (piece && PACKS.has(piece.row.id)) q = { ...q, to: q.to + piece.length };
  }
  // "3 quarts plus 2 cups": the same thing, added up.
  if (q.measure && JOINS.has(word(tokens, q.to, end))) {
    const more = quantityAt(tokens, q.to + 1);
    const share = more?.measure ? ratio(more.measure, q.measure) : null;
    if (more && share !== null && more.measured === 'amount' && more.to <= end && !more.article) {
      const of = word(tokens, more.to, end) === 'of' ? 1 : 0;
      if (startsThing(tokens, more.to + of, end))
        q = { ...q, value: q.value + more.value * share, to: more.to };
    }
  }
  return q;
}

const one = (row: MeasureWord, from: number, to: number): Quantity => ({
  measured: 'amount',
  value: 1,
  measure: row,
  vague: false,
  article: true,
  more: false,
  from,
  to,
});

const ML: Readonly<Record<string, number>> = {
  mL: 1,
  cL: 10,
  dL: 100,
  L: 1000,
  metricCup: 240,
  metricTablespoon: 15,
  metricTeaspoon: 5,
  imperialPint: 480,
  imperialQuart: 960,
  imperialGallon: 3840,
  usFluidOunce: 30,
};
const G: Readonly<Record<string, number>> = { g: 1, kg: 1000, ounce: 28.35, pound: 453.6 };
/** How many of one measure go into another, as kitchens count: four cups to a quart, sixteen spoons to a cup. */
const ratio = (from: MeasureWord, to: MeasureWord): number | null => {
  if (ML[from.id] && ML[to.id]) return ML[from.id]! / ML[to.id]!;
  if (G[from.id] && G[to.id]) return G[from.id]! / G[to.id]!;
  return null;
};

/** Past the words that may stand before a name: its size, form, "of the". */
function skipBefore(tokens: readonly Token[], at: number, end: number, forms: string[]) {
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

const followsName = (tokens: readonly Token[], at: number, end: number): boolean => {
  for (let i = at; i < at + 4 && i < end; i++) {
    if (nameAt(tokens, i)) return true;
    if (!FORM_WORDS.has(word(tokens, i, end))) return false;
  }
  return false;
};

const startsThing = (tokens: readonly Token[], at: number, end: number): boolean => {
  const { at: i } = skipBefore(tokens, at, end, []);
  return i < end && nameAt(tokens, i) !== null;
};

/** "peel and core", "skins + cores": the parts, and where what they are parts of begins. */
function partsBefore(tokens: readonly Token[], at: number, end: number) {
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
function wordsAfter(
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
function trailing(tokens: readonly Token[], from: number, end: number, had: Quantity | null) {
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

const UNKNOWN_STOPS = new Set(
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

/** Whether a thing may begin at a token; most do not open one, and are asked for several times. */
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
  if (name.entry.kind === 'family' && name.entry.foreign && !q && !listed) return null;
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
  if (q?.measure && MASS_OR_VOLUME.has(q.measure.id)) to = otherMeasures(tokens, to, end, name.entry) ?? to;
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

const LONGEST_BRACKET = 16;

/** "300 g hibiscus (8 cups)", "90 g orange peel (of 2 oranges)": the same amount in other measures, in brackets. */
function otherMeasures(tokens: readonly Token[], from: number, end: number, entry: Entry): number | null {
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

/** A name that says which form of a family is meant. */
const isKindOf = (family: FamilyRow, word: string): boolean =>
  family.leads === true ||
  family.forms.some((f) => f.words.includes(word) || f.words.includes(singular(word)));

/** Forms of which a thing is told right behind its name: "ginger powder". */
export const TAILS = new Set(
  'powder slices slice sticks stick root roots seeds seed pods pod berries berry flowers flower petals pulp paste block syrup extract corns stalks stalk sprigs sprig cubes chunks strips calyx calyces bark flesh siftings dust puree rounds pieces'.split(
    ' ',
  ),
);

/** "to taste", "per litre" behind a thing. */
function tailOf(tokens: readonly Token[], from: number, end: number) {
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

function unknownAt(
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
