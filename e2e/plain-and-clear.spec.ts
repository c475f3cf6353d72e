import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';
import { settled } from './screens.ts';

/** Texts that are cut off by their box, and texts that lie on one another. */
const clashes = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const boxes: { text: string; node: Element; rect: DOMRect }[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const isApart = (element: Element) => {
      // What floats above the page on purpose, and drawings, whose words are placed one by one.
      for (let e: Element | null = element; e; e = e.parentElement) {
        if (e.tagName.toLowerCase() === 'svg') return true;
        const { position } = getComputedStyle(e);
        if (position === 'fixed' || position === 'sticky') return true;
      }
      return false;
    };
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement!;
      if (
        !node.textContent?.trim() ||
        !element.checkVisibility({ visibilityProperty: true, opacityProperty: true })
      )
        continue;
      if (isApart(element)) continue;
      const style = getComputedStyle(element);
      // Read out, not shown.
      if (style.clipPath !== 'none' || element.clientWidth === 1) continue;
      if (
        /hidden|clip/.test(style.overflowX) &&
        element.scrollWidth > element.clientWidth + 1 &&
        element.clientWidth > 1
      )
        found.push(`cut off: ${node.textContent.trim().slice(0, 60)}`);
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const whole of range.getClientRects()) {
        // What is scrolled out of its box is not there.
        let { left, right, top, bottom } = whole;
        for (let e: Element | null = element; e; e = e.parentElement) {
          const { overflowX, overflowY } = getComputedStyle(e);
          if (overflowX === 'visible' && overflowY === 'visible') continue;
          const box = e.getBoundingClientRect();
          left = Math.max(left, box.left);
          right = Math.min(right, box.right);
          top = Math.max(top, box.top);
          bottom = Math.min(bottom, box.bottom);
        }
        const rect = new DOMRect(left, top, right - left, bottom - top);
        if (rect.width > 1 && rect.height > 1)
          boxes.push({ text: node.textContent.trim(), node: element, rect });
      }
    }
    for (let i = 0; i < boxes.length; i++)
      for (let j = i + 1; j < boxes.length; j++) {
        const a = boxes[i]!;
        const b = boxes[j]!;
        if (a.node === b.node || a.node.contains(b.node) || b.node.contains(a.node)) continue;
        const x = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
        const y = Math.min(a.rect.bottom, b.rect.bottom) - Math.max(a.rect.top, b.rect.top);
        // Line boxes of neighbouring lines may touch; letters on letters may not.
        if (x > 2 && y > Math.min(a.rect.height, b.rect.height) * 0.45)
          found.push(`over one another: ${a.text.slice(0, 40)} | ${b.text.slice(0, 40)}`);
      }
    return [...new Set(found)];
  });

/** Units of the laboratory that stand on a page without their meaning a tap away. */
const unexplained = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const UNITS: [RegExp, string[]][] = [
      [/°Bx/, ['brix']],
      [/\bpH\b/, ['ph']],
      [/\bg\/L\b/, ['sourness', 'strength']],
    ];
    const found: string[] = [];
    const main = document.querySelector('main')!;
    const walker = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent ?? '';
      const element = node.parentElement!;
      // A field says what it asks for beside it, a reason in its sentence, a text for others in its words.
      if (
        !element.checkVisibility({ visibilityProperty: true }) ||
        element.closest('label, li, fieldset, button, pre')
      )
        continue;
      for (const [unit, terms] of UNITS) {
        if (!unit.test(text)) continue;
        const told =
          element.closest('tr')?.querySelector('[aria-expanded]') ??
          main.querySelector(terms.map((t) => `[data-explains="${t}"]`).join());
        if (!told) found.push(text.trim().slice(0, 60));
      }
    }
    return [...new Set(found)];
  });

/** What moved by itself since the page was opened, as the browser counts it. */
const shifted = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        let sum = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries() as (PerformanceEntry & {
            value: number;
            hadRecentInput: boolean;
          })[])
            if (!entry.hadRecentInput) sum += entry.value;
        }).observe({ type: 'layout-shift', buffered: true });
        requestAnimationFrame(() => setTimeout(() => resolve(sum), 0));
      }),
  );

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
  '/shelf/demo-bottle-5',
  '/shelf/demo-roots',
  '/shelf/labels',
  '/kitchen',
];

test.describe('nothing is cut off, overlaps or jumps', () => {
  test.use({ demo: true });
  for (const [what, width, zoom] of [
    ['at the table', 1280, 1],
    ['on a phone', 390, 1],
    ['at twice the size', 1280, 2],
  ] as const)
    test(what, { tag: '@dates' }, async ({ page, server }) => {
      test.slow();
      await page.setViewportSize({ width: width / zoom, height: 800 / zoom });
      const found: string[] = [];
      for (const path of ROUTES) {
        await page.goto(`${server.url}${path}`);
        await settled(page);
        await page.evaluate(() => document.fonts.ready);
        for (const clash of await clashes(page)) found.push(`${path}: ${clash}`);
        for (const text of await unexplained(page)) found.push(`${path}: not explained: ${text}`);
        const moved = await shifted(page);
        if (moved > 0.05) found.push(`${path}: moved by ${moved.toFixed(3)}`);
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
