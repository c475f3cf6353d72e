import { goTo } from '../scripts/fuzz/goTo.ts';
import { marked } from '../web/src/words/pseudo.ts';
import { expect, test } from './fixtures.ts';
import { PASTED, screens, settled } from './screens.ts';
import type { KitchenServer } from './server.ts';

/** Symbols and names that no language changes. */
const SYMBOLS =
  /\b(Big Ladle|mL|cm|kg|mm|min|kcal|meq|pH|UTC|Bx|GL|LD|JSON|CSV|PDF|LADLE_\w+|localhost|http\S*|[A-Z]{1,3}\d\w*|\d{4}-[A-Z0-9]+)\b/g;
/** Days, months and zones come from the platform's own formats. */
const DATES =
  /\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun)(day|sday|nesday|rsday|urday)?\b|\b(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec)[a-z]*\b|\b(Africa|America|Antarctica|Arctic|Asia|Atlantic|Australia|Europe|Indian|Pacific)\/.+/g;

/** The fields in which a cook writes her own words. */
const OWN = new Set([
  'name',
  'label',
  'text',
  'about',
  'words',
  'occasion',
  'to',
  'forWhom',
  'why',
  'drinkName',
  'folder',
]);

/** Everything in an answer of the server that a cook wrote herself. */
function ownWords(value: unknown, into = new Set<string>()): Set<string> {
  if (Array.isArray(value)) for (const v of value) ownWords(v, into);
  else if (value !== null && typeof value === 'object')
    for (const [key, v] of Object.entries(value)) {
      if (OWN.has(key) && typeof v === 'string' && v.length > 1) into.add(v);
      else ownWords(v, into);
    }
  return into;
}

/** What of these texts comes neither from a catalogue nor from the cook. */
function plain(texts: readonly string[], own: ReadonlySet<string>): string[] {
  const longestFirst = [...own].sort((a, b) => b.length - a.length);
  return texts.flatMap((text) => {
    let rest = text;
    for (const words of longestFirst)
      for (const way of [words, words.toLowerCase()]) rest = rest.replaceAll(way, ' ');
    rest = rest.replace(DATES, ' ').replace(SYMBOLS, ' ');
    return /[A-Za-z]{2,}|\{/.test(rest) ? [text.trim()] : [];
  });
}

const ANSWERS = [
  '/kitchen',
  '/recipes',
  '/stock',
  '/instruments',
  '/items',
  '/items/gone',
  '/gifts',
  '/backups',
];
async function ownOf(server: KitchenServer): Promise<Set<string>> {
  const own = new Set<string>();
  for (const path of ANSWERS) ownWords(await server.api('GET', path), own);
  ownWords(await server.archive(), own);
  return own;
}

test.describe('every word of a screen comes from a catalogue or from the cook', () => {
  test.beforeEach(({ context }) =>
    context.addInitScript(() => localStorage.setItem('big-ladle-language', 'en-XA')),
  );
  test.describe('with demo data', () => {
    test.use({ demo: true });
    test('on every screen', { tag: '@dates' }, async ({ page, server }) => {
      test.slow();
      const own = new Set([...(await ownOf(server)), ...PASTED, 'moon berries']);
      const left: string[] = [];
      for (const place of screens(marked)) {
        await goTo(page, server.url, place.path);
        await settled(page);
        await place.open?.(page);
        for (const text of new Set(plain(await settled(page), own))) left.push(`${place.path}: ${text}`);
      }
      expect(left).toEqual([]);
    });
  });
  test('in an empty kitchen', async ({ page, server }) => {
    const left: string[] = [];
    for (const path of ['/', '/shelf', '/drinks', '/shopping', '/kitchen']) {
      await page.goto(`${server.url}${path}`);
      for (const text of plain(await settled(page), new Set())) left.push(`${path}: ${text}`);
    }
    expect(left).toEqual([]);
  });
});
