import { median, ms } from './figures.mjs';

/** From now on `window.blocked` holds how long each task held the screen; those under 50 ms count as none. */
export const watchTasks = (page) =>
  page.evaluate(() => {
    window.blocked = [];
    const from = performance.now();
    new PerformanceObserver((list) => {
      for (const task of list.getEntries()) if (task.startTime >= from) window.blocked.push(task.duration);
    }).observe({ type: 'longtask' });
  });
/** How long the longest of them was, ms. */
export const longest = (page) => page.evaluate(() => Math.max(0, ...window.blocked));

const DRINKS = ['deep-calyx-ginger', 'calyx-pineapple', 'calyx-apple-mint'];

async function planOf(browser, url, drink) {
  // So high that the ranges, worked out where they are looked at, stand beside the fields.
  const page = await browser.newPage({ viewport: { width: 1280, height: 3000 } });
  await page.goto(`${url}/new/${drink}`);
  await page.getByTestId('behind').locator('> summary').click();
  await page
    .locator('[data-testid="likely"][data-ready="true"]')
    .waitFor({ state: 'attached', timeout: 60_000 });
  return page;
}

/** From the end of a change to the likely ranges shown, with the longest the screen stood still meanwhile. */
async function ranges(browser, url, drink) {
  const page = await planOf(browser, url, drink);
  await page.getByTestId('wish-litres').fill('5');
  await page.locator('[data-testid="likely"][data-ready="false"]').waitFor({ state: 'attached' });
  const began = Date.now();
  await watchTasks(page);
  await page
    .locator('[data-testid="likely"][data-ready="true"]')
    .waitFor({ state: 'attached', timeout: 60_000 });
  const workMs = Date.now() - began;
  const blockedMs = await longest(page);
  await page.close();
  return `ranges, 5000 runs    ${workMs} ms with half a second of waiting for the change to end, ${drink} (aim under 2000); the screen stood still ${ms(blockedMs)} at most`;
}

/** Litres typed figure by figure: the longest that the screen stood still. */
async function typing(browser, url, drink) {
  const page = await planOf(browser, url, drink);
  const field = page.getByTestId('wish-litres');
  const held = [];
  for (const text of ['5', '7.5', '12', '8.25', '6']) {
    await field.fill('');
    await watchTasks(page);
    await field.pressSequentially(text, { delay: 120 });
    await page
      .locator('[data-testid="likely"][data-ready="true"]')
      .waitFor({ state: 'attached', timeout: 60_000 });
    held.push(await longest(page));
  }
  await page.close();
  return `litres typed         the screen stood still ${ms(median(held))}, at most ${ms(Math.max(...held))}, ${drink} (aim under 50; tasks under 50 ms count as none)`;
}

export async function plans(browser, url) {
  const lines = [];
  for (const drink of DRINKS) lines.push(await ranges(browser, url, drink));
  for (const drink of DRINKS) lines.push(await typing(browser, url, drink));
  return lines;
}
