import { expect, type Page } from '@playwright/test';
import { STUMBLES } from '../web/src/words/stumbles.ts';

/** All that a page shows or reads out: texts, labels, titles; not what is typed into it, nor other languages' names. */
export const said = (page: Page): Promise<string[]> =>
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

/** What a page holds once it has come to rest: nothing is being fetched or worked out any more. */
export async function settled(page: Page): Promise<string[]> {
  await expect(page.locator('[data-page-title]').first()).toBeVisible();
  await expect(page.getByTestId('loading')).toHaveCount(0);
  return said(page);
}

/** A text from somewhere else: its words are shown as they are. */
export const PASTED = [
  '2 cups dried sorrel',
  '3 cups moon berries',
  '10 cups water',
  'Boil 20 minutes',
  'Strain',
];

interface Screen {
  path: string;
  open?: (page: Page) => Promise<void>;
}

/**
 * Every screen of the demo, some with a tool opened.
 * @param called what a button is called in the language that the screens speak.
 */
export function screens(called: (name: string) => string): Screen[] {
  const button = (page: Page, name: string) => page.getByRole('button', { name: called(name), exact: true });
  return [
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
        await button(page, 'More …').click();
        await button(page, 'Something else').click();
      },
    },
    {
      path: '/batches/demo-steeping/stove',
      open: async (page) => {
        await button(page, 'More …').click();
        await button(page, 'Sounds and alerts').click();
      },
    },
    {
      path: '/batches/demo-steeping/stove',
      open: async (page) => {
        await button(page, 'More …').click();
        await button(page, 'Stop this batch').click();
      },
    },
    { path: '/batches/demo-steeping/stove', open: (page) => button(page, 'Measure').click() },
    { path: '/logbook' },
    { path: '/logbook/learnt' },
    { path: '/logbook/year' },
    { path: '/shelf' },
    { path: '/shelf?view=place' },
    { path: '/shelf?view=leftovers' },
    { path: '/shelf?view=reminders' },
    { path: '/shelf?view=gone' },
    { path: '/shelf/demo-roots' },
    { path: '/shelf/demo-bottle-5' },
    { path: '/shelf/demo-raw-1/glass' },
    { path: '/shelf/labels' },
    { path: '/kitchen', open: (page) => button(page, 'Add a pot').click() },
    ...['cold', 'measures', 'house', 'data', 'practice'].map((part) => ({ path: `/kitchen?part=${part}` })),
    { path: '/', open: (page) => page.keyboard.press('?') },
    {
      path: '/',
      open: async (page) => {
        await page.keyboard.press('/');
        await page.getByTestId('find-text').fill('a');
      },
    },
  ];
}

/** What of a page its cook would stumble over: each with the text in which it stands. */
export const stumbles = async (page: Page): Promise<string[]> =>
  [...new Set(await said(page))].flatMap((text) => {
    const found = STUMBLES.exec(text);
    return found ? [`“${found[0]}” in “${text.trim()}”`] : [];
  });
