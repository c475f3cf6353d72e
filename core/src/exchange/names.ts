import { ALIAS_ROWS } from '../tables/aliases.ts';
import { FAMILY_ROWS } from '../tables/families.ts';

/** Words that stand behind the name of the thing: "pineapple peel", where others stand before it: "dried hibiscus". */
const BEHIND: ReadonlySet<string> = new Set([
  'peel',
  'core',
  'juice',
  'rind',
  'syrup',
  'paste',
  'milk',
  'stick',
  'seed',
  'leaf',
  'pulp',
  'extract',
  'flesh',
  'siftings',
  'sprig',
  'stalk',
  'pods',
  'star',
  'berry',
]);

/**
 * A name of an item that another program's reader, and ours, can read: "dried hibiscus", "pineapple peel". Null for
 * ingredients of the cook's own.
 */
export function exchangeName(itemId: string): string | null {
  for (const family of FAMILY_ROWS) {
    const form = family.forms.find((f) => f.itemId === itemId);
    if (!form) continue;
    const name = ALIAS_ROWS.find((a) => a.family === family.id && a.lang === 'en')?.text ?? family.id;
    const word = form.words[0];
    if (!word || name.split(' ').includes(word)) return name;
    const called = BEHIND.has(word) ? `${name} ${word}` : `${word} ${name}`;
    // "Bottled lemon juice": where another form goes by the same word, the one that only this has.
    const shared = family.forms.find((f) => f.words[0] === word) !== form;
    const own = shared
      ? form.words.find((w) => !family.forms.some((f) => f !== form && f.words.includes(w)))
      : '';
    return own ? `${own} ${called}` : called;
  }
  return null;
}
