import { distance } from 'fastest-levenshtein';
import { ALIAS_ROWS } from '../../tables/aliases.ts';
import { FAMILY_ROWS, type FamilyRow } from '../../tables/families.ts';
import { DEED_WORDS, SIEVE_WORDS, VESSEL_WORDS } from '../../tables/reading/deedWords.ts';
import { FORM_WORDS } from '../../tables/reading/formWords.ts';
import { MEASURE_WORDS } from '../../tables/reading/measureWords.ts';
import { COUNTED_ELSE, ORDINARY_WORDS } from '../../tables/reading/ordinaryWords.ts';
import { GROUPS, OTHER_THINGS } from '../../tables/reading/otherThings.ts';
import { oncePerPlace, plain, type Token } from './tokens.ts';

/** What a name in a text may be. */
export type Entry =
  | { kind: 'family'; family: FamilyRow; name: string; foreign: boolean; falseFriend?: string }
  | { kind: 'other'; name: string }
  | { kind: 'group'; families: readonly string[]; part?: string; unknownPart?: string };

export interface Found {
  entry: Entry;
  /** So many tokens. */
  length: number;
  /** A word of it was spelled in another way. */
  misspelled: boolean;
}

/** One of several: "cranberries" is "cranberry", "leaves" is "leaf". Both sides of a comparison go through it. */
export function singular(word: string): string {
  if (word === 'leaves') return 'leaf';
  if (word.length < 4 || /(?:ss|us|is)$/.test(word)) return word;
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(?:ch|sh|ss|x|o)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

interface Name {
  words: readonly string[];
  /** Only this very word: "juices" are several, "juice" is a part. */
  exact?: string;
  entry: Entry;
}

interface Lexicon {
  /** By first word, longest names first. */
  byFirst: ReadonlyMap<string, readonly Name[]>;
  /** Words of names, by first letter, for slips of spelling. */
  words: ReadonlyMap<string, readonly string[]>;
}

const familiesOf = (families: (typeof GROUPS)[number]['families']): readonly string[] => {
  if (families === 'sweeteners') return FAMILY_ROWS.filter((f) => f.sweetens).map((f) => f.id);
  if (families === 'juices') return FAMILY_ROWS.filter((f) => f.juice).map((f) => f.id);
  return families;
};

function build(): Lexicon {
  const names: Name[] = [];
  const families = new Map(FAMILY_ROWS.map((f) => [f.id, f]));
  const put = (text: string, entry: Entry) =>
    names.push({
      words: plain(text)
        .split(/[\s-]+/)
        .map(singular),
      entry,
      ...(entry.kind === 'group' ? { exact: text } : {}),
    });
  for (const row of ALIAS_ROWS) {
    const family = families.get(row.family);
    if (!family) continue;
    put(row.text, {
      kind: 'family',
      family,
      name: row.text,
      foreign: row.lang !== 'en',
      ...(row.falseFriend ? { falseFriend: row.falseFriend } : {}),
    });
  }
  for (const thing of OTHER_THINGS)
    for (const name of thing.names) put(name, { kind: 'other', name: thing.names[0]! });
  for (const group of GROUPS)
    for (const word of group.words)
      put(word, {
        kind: 'group',
        families: familiesOf(group.families),
        ...(group.families === 'juices' ? { part: 'juice' } : {}),
        ...(word === 'leaves' ? { unknownPart: 'leaf' } : {}),
      });
  const byFirst = new Map<string, Name[]>();
  const words = new Map<string, Set<string>>();
  for (const name of names) {
    const list = byFirst.get(name.words[0]!) ?? [];
    list.push(name);
    byFirst.set(name.words[0]!, list);
    if (name.entry.kind === 'family' && name.entry.foreign) continue;
    for (const word of name.words) {
      if (word.length < 5) continue;
      const letter = words.get(word[0]!) ?? new Set();
      letter.add(word);
      words.set(word[0]!, letter);
    }
  }
  // The longest first; of two alike our own before the foreign and before what no table knows.
  const rank = (n: Name) => (n.entry.kind === 'family' ? (n.entry.foreign ? 2 : 0) : 1);
  for (const list of byFirst.values())
    list.sort((a, b) => b.words.length - a.words.length || rank(a) - rank(b));
  return { byFirst, words: new Map([...words].map(([k, set]) => [k, [...set]])) };
}

let made: Lexicon | null = null;
/** Made at the first text read: whoever only opens a page does not wait for it. */
const lexicon = (): Lexicon => (made ??= build());

/** Words that are right as they are. */
const KNOWN: ReadonlySet<string> = new Set([
  ...Object.keys(SIEVE_WORDS),
  ...Object.keys(VESSEL_WORDS),
  ...FORM_WORDS,
  ...MEASURE_WORDS.flatMap((m) => m.words),
  ...DEED_WORDS.flatMap((d) => d.verbs),
]);

const MAX_SLIPS_KEPT = 5000;
const slips = new Map<string, string | null>();

/**
 * The word of a name that was meant by one that is spelled in another way: one letter off, two in a long word, the first
 * one right. Null for ordinary words, and where nothing is near.
 */
function meantBy(word: string): string | null {
  if (word.length < 5 || ORDINARY_WORDS.has(word) || KNOWN.has(word) || KNOWN.has(singular(word)))
    return null;
  const known = slips.get(word);
  if (known !== undefined) return known;
  const own = singular(word);
  let best: string | null = null;
  let least = own.length >= 8 ? 2.5 : 1.5;
  for (const candidate of lexicon().words.get(own[0]!) ?? []) {
    if (Math.abs(candidate.length - own.length) > 2) continue;
    const off = distance(candidate, own);
    if (off > 0 && off < least) {
      best = candidate;
      least = off;
    }
  }
  if (slips.size > MAX_SLIPS_KEPT) slips.clear();
  slips.set(word, best);
  return best;
}

const TOOLS = new Set(['filter', 'filters', 'grinder', 'press', 'maker', 'mill']);

/** The longest name that begins at a token. Of several meanings the first is taken. */
export const nameAt = oncePerPlace(findName);

function findName(tokens: readonly Token[], at: number): Found | null {
  const first = tokens[at];
  // "Washed in three waters".
  if (first?.kind !== 'word' || COUNTED_ELSE.has(first.t)) return null;
  const { byFirst } = lexicon();
  const own = singular(first.t);
  const direct = byFirst.get(own);
  const meant = direct ? null : meantBy(first.t);
  const list = direct ?? (meant ? byFirst.get(meant) : undefined);
  if (!list) return null;
  for (const name of list) {
    if (name.exact !== undefined && name.exact !== first.t && !name.exact.includes(' ')) continue;
    let misspelled = meant !== null;
    let length = 1;
    let next = at + 1;
    let fits = true;
    for (const word of name.words.slice(1)) {
      if (tokens[next]?.t === '-') next++;
      const token = tokens[next];
      if (token?.kind !== 'word') {
        fits = false;
        break;
      }
      if (singular(token.t) !== word) {
        if (meantBy(token.t) !== word) {
          fits = false;
          break;
        }
        misspelled = true;
      }
      next++;
    }
    length = next - at;
    // "A coffee filter", "a spice grinder": a tool, whatever goes through it.
    if (fits && !(name.entry.kind !== 'family' && TOOLS.has(tokens[next]?.t ?? '')))
      return { entry: name.entry, length, misspelled };
  }
  return null;
}
