import type { Locator, Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

/** The steps of the drink that is proposed for these four, by its quickest way, and the button that ends each. */
const STEPS = [
  ['Sort', 'All sorted', 5],
  ['Wash until clear', 'Washed', 10],
  ['Scrub the skins', 'Washed', 5],
  ['Cut and bruise', 'All cut', 15],
  ['Fill the pot', 'All in the pot', 5],
  ['Bring to the boil', 'It boils now', 35],
  ['Boil gently', 'Boiled enough, flame off', 26],
  ['Strain', 'Strained', 10],
  ['Cool', 'Cool enough', 40],
  ['Sweeten by taste', 'Sweet enough', 10],
  ['Bottle', 'Bottled, onto the cold shelf', 0],
] as const;
const AT_HAND = ['Hibiscus', 'Ginger', 'Orange', 'Clove'];

/** The words that stand on a screen before anything is opened: dangers that fit here are not counted. */
const wordsOn = (page: Page): Promise<number> =>
  page.evaluate(() => {
    let words = 0;
    const walker = document.createTreeWalker(document.querySelector('main')!, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement!;
      // Nor what is only read out.
      if (!element.checkVisibility({ visibilityProperty: true }) || element.clientWidth === 1) continue;
      if (
        element.closest(
          '[data-severity="danger"], [data-testid="ask-sound"], [aria-live], fieldset[aria-hidden]',
        )
      )
        continue;
      words += node.textContent!.split(/\s+/).filter((w) => /[A-Za-z]/.test(w)).length;
    }
    return words;
  });

/** All the way with one means of pressing; returns what was pressed before the stove, and the words of each screen. */
async function allTheWay(page: Page, server: KitchenServer, press: (what: Locator) => Promise<void>) {
  let clicks = 0;
  const click = async (what: Locator) => {
    clicks++;
    await press(what);
  };
  const words: [string, number][] = [];
  const count = async (screen: string) => words.push([screen, await wordsOn(page)]);
  await page.goto(server.url);
  await page.getByLabel('It holds').fill('12');
  for (const name of AT_HAND) await click(page.getByRole('button', { name, exact: true }));
  await expect(
    page.getByRole('heading', { name: /^Deep hibiscus & ginger, .* L, ready today at/ }),
  ).toBeVisible({
    timeout: 20_000,
  });
  await count('first page');
  await click(page.getByRole('button', { name: 'Make Deep hibiscus & ginger' }));
  await expect(page.getByRole('radio', { name: /Today/ }).first()).toBeVisible({ timeout: 20_000 });
  // Nothing is red at the start.
  await expect(page.getByRole('alert')).toHaveCount(0);
  await count('plan');
  await click(page.getByRole('button', { name: 'Start now' }));
  await expect(page.getByRole('heading', { name: 'Get ready' })).toBeVisible();
  await count('Get ready');
  await press(page.getByRole('button', { name: /^Sort/ }));
  for (const [heading, button, minutes] of STEPS) {
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
    await server.pass(minutes);
    await count(heading);
    await press(page.getByRole('button', { name: button, exact: true }));
  }
  await expect(page.getByRole('heading', { name: /^Done: \d+ bottles?$/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Print labels' })).toBeVisible();
  await press(page.getByRole('link', { name: 'Cold shelf' }));
  await expect(page.getByTestId('bottle').first()).toContainText(/[A-Z][a-z]{2} \d+ [A-Z][a-z]{2}|today/);
  return { clicks, words };
}

test.describe('from an empty kitchen to the first dated bottle', () => {
  // In the morning, so that today is today.
  test.use({ atMs: Date.UTC(2026, 10, 25, 9, 30) });

  test(
    'with the mouse: six clicks, one field, few words',
    { tag: '@dates' },
    async ({ page, server }, info) => {
      test.slow();
      const { clicks, words } = await allTheWay(page, server, (what) => what.click());
      expect(clicks).toBeLessThanOrEqual(6);
      info.annotations.push({ type: 'words', description: words.map(([s, n]) => `${s} ${n}`).join(', ') });
      console.log(words.map(([s, n]) => `${s}: ${n} words`).join('; '));
      const atTheStove = words.slice(words.findIndex(([s]) => s === 'Get ready'));
      for (const [screen, n] of atTheStove) expect(n, screen).toBeLessThanOrEqual(60);
      // From the empty kitchen to the last bottle.
      expect(words.reduce((sum, [, n]) => sum + n, 0)).toBeLessThanOrEqual(900);
    },
  );

  test.describe('on the phone', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    test('by taps', { tag: '@dates' }, async ({ page, server }) => {
      test.slow();
      const { clicks } = await allTheWay(page, server, (what) => what.tap());
      expect(clicks).toBeLessThanOrEqual(6);
    });
  });

  test('by keyboard alone', { tag: '@dates' }, async ({ page, server }) => {
    test.slow();
    const { clicks } = await allTheWay(page, server, async (what) => {
      await what.focus();
      await page.keyboard.press('Enter');
    });
    expect(clicks).toBeLessThanOrEqual(6);
  });
});

test('a batch is stopped: why, what is left; it is off the stove, and comes back by undo', async ({
  page,
  server,
}) => {
  await server.stop();
  await server.start(true);
  await page.goto(`${server.url}/batches/demo-steeping/stove`);
  await page.getByRole('button', { name: 'More …' }).click();
  await page.getByRole('button', { name: 'Stop this batch' }).click();
  await page.getByRole('button', { name: 'The pot fell or boiled over.' }).click();
  await page.getByRole('button', { name: 'nothing is left' }).click();
  await page.getByRole('button', { name: 'Stop it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Stopped' })).toBeVisible();
  await page.goto(server.url);
  // The other pot goes on.
  await expect(page.getByTestId('on-pot')).toHaveCount(1);
  await expect(page.getByTestId('on-pot')).toContainText('Pineapple & ginger');
  await page.goto(`${server.url}/batches/demo-steeping/stove`);
  await page.getByRole('button', { name: /^Undo: stopped: The pot fell/ }).click();
  await expect(page.getByRole('heading', { name: 'Steep' })).toBeVisible();
});

test.describe('the plan says what it asks of the cook', () => {
  test.use({ demo: true });
  test('for so many people over ice; much work, and what to do about it; a way over two days', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/new/calyx-pineapple`);
    await page.getByRole('button', { name: 'For so many people' }).click();
    await page.getByTestId('people').fill('12');
    await page.getByTestId('glasses-each').fill('2');
    await page.getByTestId('glasses-each').blur();
    await expect(page.getByTestId('glasses')).toHaveText('24 glasses');
    // 24 × 200 mL are 4.8 L; three cubes of 60 g take 60 ÷ 0.917 ÷ 250 = 26 % of a glass: 3.5 L are poured.
    await page.getByRole('button', { name: 'three cubes' }).click();
    await expect(page.locator('main')).toContainText('3.5 L in bottles');

    await expect(page.getByTestId('ways-choice')).toContainText('of your work');
    await expect(page.getByTestId('much-work')).toHaveCount(0);
    await page.getByRole('button', { name: 'A full pot' }).click();
    await page.getByRole('group', { name: 'Pot loads' }).getByRole('button', { name: '2' }).click();
    // Until the ways of two fills are there, those of one are shown.
    const ways = page.getByTestId('ways-choice');
    await expect(ways).toHaveAttribute('aria-busy', 'false');
    const much = page.getByTestId('much-work');
    await expect(much).toContainText('of work is much for one day');
    await much.getByRole('button', { name: 'Over two days: overnight soak, then boil' }).click();
    const way = page.getByTestId('way-overnightSoak');
    await expect(way).toHaveAttribute('aria-checked', 'true');
    await expect(ways).toHaveAttribute('aria-busy', 'false');
    // The way and the sentence above it say the same hour.
    const inBottles = /in bottles (\w{3} \d\d:\d\d)/.exec((await way.innerText()).replace(/\s+/g, ' '))?.[1];
    await expect(page.getByTestId('start-by')).toContainText(`bottled ${inBottles}`);
    await much.getByRole('button', { name: /^Make \d/ }).click();
    await expect(page.getByTestId('wish-litres')).toHaveValue('10');
    await expect(much).toHaveCount(0);
  });
});
