/** `npm run screenshots`: one picture of each main view from the demo's data, at a fixed time, into docs/screenshots. */
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import {
  buildAll,
  CHROMIUM_FLAGS,
  ensureChromium,
  ensureInstalled,
  freePort,
  ROOT,
  say,
  startServer,
} from './lib.mjs';

const NOON = Date.UTC(2026, 10, 24, 21, 12);
const TABLE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const VIEWS = [
  { name: 'stove', path: '/', size: TABLE },
  { name: 'drinks', path: '/drinks', size: TABLE },
  { name: 'recipe', path: '/drinks/calyx-pineapple', size: TABLE },
  {
    name: 'compare-methods',
    path: '/drinks/deep-calyx-ginger/compare',
    size: { width: 1280, height: 1100 },
    prepare: async (page) => {
      await page.getByRole('button', { name: 'double draw' }).click();
      await page.getByRole('img', { name: /Strength in calyx/ }).waitFor();
    },
  },
  {
    name: 'editor',
    path: '/drinks/write',
    size: { width: 1280, height: 1100 },
    prepare: async (page) => {
      await page.getByLabel('Its name').fill('Porch red');
      for (const text of ['200 g dried hibiscus', '3 thumbs of ginger, sliced', 'honey', '2 limes, juiced']) {
        await page.getByTestId('add-line').fill(text);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
      }
    },
  },
  {
    name: 'paste',
    path: '/drinks/paste',
    size: TABLE,
    prepare: async (page) => {
      await page
        .getByTestId('paste-text')
        .fill(
          'Red drink for a full table\n\n2 cups dried sorrel\n3 thumbs of ginger, grated\n10 cups water\n1 1/2 cups brown sugar\n\nBring to a boil and simmer 20 minutes. Strain. Stir in the sugar. Bottle.',
        );
      await page.getByTestId('pasted-line').first().waitFor();
    },
  },
  {
    name: 'several-vessels',
    path: '/new/pineapple-ginger?stage=draw',
    size: { width: 1280, height: 1100 },
  },
  { name: 'shopping', path: '/shopping', size: TABLE },
  { name: 'new-batch-size', path: '/new/deep-calyx-ginger?method=shortBoilLongSteep', size: TABLE },
  {
    name: 'new-batch-draw',
    path: '/new/deep-calyx-ginger?method=shortBoilLongSteep&stage=draw',
    size: TABLE,
  },
  {
    name: 'new-batch-balance',
    path: '/new/deep-calyx-ginger?method=shortBoilLongSteep&stage=balance',
    size: TABLE,
  },
  { name: 'batch', path: '/batches/demo-steeping', size: TABLE },
  { name: 'at-the-stove-phone', path: '/batches/demo-steeping/stove', size: PHONE },
  {
    name: 'strain-and-measure-phone',
    path: '/batches/demo-steeping/stove',
    size: PHONE,
    prepare: async (page) => {
      await page.getByTestId('done').click();
      await page.getByRole('heading', { name: 'Strain' }).waitFor();
      await page.getByRole('button', { name: 'One jug more' }).click({ clickCount: 8 });
    },
  },
  {
    name: 'sweeten-phone',
    path: '/batches/demo-steeping/stove',
    size: PHONE,
    prepare: async (page) => {
      await page.getByTestId('done').click();
      await page.getByTestId('sweeten-form').waitFor();
      await page.getByTestId('dose').click();
    },
  },
  {
    name: 'bottle-phone',
    path: '/batches/demo-steeping/stove',
    size: PHONE,
    prepare: async (page) => {
      await page.getByTestId('done').click();
      await page.getByTestId('bottle-form').waitFor();
    },
  },
  { name: 'cold-shelf', path: '/shelf', size: TABLE },
  {
    name: 'bottle-reasons',
    path: '/shelf',
    size: TABLE,
    prepare: async (page) => {
      await page.getByTestId('bottle').nth(1).getByRole('button').click();
      await page.getByRole('dialog').waitFor();
    },
  },
  { name: 'kitchen', path: '/kitchen', size: TABLE },
];

await ensureInstalled();
const executablePath = await ensureChromium();
await buildAll();
const out = path.join(ROOT, 'docs/screenshots');
const dataDir = path.join(ROOT, '.cache/screenshot-data');
rmSync(dataDir, { recursive: true, force: true });
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
process.env.TZ = 'UTC';
process.env.LADLE_DEMO_NOW = String(NOON);
const { child, url } = await startServer({ dataDir, port: await freePort(), demo: true, test: true });
await fetch(`${url}/api/test/clock`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify({ nowMs: NOON, stopped: true }),
});
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS });
for (const view of VIEWS) {
  const context = await browser.newContext({
    viewport: view.size,
    locale: 'en-GB',
    timezoneId: 'UTC',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.clock.setFixedTime(NOON);
  await page.goto(`${url}${view.path}`);
  await page.locator('[data-page-title]').waitFor();
  await view.prepare?.(page);
  await page.evaluate(() => document.fonts.ready);
  await page.mouse.move(0, 0);
  await page.screenshot({ path: path.join(out, `${view.name}.png`) });
  say(`docs/screenshots/${view.name}.png`);
  await context.close();
}
await browser.close();
child.kill('SIGTERM');
