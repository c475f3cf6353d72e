import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures.ts';

test.use({ demo: true });

test('what was made is looked through, opened, set side by side step by step, and taken along as CSV', async ({
  page,
  server,
}) => {
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
  const made = page.getByTestId('made');
  await expect(made.first()).toBeVisible();
  const all = await made.count();
  expect(all).toBeGreaterThan(1);
  const drink = (await made.last().getByRole('link').innerText()).trim();
  await page.getByLabel('Which drink?').fill(drink.slice(0, 8));
  await expect(made.first()).toContainText(new RegExp(drink.slice(0, 8), 'i'));
  await page.getByLabel('Which drink?').fill('nothing of the kind');
  await expect(page.getByText('Nothing like that was made.')).toBeVisible();
  await page.getByLabel('Which drink?').fill('');
  await expect(made).toHaveCount(all);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const [head, ...rows] = readFileSync(await file.path(), 'utf8')
    .trim()
    .split(/\r?\n/);
  expect(head).toBe('day,started,drink,litres,minutes,stopped,score,words');
  expect(rows.length).toBe(all);
  await expect(page.getByText('Choose two to four')).toBeVisible();
  await made.nth(0).getByRole('checkbox').check();
  await made.nth(1).getByRole('checkbox').check();
  await page.getByRole('link', { name: 'Side by side' }).click();
  const beside = page.getByTestId('beside');
  await expect(beside.getByRole('columnheader')).toHaveCount(2);
  const bottles = beside.getByRole('row', { name: /^Made in all/ });
  await expect(bottles.getByRole('cell').first()).toContainText(/[\d.]+ L.*planned [\d.]+ L/s);
  await expect(beside.getByRole('row', { name: /^Strain/ }).first()).toContainText('planned');
  await beside.getByRole('columnheader').first().getByRole('link').click();
  await expect(page).toHaveURL(/\/batches\//);
});
