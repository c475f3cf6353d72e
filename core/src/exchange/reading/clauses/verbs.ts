import { DEED_WORDS, type Deed, NOUNS_TOO } from '../../../tables/reading/deedWords.ts';

export type Form = 'plain' | 's' | 'past' | 'ing';

interface VerbForm {
  verb: string;
  deeds: Deed[];
  form: Form;
}

export const VERBS = new Map<string, VerbForm>();

export const put = (word: string, verb: string, deed: Deed, form: Form) => {
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

const NO_WORK: ReadonlySet<string> = new Set(['aux', 'go', 'taste', 'introduce', 'yield', 'keep', 'serve']);

/** A verb of the kitchen in any form, whether or not it stands where a verb may. */
export const kitchenVerb = (t: string): boolean => {
  const found = VERBS.get(t);
  return found ? found.deeds.some((d) => !NO_WORK.has(d)) && !NOUNS_TOO.has(found.verb) : false;
};
