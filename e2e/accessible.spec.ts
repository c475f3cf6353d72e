import type { Page } from '@playwright/test';
import { ALL_RULES, COLOUR_RULES, ROOM_RULES, violations } from './axe.ts';
import { typeMoment } from './dateFields.ts';
import { expect, openTool, test } from './fixtures.ts';
import { clashes, unexplained } from './layout.ts';
import { stumbles } from './screens.ts';
import type { KitchenServer } from './server.ts';

const NIGHT_WIDTH = 390;
const NARROWEST = 320;
const WIDTHS = [1280, NIGHT_WIDTH, NARROWEST];
/** A screen of 1280 by 800 at twice the size of its letters. */
const TWICE_THE_SIZE = { width: 640, height: 400 };

async function expectClean(page: Page, what: string, width: number): Promise<void> {
  // The colours of the day are those of the widest screen, and are looked at there.
  const found =
    width === NARROWEST
      ? await violations(page, ROOM_RULES)
      : await violations(page, ALL_RULES, width === NIGHT_WIDTH ? ['color-contrast'] : []);
  expect(found, what).toEqual([]);
  await expectRoom(page, what);
}

/** Nothing hangs over the side, is cut off or lies over another text. */
async function expectRoom(page: Page, what: string): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    `${what} hangs over the side`,
  ).toBeLessThanOrEqual(0);
  expect(await clashes(page), what).toEqual([]);
}

interface Screen {
  name: string;
  path: string;
  open?: (page: Page) => Promise<void>;
  /** Something is entered on the way there: it needs a kitchen of its own. */
  enters?: true;
}

/** Every screen of the demo, and what makes each ready to be looked at. */
const SCREENS: Screen[] = [
  { name: 'stove', path: '/' },
  { name: 'drinks', path: '/drinks' },
  { name: 'drinks found', path: '/drinks?only=mild&held=ginger' },
  { name: 'a recipe', path: '/drinks/calyx-pineapple' },
  {
    name: 'methods compared',
    path: '/drinks/deep-calyx-ginger/compare',
    open: async (page) => {
      await page.getByTestId('method-table').getByRole('button', { name: 'Red that is left' }).click();
    },
  },
  { name: 'two recipes', path: '/drinks/two?a=deep-calyx-ginger&b=calyx-pineapple' },
  {
    name: 'a recipe being written',
    path: '/drinks/write',
    open: async (page) => {
      for (const text of ['200 g dried hibiscus', '3 thumbs of ginger, sliced']) {
        await page.getByTestId('add-line').fill(text);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await expect(page.getByTestId('add-line')).toHaveValue('');
      }
      await page.getByLabel('Boil gently, minutes').fill('200');
      await expect(page.getByTestId('slip')).toBeVisible();
      await page.getByTestId('lanes-toggle').click();
      await expect(page.getByTestId('lanes')).toBeVisible();
    },
  },
  { name: 'a variant', path: '/drinks/deep-calyx-ginger/vary' },
  {
    name: 'a pasted recipe',
    path: '/drinks/paste',
    open: async (page) => {
      await page
        .getByTestId('paste-text')
        .fill('2 cups dried sorrel\n3 cups moon berries\n10 cups water\n\nBoil 20 minutes. Strain.');
      await page.getByRole('button', { name: 'Say what it is' }).click();
      await expect(page.getByTestId('new-ingredient')).toBeVisible();
    },
  },
  { name: 'written down while they cook', path: '/drinks/capture' },
  { name: 'facts', path: '/drinks/facts/ginger' },
  { name: 'gatherings', path: '/gatherings' },
  {
    name: 'a gathering',
    path: '/gatherings/demo-supper',
    open: async (page) => {
      await expect(page.getByTestId('timetable')).toBeVisible();
      await expect(page.getByText(/Working it out/)).toHaveCount(0);
      await page.getByText('Who leaves what, and why').click();
    },
  },
  {
    name: 'shopping',
    path: '/shopping',
    open: async (page) => {
      await page.locator('[data-testid^="buy-"]').first().getByRole('button').click();
    },
  },
  ...['size', 'wash', 'draw', 'strain', 'balance', 'bottle', 'keep'].map((stage) => ({
    name: `plan ${stage}`,
    path: `/new/deep-calyx-ginger?stage=${stage}`,
  })),
  { name: 'kept plan', path: '/batches/demo-planned' },
  { name: 'batch that is on', path: '/batches/demo-steeping' },
  { name: 'batch that is done', path: '/batches/demo-shelf?stage=size' },
  { name: 'stove posture', path: '/batches/demo-steeping/stove' },
  {
    name: 'measuring at the stove',
    path: '/batches/demo-steeping/stove',
    open: async (page) => {
      await page.getByRole('button', { name: 'Measure', exact: true }).click();
      await page.getByTestId('measure-form').getByRole('button', { name: 'temperature' }).click();
      await page.getByTestId('measure-value').fill('400');
      await expect(page.getByText('Between -5 and 105.')).toBeVisible();
    },
  },
  {
    name: 'signals at the stove',
    path: '/batches/demo-steeping/stove',
    open: async (page) => {
      await openTool(page, 'Sounds and alerts');
      await page.getByRole('button', { name: 'Four keys: off' }).click();
      await expect(page.getByRole('button', { name: /^Next: the wide button/ })).toBeVisible();
    },
  },
  {
    name: 'something else, and guests',
    path: '/batches/demo-steeping/stove',
    open: async (page) => {
      await page.getByRole('button', { name: 'Guests are here' }).click();
      await expect(page.getByTestId('guests')).toContainText('The second boil by itself');
      await openTool(page, 'Something else');
      await page.getByRole('button', { name: 'more of something' }).click();
    },
  },
  {
    name: 'cooling watch',
    enters: true,
    path: '/new/deep-calyx-ginger?method=straightBoil',
    open: async (page) => {
      await page.getByRole('button', { name: 'I have already started' }).click();
      await page.getByLabel('It is at').selectOption({ label: 'Cool' });
      await page.getByRole('button', { name: 'Go on from there' }).click();
      await expect(page.getByTestId('cooling')).toBeVisible();
    },
  },
  {
    name: 'rehearsal',
    enters: true,
    path: '/new/deep-calyx-ginger?method=straightBoil',
    open: async (page) => {
      await page.getByRole('button', { name: 'Practice run' }).click();
      await expect(page.getByTestId('shown-probe')).toBeVisible();
    },
  },
  {
    name: 'too late',
    enters: true,
    path: '/new/deep-calyx-ginger?method=shortBoilLongSteep',
    open: async (page) => {
      const soon = new Date((await page.evaluate(() => Date.now())) + 3 * 3_600_000)
        .toISOString()
        .slice(0, 16);
      await typeMoment(page, 'Ready by', soon);
      await expect(page.getByTestId('too-late')).toBeVisible();
    },
  },
  {
    name: 'balance of a batch that is on',
    enters: true,
    path: '/batches/demo-steeping/balance',
    open: async (page) => {
      await page.getByTestId('way').first().getByRole('button', { name: 'Show it' }).click();
      await page.getByRole('button', { name: 'some', exact: true }).click();
    },
  },
  {
    name: 'balance by taste, lots and a trial',
    enters: true,
    path: '/batches/demo-steeping/stove',
    open: async (page) => {
      await page.getByTestId('done').click();
      await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
      await page.getByTestId('done').click();
      await expect(page.getByRole('heading', { name: 'Sweeten by taste' })).toBeVisible();
      await openTool(page, 'Divide into versions');
      await page.getByRole('button', { name: 'One more version' }).click();
      await expectCleanEverywhere(page, 'lots');
      await page.getByRole('link', { name: 'Sweet against sour' }).click();
      await page.getByTestId('way').first().getByRole('button', { name: 'Take it step by step' }).click();
      await page.getByTestId('trial-amount').fill('2');
      await expect(page.getByTestId('trial-answer')).toBeVisible();
    },
  },
  { name: 'a drink in parts', path: '/drinks/parts' },
  { name: 'logbook', path: '/logbook' },
  {
    name: 'batches side by side',
    path: '/logbook',
    open: async (page) => {
      for (const i of [0, 1]) await page.getByTestId('made').nth(i).getByRole('checkbox').check();
      await page.getByRole('link', { name: 'Side by side' }).click();
      await expect(page.getByTestId('beside').getByRole('table')).toBeVisible();
    },
  },
  {
    name: 'yesterday’s batch written up',
    path: '/new/deep-calyx-ginger?method=straightBoil',
    open: async (page) => {
      await page.getByRole('button', { name: 'I have already started' }).click();
      await page.getByLabel('It is at').selectOption({ label: 'It is finished, and in bottles' });
    },
  },
  {
    name: 'a year',
    path: '/logbook/year',
    open: async (page) => expect(page.getByTestId('year-where')).toBeVisible(),
  },
  {
    name: 'what this kitchen has taught',
    path: '/logbook/learnt',
    open: async (page) => {
      await expect(page.getByTestId('learnt')).toBeVisible({ timeout: 30_000 });
      await page.getByText('Not known better than by the book yet').click();
    },
  },
  { name: 'shelf', path: '/shelf' },
  { name: 'shelf by place', path: '/shelf?view=place' },
  { name: 'leftovers', path: '/shelf?view=leftovers' },
  { name: 'reminders', path: '/shelf?view=reminders' },
  { name: 'labels', path: '/shelf/labels' },
  { name: 'a leftover', path: '/shelf/demo-roots' },
  {
    name: 'a bottle with every tool',
    path: '/shelf/demo-bottle-5',
    open: async (page) => {
      const deeds = page.getByTestId('deeds');
      await page.getByRole('button', { name: 'Look at it now' }).click();
      await page.getByRole('button', { name: 'mould' }).click();
      await deeds.getByRole('button', { name: 'How much is left …' }).click();
      await expectCleanEverywhere(page, 'a level poured');
      await deeds.getByRole('button', { name: 'Moved to …' }).click();
      await deeds.getByRole('button', { name: 'Freezer' }).click();
      await expect(deeds).toContainText('Glass bursts in the freezer');
    },
  },
  ...['pots', 'cold', 'measures', 'house', 'data', 'practice'].map((part) => ({
    name: `kitchen ${part}`,
    path: `/kitchen?part=${part}`,
  })),
  {
    name: 'pot dialog with a field in error',
    path: '/kitchen',
    open: async (page) => {
      await page.getByRole('button', { name: 'Add a pot' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
      await expect(page.getByText('Give it a name')).toBeVisible();
    },
  },
  {
    name: 'pot too small',
    path: '/new/deep-calyx-ginger',
    open: async (page) => {
      await page.getByTestId('wish-litres').fill('19');
      await expect(page.getByTestId('plan-problem')).toBeVisible();
    },
  },
];

/** The page as it stands, at every width by day, and by night. */
async function expectCleanEverywhere(page: Page, what: string): Promise<void> {
  expect(await stumbles(page), `${what}: words that only its makers say`).toEqual([]);
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: width === 1280 ? 800 : 844 });
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    await expectClean(page, `${what}, ${width} px`, width);
    if (width !== NIGHT_WIDTH) continue;
    // The night differs from the day by its colours alone, and those are the same at every width.
    await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
    expect(await violations(page, COLOUR_RULES), `${what}, by night`).toEqual([]);
  }
  await page.setViewportSize(TWICE_THE_SIZE);
  await expectRoom(page, `${what}, at twice the size`);
  expect(await unexplained(page), `${what}: not explained`).toEqual([]);
  await page.setViewportSize({ width: 1280, height: 800 });
}

async function expectScreen(screen: Screen, page: Page, server: KitchenServer): Promise<void> {
  await page.goto(`${server.url}${screen.path}`);
  await expect(page.locator('[data-page-title]')).toBeVisible();
  await screen.open?.(page);
  await expectCleanEverywhere(page, screen.name);
}

test.describe('with demo data', () => {
  test.use({ demo: true });
  for (const screen of SCREENS)
    if (screen.enters)
      test(`no violations: ${screen.name}`, { tag: '@dates' }, ({ page, server }) =>
        expectScreen(screen, page, server),
      );
    else
      test(`no violations: ${screen.name}`, { tag: '@dates' }, async ({ onlyLooked: { page, server } }) => {
        await expectScreen(screen, page, server);
        // The window lives as long as its worker: its clocks need not tick for the tests after these.
        await page.goto('about:blank');
      });
});

for (const path of ['/', '/shelf', '/drinks', '/shopping', '/kitchen', '/nowhere'])
  test(`no violations in the empty kitchen: ${path}`, async ({ page, server }) => {
    await page.goto(`${server.url}${path}`);
    await expect(page.locator('[data-page-title]')).toBeVisible();
    await expectCleanEverywhere(page, `empty ${path}`);
    if (path !== '/') return;
    await page.getByText('More about the pot and its ring').click();
    await page.getByLabel('Width inside').fill('2');
    await page.getByLabel('Width inside').blur();
    await expect(page.getByText('Between 8 and 80.')).toBeVisible();
    await expectCleanEverywhere(page, 'first pot in error');
  });

test.describe('what is read out', () => {
  test.use({ demo: true });
  test('drawings say in words what they show', async ({ page, server }) => {
    await page.goto(`${server.url}/new/deep-calyx-ginger`);
    const said = await page.getByTestId('vessel').getAttribute('aria-label');
    expect(said).toMatch(/At the boil it stands at [\d.]+ cm, [\d.]+ L of hot drink/);
    expect(said).toMatch(/After the boil [\d.]+ L\. Strained [\d.]+ L\./);
  });
  test('clocks are announced at thresholds only', { tag: '@dates' }, async ({ page, server }) => {
    await page.goto(`${server.url}/batches/demo-steeping/stove`);
    const timer = page.getByTestId('clock');
    await expect(timer).toHaveAttribute('aria-live', 'off');
    const live = page.locator('span[aria-live="polite"]').first();
    await expect(live).toHaveText('');
    await server.pass(6 * 60 + 42 - 59.6);
    await expect(live).toHaveText('Blue pot, steep: 60 minutes left.');
    const first = await timer.innerText();
    await server.pass(10);
    await expect(timer).not.toHaveText(first);
    // What was said is not so any more.
    await expect(live).toHaveText('');
    await server.pass(20);
    await expect(live).toHaveText('Blue pot, steep: 30 minutes left.');
  });
});
