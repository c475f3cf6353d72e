import { ms, p95 } from './figures.mjs';
import { frameMs, scrollFrames } from './frames.mjs';

const ROUTES = [
  '/items',
  '/batches',
  '/fridge',
  '/items/gone',
  '/items/use',
  '/gifts',
  '/year',
  '/logbook',
  '/batches?status=done&drinks=lemongrass-ginger-mint',
];

async function answers(url) {
  const lines = [];
  for (const route of ROUTES) {
    const took = [];
    for (let i = 0; i < 60; i++) {
      const began = performance.now();
      await (await fetch(`${url}/api${route}`)).text();
      took.push(performance.now() - began);
    }
    lines.push(`${route} ${ms(p95(took))}`);
  }
  return `five years behind it ${lines.join(', ')} at the 95th percentile (aim under 100)`;
}

/** Until what the batches tell is read. @returns how long that took, ms. */
async function learnt(url) {
  const began = performance.now();
  while (performance.now() - began < 180_000) {
    const { waiting } = await (await fetch(`${url}/api/learning`)).json();
    if (waiting === 0) return performance.now() - began;
    await new Promise((done) => setTimeout(done, 500));
  }
  throw new Error('what the batches tell was never read');
}

/** A choice settled and taken back: each solves all that was read anew. */
async function solved(url) {
  const took = [];
  for (let i = 0; i < 10; i++) {
    const { version, choices } = await (await fetch(`${url}/api/learning`)).json();
    const held = i % 2 === 0 ? [{ id: 'strainLoss', factor: 1.1 }] : [];
    const began = performance.now();
    const answer = await fetch(`${url}/api/learning`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ version, choices: { ...choices, held } }),
    });
    await answer.text();
    if (!answer.ok) throw new Error(`PUT /learning: ${answer.status}`);
    took.push(performance.now() - began);
  }
  return p95(took);
}

/** The logbook: to its first rows, a drink looked for, four side by side. */
async function logbook(page, url) {
  const shown = { list: [], search: [], beside: [] };
  const until = (act, selector) =>
    page.evaluate(
      async ([what, wanted]) => {
        const began = performance.now();
        const find = document.querySelector('input[type="text"]');
        const put = (value) => {
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(find, value);
          find.dispatchEvent(new Event('input', { bubbles: true }));
        };
        const before = document.querySelector(wanted);
        if (what === 'search') put('deep hibiscus');
        else document.querySelector(what).click();
        const there = () => {
          const now = document.querySelector(wanted);
          return what === 'search' ? now && now !== before && /Deep hibiscus/.test(now.textContent) : now;
        };
        while (!there()) {
          if (performance.now() - began > 10_000) throw new Error(`${what} never led to ${wanted}`);
          await new Promise((done) => requestAnimationFrame(done));
        }
        if (what === 'search') put('');
        return performance.now() - began;
      },
      [act, selector],
    );
  const places = page.getByRole('navigation', { name: 'Places' });
  await page.goto(`${url}/logbook`);
  await page.getByTestId('made').first().waitFor();
  for (let i = 0; i < 11; i++) {
    await places.getByRole('link', { name: 'Cold shelf' }).click();
    await page.getByTestId('bottle').first().waitFor();
    shown.list.push(await until('nav[aria-label="Places"] a[href="/logbook"]', '[data-testid="made"]'));
    await page.getByTestId('made').first().waitFor();
    shown.search.push(await until('search', '[data-testid="made"]'));
    await page.waitForTimeout(200);
  }
  for (let i = 0; i < 5; i++) {
    await page.goto(`${url}/logbook`);
    await page.getByTestId('made').nth(4).waitFor();
    for (let n = 0; n < 4; n++)
      await page
        .getByTestId('made')
        .nth(n + 4 * i)
        .getByRole('checkbox')
        .check();
    shown.beside.push(await until('a[href^="/logbook/beside"]', '[data-testid="beside"] table'));
  }
  return `  logbook, from tap to shown  list ${ms(p95(shown.list))}, search ${ms(p95(shown.search))} (aim under 100), four side by side ${ms(p95(shown.beside))} (aim under 300)`;
}

/** A kitchen with 1,500 batches and 15,000 bottles behind it, of which 300 stand on the shelf. */
export async function fiveYears(browser, url, emptyUrl) {
  const reading = await learnt(url);
  const lines = [await answers(url)];
  lines.push(
    `  learning  600 batches read in ${ms(reading)} beside the requests, all solved anew in ${ms(await solved(url))} (aim under 500)`,
  );
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/shelf`);
  await page.getByTestId('bottle').first().waitFor();
  // From a tap on a place's name to its first row, both places having been there once.
  const places = page.getByRole('navigation', { name: 'Places' });
  const switchTo = (name, selector) =>
    page.evaluate(
      async ([label, wanted]) => {
        const link = [...document.querySelectorAll('nav[aria-label="Places"] a')].find(
          (a) => a.textContent === label,
        );
        const began = performance.now();
        link.click();
        while (!document.querySelector(wanted)) await new Promise((done) => requestAnimationFrame(done));
        return performance.now() - began;
      },
      [name, selector],
    );
  await places.getByRole('link', { name: 'Stove' }).click();
  await page.getByTestId('wants-a-look').getByText('bottles on the').waitFor();
  const shown = { shelf: [], stove: [] };
  for (let i = 0; i < 21; i++) {
    shown.shelf.push(await switchTo('Cold shelf', '[data-testid="bottle"]'));
    shown.stove.push(await switchTo('Stove', '[data-testid="wants-a-look"] a[href="/shelf"]'));
  }
  lines.push(
    `  from tap to shown  cold shelf ${ms(p95(shown.shelf))}, stove ${ms(p95(shown.stove))} at the 95th percentile (aim under 100)`,
  );
  await places.getByRole('link', { name: 'Cold shelf' }).click();
  await page.getByTestId('bottle').first().waitFor();
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  const height = await page.evaluate(() => document.documentElement.scrollHeight);
  const ours = await frameMs(page, scrollFrames);
  await page.goto(`${emptyUrl}/?height=${height}`);
  await page.getByRole('link', { name: 'Start a drink' }).waitFor();
  const empty = await frameMs(page, scrollFrames);
  lines.push(await logbook(page, url));
  await page.close();
  lines.push(
    `  the shelf scrolled ${ms(ours.middleMs, 1)} a frame at the 95th percentile, ${(ours.middleMs / empty.middleMs).toFixed(2)} × an empty page of the same height (aim 1.1), median of 3 times 3 s`,
  );
  return lines;
}
