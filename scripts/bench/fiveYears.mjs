import { ms, p95 } from './figures.mjs';
import { frameMs, scrollFrames } from './frames.mjs';

const ROUTES = ['/items', '/batches', '/fridge', '/items/gone', '/items/use', '/gifts'];

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

/** A kitchen with 1,500 batches and 15,000 bottles behind it, of which 300 stand on the shelf. */
export async function fiveYears(browser, url, emptyUrl) {
  const lines = [await answers(url)];
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
  await page.waitForLoadState('networkidle');
  const height = await page.evaluate(() => document.documentElement.scrollHeight);
  const ours = await frameMs(page, scrollFrames);
  await page.goto(`${emptyUrl}/?height=${height}`);
  await page.getByRole('link', { name: 'Start a drink' }).waitFor();
  const empty = await frameMs(page, scrollFrames);
  await page.close();
  lines.push(
    `  the shelf scrolled ${ms(ours.middleMs, 1)} a frame at the 95th percentile, ${(ours.middleMs / empty.middleMs).toFixed(2)} × an empty page of the same height (aim 1.1), median of 3 times 3 s`,
  );
  return lines;
}
