import { kB, median, ms } from './figures.mjs';
import { visit } from './firstPage.mjs';
import { longest, watchTasks } from './plan.mjs';

const DAY_MS = 86_400_000;
const DRINKS = 6;

const apiOf = (url) => async (method, path, body) => {
  const answer = await fetch(`${url}/api${path}`, {
    method,
    headers: { 'Content-Type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
};

/** The demo's gathering served in so many days: the stove's board tells of one that is near. */
export async function servedIn(url, days) {
  const api = apiOf(url);
  const { gatherings } = await api('GET', '/gatherings');
  const { id, version, gathering } = gatherings.find((g) => g.id === 'demo-supper');
  const { nowMs } = await api('GET', '/time');
  const by = nowMs + days * DAY_MS - gathering.servesAtMs;
  await api('PUT', `/gatherings/${id}`, {
    version,
    gathering: {
      ...gathering,
      servesAtMs: gathering.servesAtMs + by,
      untilMs: gathering.untilMs + by,
      helpers: gathering.helpers.map((h) => ({ ...h, fromMs: h.fromMs + by, toMs: h.toMs + by })),
    },
  });
}

/** What a gathering that is near brings beside the first page. */
export async function besideFirstPage(browser, url) {
  const clock = (page) => page.getByTestId('home-clock').first().waitFor();
  const weigh = async () => (await visit(browser, url, clock, clock)).bytes;
  await servedIn(url, 30);
  const without = await weigh();
  await servedIn(url, 2);
  const near = await weigh();
  return `a gathering that is near, beside the first page: ${kB(near - without)}`;
}

/** Six drinks of the book for forty guests: the first hours, good ones, and how long the screen stood still meanwhile. */
export async function sixDrinks(browser, url) {
  const api = apiOf(url);
  const { gatherings } = await api('GET', '/gatherings');
  const { gathering } = gatherings.find((g) => g.id === 'demo-supper');
  const { nowMs } = await api('GET', '/time');
  const servesAtMs = Math.ceil((nowMs + 4 * DAY_MS) / 3_600_000) * 3_600_000;
  const page = await browser.newPage({ viewport: { width: 1280, height: 1600 } });
  await api('PUT', '/gatherings/bench', {
    version: 0,
    gathering: {
      ...gathering,
      name: 'Six drinks',
      servesAtMs,
      untilMs: servesAtMs + 4 * 3_600_000,
      groups: [{ id: 'g', name: 'guests', least: 40, most: 40, age: 'adult', rules: [], thirst: 'usual' }],
      drinks: [],
      helpers: [],
      borrowed: { pots: 2, rings: 2, coldL: 60 },
    },
  });
  await page.goto(`${url}/gatherings/bench`);
  for (let drink = 0; drink < DRINKS; drink++) {
    await page.getByLabel('Add a drink of the book').click();
    await page
      .getByRole('listbox')
      .getByRole('option')
      .nth(drink * 2)
      .click();
    await page.getByTestId('settle-drink').nth(drink).waitFor();
  }
  await page.getByTestId('days-lanes').waitFor({ timeout: 60_000 });
  await page.getByText('Working it out').waitFor({ state: 'detached', timeout: 60_000 });
  const wholes = [];
  const held = [];
  for (let guests = 41; guests < 44; guests++) {
    await watchTasks(page);
    const group = page.getByLabel('at most').first();
    await group.fill(String(guests));
    const began = Date.now();
    await group.press('Enter');
    await page.getByText('Working it out').waitFor();
    await page.getByText('Working it out').waitFor({ state: 'detached', timeout: 60_000 });
    wholes.push(Date.now() - began);
    held.push(await longest(page));
  }
  await page.close();
  return `six drinks, forty guests: searched again in ${ms(median(wholes))}; the screen stood still ${ms(median(held))}, at most ${ms(Math.max(...held))} (aim under 50)`;
}
