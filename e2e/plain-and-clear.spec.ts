import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';
import { MOST_MOVED, shifted } from './layout.ts';
import { settled } from './screens.ts';

const ROUTES = [
  '/',
  '/drinks',
  '/drinks/calyx-pineapple',
  '/drinks/deep-calyx-ginger/compare',
  '/drinks/write',
  '/drinks/paste',
  '/drinks/capture',
  '/drinks/parts',
  '/drinks/facts/ginger',
  '/shopping',
  '/new/deep-calyx-ginger?method=straightBoil',
  '/batches/demo-steeping',
  '/batches/demo-steeping/stove',
  '/batches/demo-steeping/balance',
  '/shelf',
  '/logbook',
  '/logbook/learnt',
  '/logbook/year',
  '/shelf/demo-bottle-5',
  '/shelf/demo-roots',
  '/shelf/labels',
  '/kitchen',
];

test.describe('nothing jumps on a phone', () => {
  test.use({ demo: true, viewport: { width: 390, height: 800 } });
  test('while a page comes', { tag: '@dates' }, async ({ page, server }) => {
    test.slow();
    const found: string[] = [];
    for (const path of ROUTES) {
      await page.goto(`${server.url}${path}`);
      await settled(page);
      await page.evaluate(() => document.fonts.ready);
      const moved = await shifted(page);
      if (moved > MOST_MOVED) found.push(`${path}: moved by ${moved.toFixed(3)}`);
    }
    expect(found).toEqual([]);
  });
});

test.describe('where the focus is, is seen', () => {
  test.use({ demo: true });
  const KINDS: { path: string; name: string; find: (page: Page) => ReturnType<Page['locator']> }[] = [
    { path: '/', name: 'filled button', find: (p) => p.getByRole('link', { name: 'Start a drink' }) },
    { path: '/', name: 'place', find: (p) => p.getByRole('link', { name: 'Shopping', exact: true }) },
    {
      path: '/drinks',
      name: 'outlined button',
      find: (p) => p.getByRole('link', { name: 'Write a recipe' }),
    },
    { path: '/drinks', name: 'chip', find: (p) => p.getByRole('button', { name: 'no alcohol' }) },
    { path: '/drinks', name: 'one of a few', find: (p) => p.getByRole('button', { name: '3 h' }) },
    { path: '/drinks', name: 'text field', find: (p) => p.getByTestId('find-name') },
    {
      path: '/drinks',
      name: 'favourite',
      find: (p) => p.getByRole('button', { name: /^Favourite/ }).first(),
    },
    { path: '/new/deep-calyx-ginger', name: 'slider', find: (p) => p.getByRole('slider').first() },
    { path: '/new/deep-calyx-ginger', name: 'stage', find: (p) => p.getByRole('tab').nth(1) },
    { path: '/new/deep-calyx-ginger', name: 'select', find: (p) => p.getByLabel('Pot', { exact: true }) },
    { path: '/new/deep-calyx-ginger', name: 'way', find: (p) => p.getByRole('radio').first() },
    { path: '/kitchen', name: 'switch', find: (p) => p.getByRole('switch').first() },
    { path: '/kitchen', name: 'part', find: (p) => p.getByRole('link', { name: 'Fridge and water' }) },
    { path: '/shelf', name: 'bottle', find: (p) => p.getByTestId('bottle').getByRole('link').first() },
  ];
  test('on every kind of control, by pixels', { tag: '@dates' }, async ({ page, server }) => {
    test.slow();
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const unseen: string[] = [];
    let at = '';
    for (const kind of KINDS) {
      if (at !== kind.path) {
        await page.goto(`${server.url}${kind.path}`);
        await settled(page);
        // The keyboard was used last: a focus that is given is one that must be seen.
        await page.keyboard.press('Tab');
        at = kind.path;
      }
      const control = kind.find(page);
      await control.scrollIntoViewIfNeeded();
      const box = (await control.boundingBox())!;
      const clip = {
        x: Math.max(0, box.x - 8),
        y: Math.max(0, box.y - 8),
        width: box.width + 16,
        height: box.height + 16,
      };
      const look = () => page.screenshot({ clip, animations: 'disabled', caret: 'hide' });
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      const before = await look();
      await control.focus();
      const after = await look();
      if (before.equals(after)) unseen.push(`${kind.path}: ${kind.name}`);
    }
    expect(unseen).toEqual([]);
  });
  test('each page has its title, and its heading has the focus after a change of page', async ({
    page,
    server,
  }) => {
    await page.goto(server.url);
    await settled(page);
    for (const [place, title] of [
      ['Drinks', /^Drinks · Big Ladle$/],
      ['Cold shelf', /^Cold shelf · Big Ladle$/],
      ['Kitchen', /^Kitchen · Big Ladle$/],
    ] as const) {
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
      await expect(page).toHaveTitle(title);
      await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
    }
  });
});

test.describe('where the system sets the colours', () => {
  test.use({ demo: true });
  test('life bars are filled, and one place is the current one', { tag: '@dates' }, async ({
    page,
    server,
  }) => {
    await page.emulateMedia({ forcedColors: 'active' });
    await page.goto(`${server.url}/shelf`);
    await expect(page.getByTestId('bottle').nth(2)).toBeVisible();
    const bar = await page
      .getByTestId('bottle')
      .locator('.bar')
      .nth(2)
      .evaluate((e) => [
        getComputedStyle(e.firstElementChild!).backgroundColor,
        getComputedStyle(e).backgroundColor,
        getComputedStyle(document.body).backgroundColor,
      ]);
    expect(bar[0]).not.toBe(bar[1]);
    expect(bar[0]).not.toBe(bar[2]);
    const edges = await page
      .getByRole('navigation', { name: 'Places' })
      .getByRole('link')
      .evaluateAll((links) =>
        links.map((l) => ({
          edge: getComputedStyle(l).borderLeftColor,
          current: l.getAttribute('aria-current') === 'page',
        })),
      );
    const current = edges.find((e) => e.current)!;
    expect(edges.filter((e) => e.edge === current.edge)).toHaveLength(1);
  });
});

test.describe('found and explained', () => {
  test.use({ demo: true });
  test('one search over everything, by any name, with a slip', async ({ page, server }) => {
    await page.goto(server.url);
    await settled(page);
    const found = page.getByRole('list', { name: 'What was found' });
    for (const [text, what] of [
      ['wonjo', /ingredient.*Hibiscus/],
      ['gingr', /Ginger/],
      ['melon', /drink.*Melon hibiscus/],
      ['backup', /to do.*Backup/],
      ['cold shelf', /place.*Cold shelf/],
    ] as const) {
      await page.keyboard.press('/');
      await page.getByTestId('find-text').fill(text);
      await expect(found.getByRole('listitem').filter({ hasText: what }).first()).toBeVisible();
      await page.keyboard.press('Escape');
      await expect(page.getByTestId('find-text')).toHaveCount(0);
    }
    await page.getByRole('button', { name: 'Find (/)' }).click();
    await page.getByTestId('find-text').fill('labels');
    await page.getByTestId('find-text').press('Enter');
    await expect(page).toHaveURL(/\/shelf\/labels/);
  });
  test('"?" opens the help; a figure tells what it is', async ({ page, server }) => {
    await page.goto(`${server.url}/batches/demo-steeping/balance`);
    await settled(page);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Help' })).toContainText('find anything');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'refractometer' }).click();
    await expect(page.getByRole('dialog', { name: 'Help' }).locator('dt').first()).toHaveText('°Bx');
  });
  test('what is held is held together; drinks that stand without sugar; favourites', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/drinks?held=hibiscus,pineapple`);
    const drinks = page.getByTestId('drink');
    await expect(drinks.first()).toBeVisible();
    for (const drink of await drinks.all()) await expect(drink).toContainText('you have 2 of 2');
    await page.goto(`${server.url}/drinks?only=noSugar`);
    await expect(drinks.first()).toBeVisible();
    await expect.poll(() => drinks.count()).toBeLessThan(17);
    await page.goto(`${server.url}/drinks`);
    await page.getByRole('button', { name: 'Favourite: Melon hibiscus' }).click();
    await page.getByRole('button', { name: 'favourites', exact: true }).click();
    await expect(drinks).toHaveCount(1);
    await page.reload();
    await expect(drinks).toHaveCount(1);
  });
});
