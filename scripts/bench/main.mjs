/**
 * `npm run bench`: simulate and solve per call, a month of readings, ranges in the worker, litres typed, an arrow
 * dragged, the first page beside an empty one, and a kitchen with five years behind it. Ends with 1 where the first
 * page weighs more than it may: that is the one figure that does not depend on the machine. With `-- --screens` the
 * core is left out.
 */
import { rmSync } from 'node:fs';
import path from 'node:path';
import {
  buildAll,
  CHROMIUM_FLAGS,
  ensureChromium,
  ensureInstalled,
  freePort,
  ROOT,
  run,
  say,
  startServer,
} from '../lib.mjs';
import { serveEmptyPage } from './emptyServer.mjs';
import { firstPage } from './firstPage.mjs';
import { fiveYears } from './fiveYears.mjs';
import { besideFirstPage, servedIn, sixDrinks } from './gathering.mjs';
import { plans } from './plan.mjs';
import { arrow, twoWindows } from './stove.mjs';

await ensureInstalled();
const executablePath = await ensureChromium();
await buildAll();
if (!process.argv.includes('--screens')) {
  // The core as it ships: bundled, so that no loader stands between.
  const bundled = await run(path.join(ROOT, 'node_modules/.bin/vite'), [
    'build',
    '-c',
    'scripts/bench/core.vite.config.ts',
    '--logLevel',
    'error',
  ]);
  if (bundled !== 0) process.exit(bundled);
  await run(process.execPath, ['.cache/bench/core.js']);
}

const { chromium } = await import('@playwright/test');
const empty = await serveEmptyPage();
const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS });

/** A server over data of its own, while `during` measures. */
async function withKitchen(name, options, during) {
  const dataDir = path.join(ROOT, `.cache/${name}`);
  rmSync(dataDir, { recursive: true, force: true });
  const { child, url } = await startServer({ dataDir, port: await freePort(), demo: true, ...options });
  try {
    await during(url);
  } finally {
    child.kill('SIGTERM');
  }
}

let within = true;
await withKitchen('bench-data', {}, async (url) => {
  await servedIn(url, 30);
  const first = await firstPage(browser, url, empty.url);
  within = first.within;
  for (const line of first.lines) say(line);
  say(await besideFirstPage(browser, url));
  await servedIn(url, 30);
  for (const line of await plans(browser, url)) say(line);
  say(await sixDrinks(browser, url));
  say(await arrow(browser, url, empty.url));
  say(await twoWindows(browser, url));
});
await withKitchen('bench-full', { history: true }, async (url) => {
  for (const line of await fiveYears(browser, url, empty.url)) say(line);
});
await browser.close();
empty.close();
process.exitCode = within ? 0 : 1;
