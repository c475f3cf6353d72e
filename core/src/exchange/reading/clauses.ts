import {
  BE_FORMS,
  BEFORE_PLAIN,
  DEED_WORDS,
  type Deed,
  NOT_WORDS,
  NOUNS_TOO,
  OTHERS,
  SIEVE_WORDS,
  SUBJECTS,
  UNTIL_WORDS,
  VESSEL_WORDS,
  WHEN_WORDS,
} from '../../tables/reading/deedWords.ts';
import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../tables/reading/formWords.ts';
import { nameAt } from './lexicon.ts';
import { figureAt, type Quantity, quantityAt } from './quantities.ts';
import { type Thing, thingsIn } from './things.ts';
import type { Token } from './tokens.ts';

type Form = 'plain' | 's' | 'past' | 'ing';

/** A verb of a text and what it does. */
export interface Hit {
  at: number;
  verb: string;
  deeds: readonly Deed[];
  form: Form;
  negated: boolean;
}

/** A piece of a sentence with one deed, or with none. */
export interface Clause {
  from: number;
  to: number;
  hits: Hit[];
  things: Thing[];
  times: Quantity[];
  temps: Quantity[];
  counts: Quantity[];
  /** Amounts of nothing that is named beside them. */
  amounts: Quantity[];
  /** What it says of when it is done. */
  cue: { from: number; to: number } | null;
  /** What it says of when it begins: "once it is cold". */
  when: { from: number; to: number } | null;
  /** It asks. */
  question: boolean;
  /** Only if one likes. */
  optional: boolean;
  /** It is the whole of its sentence, or the first of it. */
  opens: boolean;
  /** Which sentence it is of. */
  sentence: number;
}

interface VerbForm {
  verb: string;
  deeds: Deed[];
  form: Form;
}

const VERBS = new Map<string, VerbForm>();
const put = (word: string, verb: string, deed: Deed, form: Form) => {
  const known = VERBS.get(word);
  if (known && known.verb === verb) {
    if (!known.deeds.includes(deed)) known.deeds.push(deed);
  } else if (!known) VERBS.set(word, { verb, deeds: [deed], form });
};
const VOWELS = 'aeiou';
for (const row of DEED_WORDS)
  for (const verb of row.verbs) {
    put(verb, verb, row.deed, 'plain');
    const odd = row.odd?.[verb];
    for (const form of odd ?? [])
      put(
        form,
        verb,
        row.deed,
        form.endsWith('ing') ? 'ing' : form.endsWith('s') && form !== 'has' ? 's' : 'past',
      );
    const e = verb.endsWith('e');
    const doubled =
      verb.length <= 4 && /[^aeiou][aeiou][bdgmnpt]$/.test(verb) && !verb.endsWith('en')
        ? verb + verb.at(-1)
        : verb;
    const sibilant = /(?:s|x|z|ch|sh)$/.test(verb);
    const y = verb.endsWith('y') && !VOWELS.includes(verb.at(-2)!);
    put(y ? `${verb.slice(0, -1)}ies` : sibilant ? `${verb}es` : `${verb}s`, verb, row.deed, 's');
    put(e ? `${verb.slice(0, -1)}ing` : `${doubled}ing`, verb, row.deed, 'ing');
    if (!odd || odd.every((f) => f.endsWith('ing')))
      put(e ? `${verb}d` : y ? `${verb.slice(0, -1)}ied` : `${doubled}ed`, verb, row.deed, 'past');
  }

const ADVERBS = new Set(
  'already nicely there gently slowly well really carefully always usually just now quickly all finally again also only simply immediately thoroughly very good still even gradually quite lightly properly'.split(
    ' ',
  ),
);
const PAUSES = new Set(', ; : - – — ( ) + & / | > = " “ ” * • . ! ?'.split(' '));
const CUTS = new Set(', ; : and then + & n but so ( - – — / > . ! ? •'.split(' '));
/** What a pot does of its own: "the water boils". */
const STATES = new Set(['boil', 'simmer', 'cool', 'cook', 'steep', 'stand', 'sit', 'bubble', 'infuse']);
/** A sign or a word that parts clauses. */
export const isCut = (t: string): boolean => CUTS.has(t);

const NO_WORK: ReadonlySet<string> = new Set(['aux', 'go', 'taste', 'introduce', 'yield', 'keep', 'serve']);
/** A verb of the kitchen in any form, whether or not it stands where a verb may. */
export const kitchenVerb = (t: string): boolean => {
  const found = VERBS.get(t);
  return found ? found.deeds.some((d) => !NO_WORK.has(d)) && !NOUNS_TOO.has(found.verb) : false;
};

const LETTING = new Set('let lets leave allow wait watch make have letting'.split(' '));
/** Verbs that may stand all alone among commas: "cool, bottle, fridge". */
const NOUNS_ALONE = new Set(
  'juice peel zest core slice sugar quarter cube rest can top drop layer place like need last mill splash puree heat brush'.split(
    ' ',
  ),
);

const before = (tokens: readonly Token[], at: number, from: number): string => {
  let i = at - 1;
  while (i >= from && ADVERBS.has(tokens[i]!.t)) i--;
  return i < from ? '' : tokens[i]!.t;
};

const OWN_SUBJECTS = new Set(['i', 'you', 'we', 'they', 'she', 'he', 'u']);

function notBefore(tokens: readonly Token[], at: number, from: number): boolean {
  for (let i = at - 1, n = 0; i >= from && n < 6; i--, n++) {
    const t = tokens[i]!.t;
    if (NOT_WORDS.has(t)) return true;
    if ((CUTS.has(t) && t !== 'and') || t === 'so') return false;
    // "What I cannot use I freeze."
    if (OWN_SUBJECTS.has(t)) return false;
    if (t === 'and') return false;
  }
  return false;
}

/** A verb in its plain form that names no part of a fruit as well. */
const verbNotNoun = (word: string | undefined): boolean => {
  const found = VERBS.get(word ?? '');
  return found?.form === 'plain' && !NOUNS_ALONE.has(found.verb);
};

/** What follows a word that is a verb or the name of a thing: with an object after it, it is a verb. */
function hasObject(tokens: readonly Token[], at: number, end: number, verb: string): boolean {
  const next = tokens[at + 1];
  if (at + 1 >= end || !next) return !NOUNS_ALONE.has(verb) || verb === 'rest';
  if (next.t === 'of' || next.t === "'s") return false;
  // "Heat off."
  if (verb === 'heat' && next.t === 'off') return false;
  if (PAUSES.has(next.t) || next.t === 'and' || next.t === 'or')
    // "scrub, peel, cut in cubes": a verb among verbs.
    return !NOUNS_ALONE.has(verb) || verbNotNoun(tokens[at + 2]?.t);
  if (next.t === 'only') return !NOUNS_ALONE.has(verb);
  if (next.kind === 'number') return true;
  if (
    DETERMINERS.has(next.t) ||
    [
      'it',
      'them',
      'everything',
      'what',
      'until',
      'till',
      'for',
      'into',
      'through',
      'thru',
      'in',
      'on',
      'with',
      'a',
      'an',
      'up',
      'down',
      'off',
      'out',
      'well',
      'each',
      'some',
      'any',
      'gently',
      'only',
      'at',
      'to',
      'half',
      'one',
      'two',
      'three',
      'again',
      'once',
      'twice',
      'together',
      'from',
      'over',
      'under',
      'very',
      'slowly',
      'overnight',
      'completely',
      'cold',
      'hot',
      'covered',
      'hard',
      'down',
      'by',
      'about',
      'good',
    ].includes(next.t)
  )
    return !(next.t === 'in' && verb === 'juice');
  if (quantityAt(tokens, at + 1)) return true;
  if (FORM_WORDS.has(next.t) || nameAt(tokens, at + 1)) return true;
  return VERBS.has(next.t) === false && !NOUNS_ALONE.has(verb);
}

function hitAt(
  tokens: readonly Token[],
  at: number,
  from: number,
  end: number,
  last: Hit | null,
): Hit | null {
  const token = tokens[at]!;
  if (token.kind !== 'word') return null;
  const found = VERBS.get(token.t);
  if (!found) return null;
  const p = before(tokens, at, from);
  // "After that strain it."
  const afterThat = p === 'that' && /^(?:after|before)$/.test(tokens[at - 2]?.t ?? '');
  const start = p === '' || PAUSES.has(p) || afterThat;
  // "Two pounds" are no deed.
  if (found.form === 's' && p !== 'one' && (tokens[at - 1]?.kind === 'number' || figureAt(tokens, at - 1)))
    return null;
  // "The stalks are cut small": a past that looks like the plain form.
  if (found.form === 'plain' && BE_FORMS.has(p) && /^(?:cut|put|set)$/.test(found.verb))
    return { at, ...found, form: 'past', negated: notBefore(tokens, at, from) };
  const made = (negated = notBefore(tokens, at, from)): Hit => ({ at, ...found, negated });
  switch (found.form) {
    case 'plain': {
      let open = start || SUBJECTS.has(p) || BEFORE_PLAIN.has(p);
      // "let it cool", "leave the pot to cool", "one adds": the subject stands between.
      if (!open)
        for (let i = at - 1, n = 0; i >= from && n < 5; i--, n++) {
          if (CUTS.has(tokens[i]!.t)) break;
          if (LETTING.has(tokens[i]!.t)) {
            open = true;
            break;
          }
        }
      // "Lemon juice and sugar add.", "with the honey sweeten", "the water boil together": the object comes first.
      if (!open && !last && at > from + 1 && afterName(tokens, at))
        open =
          !NOUNS_TOO.has(found.verb) ||
          (STATES.has(found.verb) && /^(?:together|with|for|gently|until)$/.test(tokens[at + 1]?.t ?? ''));
      // The noun after "to": "bring to boil", "to the boil" is found by the verb before it.
      if (!open) return null;
      // After a subject it is a verb for certain, after "to" or a pause its object decides.
      const sure =
        SUBJECTS.has(p) ||
        ['will', 'can', 'must', "don't", 'dont', 'not', 'never', 'let', 'please', "let's"].includes(p);
      if (NOUNS_TOO.has(found.verb) && !sure && !hasObject(tokens, at, end, found.verb)) return null;
      // A plain past like "put" or "cut" is fine as it is.
      return made();
    }
    case 's': {
      if (SUBJECTS.has(p) || p === 'that') return made();
      // "Kills the heat, dumps in the flowers": she who was named before.
      if (
        start &&
        found.deeds[0] !== 'aux' &&
        (!NOUNS_TOO.has(found.verb) || hasObject(tokens, at, end, found.verb)) &&
        !nameAt(tokens, at)
      )
        return made();
      if ((p === 'and' || p === 'then' || p === ',') && last && (last.form === 's' || last.form === 'past'))
        return made();
      const noun =
        at > from &&
        tokens[at - 1]!.kind === 'word' &&
        !BEFORE_PLAIN.has(p) &&
        !DETERMINERS.has(p) &&
        !FORM_WORDS.has(p);
      if (noun && STATES.has(found.verb)) return made();
      if (noun && !NOUNS_TOO.has(found.verb) && !['leaves', 'rests', 'makes'].includes(token.t))
        return made();
      return null;
    }
    case 'ing':
      if (BE_FORMS.has(p) || p === 'keep' || p === 'start' || p === "i'm") return made();
      if (p === 'no' || p === 'not' || p === 'without' || p === 'bother') return made(true);
      return null;
    case 'past':
      if (
        BE_FORMS.has(p) ||
        p === 'i' ||
        p === 'we' ||
        p === 'you' ||
        p === 'she' ||
        p === 'he' ||
        p === 'have' ||
        p === 'has'
      )
        return made();
      if ((p === 'and' || p === ',' || p === 'then') && last && last.form === 'past') return made();
      return null;
  }
}

/** A name, or a word of its form, ends right before. */
const afterName = (tokens: readonly Token[], at: number): boolean =>
  nameAt(tokens, at - 1) !== null ||
  (nameAt(tokens, at - 2)?.length ?? 0) === 2 ||
  PART_WORDS[tokens[at - 1]!.t] !== undefined;

/** Where a sentence tells when, why or until when: from token to token. */
function sideRanges(tokens: readonly Token[], from: number, end: number) {
  const ranges: { from: number; to: number; kind: 'when' | 'until' | 'if' }[] = [];
  for (let i = from; i < end; i++) {
    const t = tokens[i]!.t;
    const until = UNTIL_WORDS.has(t);
    if (!until && !WHEN_WORDS.has(t)) continue;
    // "after 15 minutes", "once more", "once a day", "until the next day" with its time: no part of its own.
    if (t === 'once' && ['more', 'again', 'a', 'through'].includes(tokens[i + 1]?.t ?? '')) continue;
    if ((t === 'after' || t === 'before') && (quantityAt(tokens, i + 1)?.measured === 'time' || i + 1 >= end))
      continue;
    if ((t === 'before' || t === 'after') && PAUSES.has(tokens[i + 1]?.t ?? ',')) continue;
    if (t === 'after' && tokens[i + 1]?.t === 'that') continue;
    // "After one filters": a foreigner's "afterwards".
    if (
      t === 'after' &&
      i === from &&
      ['one', 'you', 'we', 'i'].includes(tokens[i + 1]?.t ?? '') &&
      VERBS.has(tokens[i + 2]?.t ?? '')
    )
      continue;
    let to = i + 1;
    while (to < end) {
      const w = tokens[to]!.t;
      if (w === ',' || w === ';' || w === 'then' || w === ')' || w === '!' || w === '.' || w === '?') break;
      // "until it is soft and strain", "once cold add the juice"
      if (to > i + 1 && w === 'and' && plainVerb(tokens, to + 1, end)) break;
      // "When it is quite cold I add the juice."
      if (!until && to > i + 2 && OWN_SUBJECTS.has(w) && VERBS.has(tokens[to + 1]?.t ?? '')) break;
      if (
        !until &&
        to > i + 2 &&
        plainVerb(tokens, to, end) &&
        !SUBJECTS.has(tokens[to - 1]!.t) &&
        !BEFORE_PLAIN.has(tokens[to - 1]!.t)
      )
        break;
      to++;
    }
    ranges.push({ from: i, to, kind: until ? 'until' : t === 'if' ? 'if' : 'when' });
    i = to;
  }
  return ranges;
}

export const plainVerb = (tokens: readonly Token[], at: number, end: number): boolean => {
  const found = at < end ? VERBS.get(tokens[at]!.t) : undefined;
  return (
    found?.form === 'plain' &&
    found.deeds[0] !== 'aux' &&
    (!NOUNS_TOO.has(found.verb) || hasObject(tokens, at, end, found.verb))
  );
};

const sameFamily = (a: Thing, b: Thing): boolean =>
  a.entry.kind === 'family' && b.entry.kind === 'family' && a.entry.family.id === b.entry.family.id;

/** Where "that" or "which" opens a clause of its own before a verb with its subject; -1 where none does. */
function relativeBefore(tokens: readonly Token[], at: number, from: number): number {
  for (let k = at - 1; k >= from && k > at - 4; k--)
    if ((tokens[k]!.t === 'that' || tokens[k]!.t === 'which') && SUBJECTS.has(tokens[k + 1]!.t)) return k;
  return -1;
}

/** The clauses of one sentence. */
export function clausesIn(tokens: readonly Token[], from: number, end: number, sentence: number): Clause[] {
  const question = tokens[end]?.t === '?' || tokens[end - 1]?.t === '?';
  const side = sideRanges(tokens, from, end);
  const inSide = (i: number) => side.find((r) => i >= r.from && i < r.to);
  const hits: Hit[] = [];
  let last: Hit | null = null;
  for (let i = from; i < end; i++) {
    const range = inSide(i);
    if (range && range.kind !== 'if') continue;
    const hit = hitAt(tokens, i, range ? range.from + 1 : from, end, last);
    if (!hit) continue;
    last = hit;
    // What other people do is none of ours.
    let others = false;
    for (let k = i - 1; k >= from && k > i - 4 && !CUTS.has(tokens[k]!.t); k--)
      if (OTHERS.has(tokens[k]!.t)) others = true;
    // "Bottles that have been boiled": how they are.
    for (let k = i - 1; k >= from && k > i - 4; k--)
      if (
        hit.form === 'past' &&
        (tokens[k]!.t === 'that' || tokens[k]!.t === 'which') &&
        !SUBJECTS.has(tokens[k + 1]!.t)
      )
        others = true;
    if (!others) hits.push(hit);
  }
  const verbAt = new Set(hits.map((h) => h.at));
  const named = thingsIn(tokens, from, end, false, (i) => verbAt.has(i));
  // "A cup of lemon juice (that's five lemons)": said in other words.
  const things = named.filter((t, i) => {
    const last = named[i - 1];
    if (!last || !sameFamily(last, t)) return true;
    const between = tokens.slice(last.to, t.from).map((token) => token.t);
    return !(
      between[0] === '(' && /^(?:that's|thats|that|which|about|around|=|from|or)$/.test(between[1] ?? '')
    );
  });
  // A form of a thing is no deed: "3 limes, juice".
  const own = hits.filter((h) => !things.some((t) => h.at > t.from && h.at < t.to));
  const groups: Hit[][] = [];
  const starts: number[] = [];
  for (const hit of own) {
    const previous = groups.at(-1)?.at(-1);
    if (!previous) {
      // "A bunch of mint that you bruise": the things stand for themselves.
      const that = relativeBefore(tokens, hit.at, from);
      if (that >= 0 && things.some((t) => t.to <= that && t.quantity)) {
        groups.push([]);
        starts.push(from);
        groups.push([hit]);
        starts.push(that);
        continue;
      }
      groups.push([hit]);
      starts.push(from);
      continue;
    }
    let cut = -1;
    for (let i = hit.at - 1; i > previous.at; i--) {
      if (things.some((t) => i > t.from && i < t.to)) continue;
      if (relativeBefore(tokens, hit.at, from) === i) {
        cut = i;
        break;
      }
      if (tokens[i]!.t === 'or' && plainVerb(tokens, i + 1, end)) {
        cut = i;
        break;
      }
      if (CUTS.has(tokens[i]!.t) && !(inSide(i)?.kind === 'until' && inSide(i)!.from < previous.at)) {
        cut = i;
        break;
      }
    }
    if (cut < 0) groups.at(-1)!.push(hit);
    else {
      groups.push([hit]);
      starts.push(cut);
    }
  }
  const asideOf = (i: number) => inSide(i) !== undefined;
  if (!groups.length) {
    groups.push([]);
    starts.push(from);
  }
  return groups.map((hitsOf, n): Clause => {
    const a = starts[n]!;
    const b = starts[n + 1] ?? end;
    const times: Quantity[] = [];
    const temps: Quantity[] = [];
    const counts: Quantity[] = [];
    const amounts: Quantity[] = [];
    const mine = things.filter((t) => t.from >= a && t.from < b && !asideOf(t.from));
    for (let i = a; i < b; i++) {
      const inThing = mine.find((t) => i >= t.from && i < t.to);
      if (inThing) {
        i = inThing.to - 1;
        continue;
      }
      const q = quantityAt(tokens, i);
      if (!q || q.to > b) continue;
      const p = tokens[i - 1]?.t ?? '';
      // "After ten minutes", "for the last ten minutes" tell when, and no length.
      if (q.measured === 'time' && (p === 'after' || p === 'last' || p === 'within' || p === 'every')) {
        i = q.to - 1;
        continue;
      }
      if (q.measured === 'time') times.push(q);
      else if (q.measured === 'temp') temps.push(q);
      else if (q.measured === 'times') counts.push(q);
      else if (q.measured === 'amount' && !q.article && !q.vague) amounts.push(q);
      else continue;
      i = q.to - 1;
    }
    const until = side.find((r) => r.kind === 'until' && r.from >= a && r.from < b);
    const when = side.find((r) => r.kind === 'when' && r.from >= a && r.from < b);
    // A sentence that opens with "if" tells what may be done, and so does a clause within it.
    const optional = side.some(
      (r) =>
        r.kind === 'if' &&
        ((r.from === from && n <= 1) ||
          (r.from >= a &&
            r.from < b &&
            /^(?:needed|necessary|required|wanted|desired)$/.test(tokens[r.from + 1]?.t ?? '')) ||
          (hitsOf.length > 0 && hitsOf.every((h) => h.at >= r.from && h.at < r.to))),
    );
    return {
      from: a,
      to: b,
      hits: hitsOf,
      things: mine,
      times,
      temps,
      counts,
      amounts,
      cue: until ? { from: until.from, to: until.to } : null,
      question,
      when: when ? { from: when.from, to: when.to } : null,
      optional,
      opens: n === 0,
      sentence,
    };
  });
}

/** A vessel that a clause names. */
export interface NamedVessel {
  vessel: string;
  at: number;
  /** Something goes into it, or happens in it. */
  into: boolean;
  /** Something comes out of it: "what is in the jug", "from the kettle". */
  source: boolean;
}

const SMALLER = new Set(['small', 'little', 'second', 'separate', 'another', 'other']);

/** The vessels a clause names, in their order; a second pot beside the first is "smallPot". */
export function vesselsIn(tokens: readonly Token[], from: number, to: number): NamedVessel[] {
  const out: NamedVessel[] = [];
  for (let i = from; i < to; i++) {
    let vessel = VESSEL_WORDS[tokens[i]!.t];
    if (!vessel) continue;
    if (vessel === 'pot' && (SMALLER.has(tokens[i - 1]?.t ?? '') || SMALLER.has(tokens[i - 2]?.t ?? '')))
      vessel = 'smallPot';
    let into = false;
    let source = false;
    for (let k = i - 1; k >= from && k > i - 5; k--) {
      const t = tokens[k]!.t;
      const what = tokens[k - 1]?.t ?? '';
      if (
        t === 'from' ||
        (t === 'of' && (what === 'out' || what === 'contents')) ||
        (t === 'in' && (what === "what's" || (what === 'is' && tokens[k - 2]?.t === 'what')))
      ) {
        source = true;
        break;
      }
      if (t === 'into' || t === 'in' || t === 'to') into = true;
      if (CUTS.has(t)) break;
    }
    out.push({ vessel, at: i, into: into && !source, source });
  }
  return out;
}

/** "twice through a cloth", "3 times through the sieve". */
function timesBefore(tokens: readonly Token[], from: number, at: number): number {
  for (let k = at - 1; k >= from && k > at - 4; k--) {
    if (tokens[k]!.t !== 'through') continue;
    const before = tokens[k - 1]?.t ?? '';
    if (before === 'twice') return 2;
    const count = before === 'times' ? figureAt(tokens, k - 2) : null;
    return count && Number.isInteger(count.value) && k - 2 >= from ? count.value : 1;
  }
  return 1;
}

/** What it is strained through, in the order of the words: "a sieve lined with cloth", "twice". */
export function sievesIn(tokens: readonly Token[], from: number, to: number) {
  const out: { by: 'colander' | 'sieve' | 'fineMesh' | 'cloth'; times: number; at: number }[] = [];
  for (let i = from; i < to; i++) {
    const by = SIEVE_WORDS[tokens[i]!.t];
    if (!by) continue;
    if (/^(?:if|or)$/.test(tokens[i + 1]?.t ?? '')) continue;
    const p = tokens[i - 1]?.t ?? '';
    // Tea bags and bags of hibiscus strain nothing.
    if (
      tokens[i]!.t === 'bag' &&
      !(p === 'milk' || p === 'straining' || p === 'jelly' || p === 'nut' || p === 'cloth')
    )
      continue;
    const fine = p === 'fine' || p === 'mesh' || tokens[i - 2]?.t === 'fine';
    const kind = by === 'sieve' && fine ? 'fineMesh' : by;
    // "fine mesh strainer" is one thing.
    if (out.length && out.at(-1)!.at === i - 1) {
      out[out.length - 1] = { ...out.at(-1)!, by: kind === 'sieve' ? 'fineMesh' : kind, at: i };
      continue;
    }
    let times = timesBefore(tokens, from, i);
    for (let k = i + 1; k < Math.min(to, i + 4); k++) {
      const t = tokens[k]!.t;
      // What comes next has its own: "through the sieve and twice through a cloth".
      if (t === 'and' || t === ',') break;
      if (t === 'twice') times = 2;
      if ((t === 'x' || t === '×') && tokens[k + 1]?.kind === 'number') times = tokens[k + 1]!.value!;
    }
    out.push({ by: kind, times, at: i });
  }
  return out;
}
