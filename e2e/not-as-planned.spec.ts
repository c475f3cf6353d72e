import { BOOK } from '@big-ladle/core/book';
import type { Page } from '@playwright/test';
import { begun, KITCHEN } from './begun.ts';
import { expect, figure, openTool, test, unfold } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

test.use({ viewport: { width: 390, height: 844 } });

const somethingElse = async (page: Page, what: string) => {
  await openTool(page, 'Something else');
  await page.getByTestId('something-else').getByRole('button', { name: what, exact: true }).click();
};
const eventsOf = async (server: KitchenServer) =>
  (
    await server.api<{ events: { kind: string; atMs: number; body: Record<string, unknown> }[] }>(
      'GET',
      '/batches/batch',
    )
  ).events;

test('the flame goes out: the clock stands still, and goes on when it is back', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  const clock = page.getByTestId('clock');
  const endMs = async () => Number(await clock.getAttribute('data-end-ms'));
  await expect(clock).toBeVisible();
  const before = await endMs();
  await server.pass(10);
  await somethingElse(page, 'not as planned');
  await page.getByRole('button', { name: 'since 5 min' }).click();
  const out = page.getByTestId('flame-out');
  await expect(out).toContainText('The clock stands still');
  await expect(out).toContainText('5 min ago');
  await expect(clock).toHaveCount(0);
  await server.pass(15);
  await expect(out).toContainText('20 min ago');
  await page.getByRole('button', { name: 'The flame is back' }).click();
  await expect(clock).toBeVisible();
  // Twenty minutes without a flame, and some to get back to the boil.
  const later = ((await endMs()) - before) / 60_000;
  expect(later).toBeGreaterThan(20);
  expect(later).toBeLessThan(40);
  await page.getByRole('button', { name: /^Undo: the flame is back/ }).click();
  await expect(out).toBeVisible();
  await page.getByRole('button', { name: /^Undo: the flame went out/ }).click();
  await expect(out).toHaveCount(0);
  await expect.poll(endMs).toBe(before);
});

test('guests are here: strained now, the rest boiled again, and what they drink is told', async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await page.goto(`${server.url}/batches/batch/stove`);
  await page.getByRole('button', { name: 'Guests are here' }).click();
  const guests = page.getByTestId('guests');
  await expect(guests).toContainText('Strained now');
  await expect(guests).toContainText('g/L');
  await expect(guests).toContainText('The second boil by itself');
  await guests.getByRole('button', { name: '3 L' }).click();
  await guests.getByRole('button', { name: 'Strain now, then boil the rest again' }).click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.getByTestId('done').click();
  // The steps of the second boil follow, with their water.
  await expect(page.getByTestId('amounts')).toContainText('3.0 L water');
  await somethingElse(page, 'served');
  await openTool(page, 'Something else');
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Bring to the boil' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Cool' })).toBeVisible();
  await somethingElse(page, 'served');
  await page.getByRole('button', { name: '2.0 L', exact: true }).click();
  await expect(page.getByTestId('changed')).toContainText('instead of');
  await expect.poll(async () => (await eventsOf(server)).at(-1)?.kind).toBe('removed');
  expect((await eventsOf(server)).map((e) => e.kind)).toContain('strainedEarly');
  await page.goto(`${server.url}/batches/batch`);
  await page.getByRole('button', { name: /^All \d+ entries/ }).click();
  await expect(page.getByTestId('log')).toContainText('strained early, once more with 3.0 L');
  await expect(page.getByTestId('log')).toContainText('served: 2.00 L less');
});

test('less ginger went in: the line takes what really did, and a tap takes it back', async ({
  page,
  server,
}) => {
  await begun(server, 'heat');
  await page.goto(`${server.url}/batches/batch/stove`);
  await somethingElse(page, 'swapped, or less of it');
  await page
    .getByTestId('something-else')
    .getByRole('button', { name: /^Ginger/ })
    .click();
  await page.getByTestId('swap-grams').fill('20');
  await page.getByRole('button', { name: 'That went in' }).click();
  await expect.poll(async () => (await eventsOf(server)).some((e) => e.kind === 'swapped')).toBe(true);
  await page.goto(`${server.url}/batches/batch?stage=size`);
  await expect(page.getByText(/20 g/).first()).toBeVisible();
  await expect(page.getByTestId('log')).toContainText('really went in: 20 g');
  await page.getByRole('button', { name: /^Undo: really went in/ }).click();
  await expect(page.getByTestId('log')).not.toContainText('really went in');
});

test('juice by the fruit: how many more, and the sourness follows what came out', async ({
  page,
  server,
}) => {
  await begun(server, 'mix', 'straightBoil', BOOK.find((r) => r.id === 'lemongrass-ginger-mint')!);
  await page.goto(`${server.url}/batches/batch/stove`);
  const squeeze = page.getByTestId('squeeze');
  await expect(squeeze).toContainText('Wanted');
  const wantedMl = Number(/([\d,]+) mL/.exec((await squeeze.innerText()).replace(/,/g, ''))![1]);
  for (let i = 0; i < 3; i++) await squeeze.getByRole('button', { name: 'One fruit more' }).click();
  await squeeze.getByTestId('juice-ml').fill('60');
  // 20 mL a fruit: the rest of what is wanted, in whole fruit.
  await expect(page.getByTestId('how-many-more')).toContainText('20 mL a fruit');
  await expect(page.getByTestId('how-many-more')).toContainText(
    `${Math.ceil((wantedMl - 60) / 20)} more like them`,
  );
  const sour = async () => {
    await page.goto(`${server.url}/batches/batch?stage=balance`);
    return figure(page, 'figure-ta');
  };
  const before = await sour();
  await page.goto(`${server.url}/batches/batch/stove`);
  await squeeze.getByTestId('juice-ml').fill('60');
  await squeeze.getByRole('button', { name: 'Go on with what there is' }).click();
  await expect(squeeze).toContainText('Counted on with: 60 mL');
  expect(await sour()).toBeLessThan(before);
});

test('the timetable on a sheet of its own', { tag: '@dates' }, async ({ page, server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.addInitScript(() => {
    window.print = () => undefined;
  });
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await unfold(page, 'hour-by-hour');
  await page.getByTestId('hour-by-hour').getByRole('button', { name: 'Print' }).click();
  const sheet = page.getByTestId('timetable-sheet');
  await expect(sheet).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  await expect(sheet).toBeVisible();
  await expect(sheet).toContainText('Bring to the boil');
  await expect(page.getByTestId('hour-by-hour')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(sheet).toHaveCount(0);
});
