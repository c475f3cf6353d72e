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

/** A gathering whose hours are not searched for any more. */
async function searched(page) {
  await page.getByTestId('timetable').waitFor({ timeout: 60_000 });
  await page.getByText('Working it out').waitFor({ state: 'detached', timeout: 60_000 });
}

const VIEWS = [
  {
    name: 'stove',
    path: '/',
    size: TABLE,
    before: async (url) => {
      await tell(url, 'demo-steeping', [
        { kind: 'clockStarted', body: { clockId: 'peel', label: 'Peel soak', minutes: 20 } },
        { kind: 'clockStarted', body: { clockId: 'glass', label: 'Bottles in hot water', minutes: 35 } },
      ]);
    },
    prepare: async (page) => {
      await page.getByTestId('on-pot').first().waitFor();
      await page.getByTestId('warm-night').waitFor();
      // Plans are worked out beside the page.
      await page
        .getByText(/start by/)
        .first()
        .waitFor();
    },
  },
  {
    name: 'drinks',
    path: '/drinks',
    size: TABLE,
    // The hours and colours of each are worked out beside the page.
    prepare: (page) =>
      page
        .getByText(/in all$/)
        .first()
        .waitFor(),
  },
  { name: 'recipe', path: '/drinks/calyx-pineapple', size: TABLE },
  {
    name: 'editor',
    path: '/drinks/write',
    size: { width: 1280, height: 1250 },
    prepare: async (page) => {
      await page.getByLabel('Its name').fill('Porch red');
      for (const text of ['200 g dried hibiscus', '3 thumbs of ginger, sliced', 'honey', '2 limes, juiced']) {
        await page.getByTestId('add-line').fill(text);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
      }
      await page.getByTestId('lanes-toggle').click();
      await page.getByTestId('lanes').waitFor();
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
  { name: 'shopping', path: '/shopping', size: TABLE },
  {
    name: 'new-batch-size',
    path: '/new/deep-calyx-ginger?method=shortBoilLongSteep',
    size: TABLE,
    prepare: (page) => page.getByTestId('ways-choice').getByRole('radio').first().waitFor(),
  },
  {
    name: 'spoon',
    path: '/batches/demo-steeping/stove',
    size: TABLE,
    prepare: async (page) => {
      for (const fold of ['signs', 'spoon-photos-fold', 'read-spoon-fold'])
        await page.getByTestId(fold).locator('> summary').click();
      const jpeg = Buffer.from(await page.evaluate(drawSpoon), 'base64');
      await page
        .getByTestId('read-spoon')
        .getByTestId('photo-file')
        .setInputFiles({ name: 'spoon.jpg', mimeType: 'image/jpeg', buffer: jpeg });
      const picture = page.getByTestId('spoon-picture');
      await picture.locator('img').waitFor();
      const { width, height } = await picture.boundingBox();
      await picture.click({ position: { x: 0.24 * width, y: 0.52 * height } });
      await picture.click({ position: { x: 0.45 * width, y: 0.52 * height } });
      await page.getByTestId('spoon-result').getByRole('alert').waitFor();
    },
  },
  { name: 'at-the-stove-phone', path: '/batches/demo-steeping/stove', size: PHONE, night: true },
  {
    name: 'logbook-learnt',
    path: '/logbook/learnt',
    size: TABLE,
    prepare: (page) => page.getByTestId('learnt-first').waitFor(),
  },
  {
    name: 'balance',
    path: '/batches/demo-steeping/balance',
    size: { width: 1280, height: 1000 },
    prepare: async (page) => {
      await page.getByTestId('way').nth(2).getByRole('button', { name: 'Show it' }).click();
      await page.getByRole('button', { name: 'some', exact: true }).click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  { name: 'cold-shelf', path: '/shelf', size: TABLE },
  {
    name: 'logbook-beside',
    path: '/logbook',
    size: { width: 1280, height: 1060 },
    prepare: async (page) => {
      for (const i of [0, 1]) await page.getByTestId('made').nth(i).getByRole('checkbox').check();
      await page.getByRole('link', { name: 'Side by side' }).click();
      await page.getByTestId('beside').getByRole('table').waitFor();
      await page.getByText('not photographed').nth(1).waitFor();
    },
  },
  {
    name: 'logbook',
    path: '/logbook',
    size: TABLE,
    prepare: (page) => page.getByTestId('made').first().waitFor(),
  },
  {
    name: 'labels',
    path: '/shelf/labels',
    size: TABLE,
    prepare: (page) => page.getByTestId('sheet').first().waitFor(),
  },
  {
    name: 'gathering',
    path: '/gatherings/demo-supper',
    size: TABLE,
    prepare: searched,
  },
  {
    name: 'gathering-days',
    path: '/gatherings/demo-supper',
    size: { width: 1280, height: 900 },
    prepare: async (page) => {
      await searched(page);
      await page.getByTestId('days').evaluate((days) => days.scrollIntoView());
    },
  },
  {
    name: 'gathering-day',
    path: '/gatherings/demo-supper/day',
    size: { width: 1280, height: 900 },
    prepare: (page) => page.getByTestId('day-next').waitFor({ timeout: 60_000 }),
  },
  { name: 'kitchen', path: '/kitchen', size: TABLE },
];

/** In the page: a white spoon on wood, with a thinned spoonful in it, as a JPEG in base64. */
function drawSpoon() {
  const canvas = document.createElement('canvas');
  canvas.width = 1200;
  canvas.height = 620;
  const c = canvas.getContext('2d');
  const fill = (style, draw) => {
    c.fillStyle = style;
    c.beginPath();
    draw();
    c.fill();
  };
  const shaded = (x, y, from, to, light, dark) => {
    const shade = c.createRadialGradient(x, y, from, x, y, to);
    shade.addColorStop(0, light);
    shade.addColorStop(1, dark);
    return shade;
  };
  fill('#8a6f58', () => c.rect(0, 0, 1200, 620));
  for (let y = 14; y < 620; y += 31) fill('rgba(60, 40, 25, 0.16)', () => c.rect(0, y, 1200, 3 + (y % 4)));
  fill('rgba(40, 25, 15, 0.35)', () => c.ellipse(520, 350, 300, 215, 0, 0, 7));
  fill('#d9d9d6', () => c.roundRect(740, 290, 460, 62, 30));
  fill(shaded(480, 290, 60, 420, '#dfdfdc', '#cfcfcc'), () => c.ellipse(510, 322, 292, 206, 0, 0, 7));
  fill(shaded(530, 320, 150, 240, '#c17399', '#dcb4c6'), () => c.ellipse(540, 330, 214, 146, 0, 0, 7));
  return canvas.toDataURL('image/jpeg', 0.9).split(',')[1];
}

/** Says deeds to a batch of the demo, as a device would. */
async function tell(url, batchId, deeds, why = 'shot') {
  const events = deeds.map((deed, i) => ({
    id: `${why}-${batchId}-${i}`,
    stream: { kind: 'batch', id: batchId },
    v: 1,
    atMs: NOON - 60_000 + i,
    deviceId: 'shots',
    deviceSeq: i,
    ...deed,
  }));
  await fetch(`${url}/api/events`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ events }),
  });
}

await ensureInstalled();
const executablePath = await ensureChromium();
await buildAll();
const out = path.join(ROOT, 'docs/screenshots');
const dataDir = path.join(ROOT, '.cache/screenshot-data');
rmSync(dataDir, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
process.env.TZ = 'UTC';
process.env.LADLE_TEST_NOW = String(NOON);
const { child, url } = await startServer({ dataDir, port: await freePort(), demo: true, test: true });
// What would move stands still, so that pictures can be compared.
await fetch(`${url}/api/test/clock`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify({ nowMs: NOON, stopped: true }),
});
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS });
// `npm run screenshots -- stove batch` takes these alone.
const wanted = process.argv.slice(2);
for (const view of VIEWS.filter(({ name }) => wanted.length === 0 || wanted.includes(name))) {
  const context = await browser.newContext({
    viewport: view.size,
    locale: 'en-GB',
    timezoneId: 'UTC',
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
    colorScheme: view.night ? 'dark' : 'light',
  });
  const page = await context.newPage();
  await page.clock.setFixedTime(NOON);
  await view.before?.(url);
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
