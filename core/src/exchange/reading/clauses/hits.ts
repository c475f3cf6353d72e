import {
  BE_FORMS,
  BEFORE_PLAIN,
  type Deed,
  NOT_WORDS,
  NOUNS_TOO,
  SUBJECTS,
} from '../../../tables/reading/deedWords.ts';
import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../../tables/reading/formWords.ts';
import { nameAt } from '../lexicon.ts';
import { figureAt } from '../quantities/figures.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { type Form, VERBS } from './verbs.ts';

/** A verb of a text and what it does. */
export interface Hit {
  at: number;
  verb: string;
  deeds: readonly Deed[];
  form: Form;
  negated: boolean;
}

const ADVERBS = new Set(
  'already nicely there gently slowly well really carefully always usually just now quickly all finally again also only simply immediately thoroughly very good still even gradually quite lightly properly'.split(
    ' ',
  ),
);

export const PAUSES = new Set(', ; : - – — ( ) + & / | > = " “ ” * • . ! ?'.split(' '));

export const CUTS = new Set(', ; : and then + & n but so ( - – — / > . ! ? •'.split(' '));

/** What a pot does of its own: "the water boils". */
const STATES = new Set(['boil', 'simmer', 'cool', 'cook', 'steep', 'stand', 'sit', 'bubble', 'infuse']);

/** A sign or a word that parts clauses. */
export const isCut = (t: string): boolean => CUTS.has(t);

const LETTING = new Set('let lets leave allow wait watch make have letting'.split(' '));

/** Verbs that may stand all alone among commas: "cool, bottle, fridge". */
const NOUNS_ALONE = new Set(
  'juice peel zest core slice sugar quarter cube rest can top drop layer place like need last mill splash puree heat brush'.split(
    ' ',
  ),
);

export const before = (tokens: readonly Token[], at: number, from: number): string => {
  let i = at - 1;
  while (i >= from && ADVERBS.has(tokens[i]!.t)) i--;
  return i < from ? '' : tokens[i]!.t;
};

export const OWN_SUBJECTS = new Set(['i', 'you', 'we', 'they', 'she', 'he', 'u']);

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

export function hitAt(
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
  // "In at the end, to taste.": how much, and no deed.
  if (found.verb === 'taste' && p === 'to' && (at + 1 >= end || PAUSES.has(tokens[at + 1]!.t))) return null;
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

export const plainVerb = (tokens: readonly Token[], at: number, end: number): boolean => {
  const found = at < end ? VERBS.get(tokens[at]!.t) : undefined;
  return (
    found?.form === 'plain' &&
    found.deeds[0] !== 'aux' &&
    (!NOUNS_TOO.has(found.verb) || hasObject(tokens, at, end, found.verb))
  );
};
