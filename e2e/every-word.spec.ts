import type { Page } from '@playwright/test';
import { marked } from '../web/src/words/pseudo.ts';
import { expect, type KitchenServer, test } from './kitchenServer.ts';

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

/** All that a page shows or reads out: texts, labels, titles; not what is typed into it, nor other languages' names. */
const said = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const out: string[] = [document.title];
    const walk = (element: Element) => {
      if (/^(SCRIPT|STYLE|NOSCRIPT)$/.test(element.tagName)) return;
      if (element.tagName !== 'HTML' && element.hasAttribute('lang')) return;
      for (const name of [
        'aria-label',
        'aria-description',
        'aria-valuetext',
        'aria-roledescription',
        'title',
        'placeholder',
        'alt',
      ]) {
        const value = element.getAttribute(name);
        if (value) out.push(value);
      }
      for (const node of element.childNodes) {
        if (node.nodeType === Node.TEXT_NODE && node.textContent?.trim()) out.push(node.textContent);
        else if (node.nodeType === Node.ELEMENT_NODE) walk(node as Element);
      }
    };
    walk(document.documentElement);
    return out;
  });

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
  '/archive',
];
async function ownOf(server: KitchenServer): Promise<Set<string>> {
  const own = new Set<string>();
  for (const path of ANSWERS) ownWords(await server.api('GET', path), own);
  return own;
}

const button = (page: Page, name: string) => page.getByRole('button', { name: marked(name), exact: true });

/** A text from somewhere else: its words are shown as they are. */
const PASTED = ['2 cups dried sorrel', '3 cups moon berries', '10 cups water', 'Boil 20 minutes', 'Strain'];

const PLACES: { path: string; open?: (page: Page) => Promise<void> }[] = [
  { path: '/' },
  { path: '/nowhere' },
  { path: '/drinks?only=mild&held=ginger' },
  { path: '/drinks/calyx-pineapple' },
  { path: '/drinks/deep-calyx-ginger/compare' },
  { path: '/drinks/two?a=deep-calyx-ginger&b=calyx-pineapple' },
  { path: '/drinks/deep-calyx-ginger/vary' },
  { path: '/drinks/capture' },
  { path: '/drinks/facts/ginger' },
  { path: '/drinks/parts' },
  {
    path: '/drinks/paste',
    open: (page) => page.getByTestId('paste-text').fill(PASTED.join('\n')),
  },
  {
    path: '/shopping',
    open: (page) => page.locator('[data-testid^="buy-"]').first().getByRole('button').click(),
  },
  ...['size', 'wash', 'draw', 'strain', 'balance', 'bottle', 'keep'].map((stage) => ({
    path: `/new/deep-calyx-ginger?stage=${stage}`,
  })),
  { path: '/batches/demo-planned' },
  { path: '/batches/demo-steeping' },
  { path: '/batches/demo-steeping/balance' },
  { path: '/batches/demo-shelf?stage=size' },
  {
    path: '/batches/demo-steeping/stove',
    open: async (page) => {
      await button(page, 'Guests are here').click();
      await button(page, 'Something else').click();
    },
  },
  { path: '/batches/demo-steeping/stove', open: (page) => button(page, 'Sounds and alerts').click() },
  { path: '/batches/demo-steeping/stove', open: (page) => button(page, 'Measure').click() },
  { path: '/shelf' },
  { path: '/shelf?view=place' },
  { path: '/shelf?view=leftovers' },
  { path: '/shelf?view=reminders' },
  { path: '/shelf?view=gone' },
  { path: '/shelf/demo-roots' },
  { path: '/shelf/demo-bottle-5' },
  { path: '/shelf/labels' },
  { path: '/kitchen', open: (page) => button(page, 'Add a pot').click() },
];

/** What a page holds once it has come to rest: nothing is being fetched or worked out any more. */
async function settled(page: Page): Promise<string[]> {
  await expect(page.locator('[data-page-title]').first()).toBeVisible();
  await expect(page.getByTestId('loading')).toHaveCount(0);
  return said(page);
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
      for (const place of PLACES) {
        await page.goto(`${server.url}${place.path}`);
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
