import { readFileSync } from 'node:fs';
import { BOOK } from '@big-ladle/core/book';
import { begun, KITCHEN, planFor, toTheBottles } from './begun.ts';
import { expect, openTool, test } from './fixtures.ts';
import { readPdf } from './pdf.ts';

/** Peel and core in water: nothing shows it to be acid. */
const PEEL = BOOK.find((r) => r.id === 'peel-core-infusion')!;
const LITRES = [
  {
    id: 'b1000',
    name: 'Litre bottle',
    volumeMl: 1000,
    diameterCm: 8.5,
    material: 'glass' as const,
    count: 14,
  },
];

test('a steep on the counter past its limit: called at the stove, no date, no label', {
  tag: '@dates',
}, async ({ page, server }) => {
  test.slow();
  await begun(server, 'steep', 'shortBoilLongSteep', PEEL, { steepMin: 480, steepPlace: 'counter' });
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('limit-line')).toContainText('It may stand there until');
  await server.pass(9 * 60);
  await expect(page.getByTestId('alarm').first()).toContainText('stood warm');
  await expect(page.getByTestId('limit-line')).toContainText('It has stood warm for too long');
  await expect(page.getByText('at its best now')).toHaveCount(0);
  // To the bottles all the same.
  await toTheBottles(server, (kind) => kind === 'steep');
  await expect(page.getByTestId('not-kept')).toContainText('Not to be kept');
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page.getByTestId('bottle').first()).toContainText('throw');
  await page.goto(`${server.url}/shelf/labels?batch=batch`);
  await expect(page.getByTestId('no-label')).toContainText('not to be kept');
});

test('a plan that must be thrown out says so, and is mended in one tap', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  const plan = planFor(9, 'shortBoilLongSteep', PEEL);
  await server.api('POST', '/batches', {
    id: 'batch',
    plan: { ...plan, choices: { ...plan.choices, steepMin: 480, steepPlace: 'counter' } },
  });
  await page.goto(`${server.url}/batches/batch`);
  const panel = page.getByTestId('not-to-be-kept');
  await expect(panel).toContainText('must be thrown out');
  await expect(page.getByRole('button', { name: 'Start anyway: not to be kept' })).toBeVisible();
  await panel.getByRole('button', { name: /^steeped for/ }).click();
  await expect(panel).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Start now' })).toBeVisible();
});

test('a cooling that is skipped after a night on the table: its hours have passed all the same', {
  tag: '@dates',
}, async ({ page, server }) => {
  await begun(server, 'cool', 'straightBoil', PEEL, { coolBy: 'counter' });
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('limit-line')).toContainText('It may stand there until');
  await server.pass(12 * 60);
  await expect(page.getByTestId('limit-line')).toContainText('It has stood warm for too long');
  const alarm = page.getByTestId('alarm').first();
  await expect(alarm).toContainText('stood warm');
  await alarm.getByRole('button', { name: 'OK' }).click();
  await openTool(page, 'Skip this');
  await expect(page.getByRole('heading', { name: 'Cool', exact: true })).toHaveCount(0);
  await toTheBottles(server, (kind) => kind === 'mix' || kind === 'sweeten');
  await expect(page.getByTestId('not-kept')).toContainText('while not shown to be acid');
});

test('bottles of a litre filled hot, into the fridge: their date is said before and after', {
  tag: '@dates',
}, async ({ page, server }) => {
  const kitchen = { ...KITCHEN, bottles: LITRES };
  await begun(server, 'bottle', 'straightBoil', BOOK[0]!, { coolBy: 'bottles' }, kitchen);
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('filled-warm')).toContainText('warm glass only');
  const promised = (await page.getByTestId('warm-date').innerText()).replace(/^.*: /, '').replace(/\.$/, '');
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page.getByTestId('bottle').first()).toContainText(promised);
  await page.getByTestId('bottle').first().getByRole('link').click();
  await expect(page.getByTestId('bottle-reasons')).toContainText('cost');
});

test.describe('half an hour before midnight, three and a half before the clocks go back', () => {
  test.use({ atMs: Date.parse('2026-10-24T23:30:00+02:00') });

  test('one bottle shows one date in eight places', { tag: '@dates' }, async ({ page, server }) => {
    test.slow();
    // Heated, acid: 7 days of 24 h from about half past ten, with the hour between: until Saturday evening.
    // The last whole day is Friday, 30 October.
    const kitchen = { ...KITCHEN, bottles: LITRES, zone: 'Europe/Berlin' };
    await begun(server, 'bottle', 'straightBoil', BOOK[0]!, {}, kitchen);
    await page.goto(`${server.url}/batches/batch/stove`);
    await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
    await page.getByRole('link', { name: 'Cold shelf' }).click();
    const day = /Fri(day)?,? 30/;
    await expect(page.getByTestId('bottle').first()).toContainText(day);
    await page.getByTestId('bottle').first().getByRole('link').click();
    await expect(page.getByRole('main')).toContainText(day);
    await page.goto(`${server.url}/batches/batch`);
    await expect(page.getByTestId('stage-figure-bottle').or(page.getByRole('main')).first()).toContainText(
      day,
    );
    await page.goto(`${server.url}/shelf/labels?batch=batch&sheet=roll-62x40`);
    await expect(page.getByTestId('sheet').first()).toContainText(day);
    const [pdf] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as PDF' }).click(),
    ]);
    const pages = await readPdf(new Uint8Array(readFileSync(await pdf.path())), []);
    for (const { text } of pages) expect(text).toMatch(day);
    await page.goto(`${server.url}/shelf?view=reminders`);
    await expect(page.getByTestId('reminders')).toContainText('8 bottlesFri 10:00');
    const [ics] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Into the calendar' }).click(),
    ]);
    expect(readFileSync(await ics.path(), 'utf8')).toContain('DTSTART:20261030T');
    const dates = (await server.archive()).dates as { drinkBy: string | null }[];
    expect(new Set(dates.map((d) => d.drinkBy))).toEqual(new Set(['2026-10-30']));
  });
});
