import { test as base, expect, type Page } from '@playwright/test';
import { atTheClock } from './clock.ts';
import { copied, EVENING_MS, KitchenServer } from './server.ts';

export { atTheClock };

interface Fixtures {
  server: KitchenServer;
  /** Starts with the demo's data. */
  demo: boolean;
  /** When the test begins. */
  atMs: number;
  /** The server runs in a process of its own, which can be killed. */
  ownProcess: boolean;
}

interface WorkerFixtures {
  /** Takes away the folders that were copied from. */
  tidy: undefined;
  /** The demo's kitchen in one window for all tests of a worker that only look at it. */
  onlyLooked: { server: KitchenServer; page: Page };
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  demo: [false, { option: true }],
  atMs: [EVENING_MS, { option: true }],
  ownProcess: [false, { option: true }],
  server: async ({ demo, atMs, ownProcess }, use) => {
    const server = new KitchenServer(atMs, ownProcess);
    await server.startFresh(demo, atMs);
    await use(server);
    await server.stop();
    server.dispose();
  },
  tidy: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from this pattern.
    async ({}, use) => {
      await use(undefined);
      for (const server of copied.values()) server.dispose();
    },
    { scope: 'worker', auto: true },
  ],
  context: async ({ context, server }, use) => {
    await atTheClock(context, server);
    await use(context);
  },
  page: async ({ page }, use) => {
    const complaints = complaintsOf(page);
    await use(page);
    expect(complaints).toEqual([]);
  },
  onlyLooked: [
    async ({ browser }, use, { project }) => {
      const server = new KitchenServer(EVENING_MS);
      await server.startFresh(true, EVENING_MS);
      const { viewport, locale, timezoneId, serviceWorkers } = project.use;
      const context = await browser.newContext({ viewport, locale, timezoneId, serviceWorkers });
      await atTheClock(context, server);
      const page = await context.newPage();
      const complaints = complaintsOf(page);
      await use({ server, page });
      expect(complaints).toEqual([]);
      await context.close();
      await server.stop();
      server.dispose();
    },
    { scope: 'worker' },
  ],
});

/** A page that complains is a page that is wrong: what it has said so far. */
function complaintsOf(page: Page): string[] {
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && /content security|refused to/i.test(message.text()))
      complaints.push(message.text());
  });
  return complaints;
}

export { expect };

/** A figure read off the page: "9.0" of "9.0 L". */
export async function figure(page: Page, testId: string): Promise<number> {
  const text = (await page.getByTestId(testId).first().innerText()).replace(/\s/g, ' ');
  return Number(/-?[\d.]+/.exec(text.replace(/,/g, ''))?.[0]);
}

/** Opens a tool of the stove, wherever it stands: the rarer ones are behind "More …". */
export async function openTool(page: Page, name: string): Promise<void> {
  const tool = page.getByRole('button', { name, exact: true });
  await expect(page.getByRole('button', { name: /^(More …|Less)$/ })).toBeVisible();
  if (!(await tool.isVisible())) await page.getByRole('button', { name: 'More …' }).click();
  await tool.click();
}

/** How many bottles the shelf shows, equal ones counted. */
export const shownBottles = (page: Page): Promise<number> =>
  page
    .getByTestId('bottle')
    .evaluateAll((cards) => cards.reduce((sum, card) => sum + Number(card.getAttribute('data-count')), 0));

/** Opens what is folded away, where it is not open already. */
export async function unfold(page: Page, testId: string): Promise<void> {
  const fold = page.getByTestId(testId);
  await expect(fold).toBeVisible();
  if ((await fold.getAttribute('open')) === null) await fold.locator('> summary').click();
}
