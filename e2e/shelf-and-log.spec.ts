import { readFileSync } from 'node:fs';
import { expect, test } from './kitchenServer.ts';

test.use({ demo: true });

test('a bottle taken out and put back, a glass poured: its life follows', async ({ page, server }) => {
  await page.goto(`${server.url}/shelf`);
  await expect(page.getByTestId('bottle')).toHaveCount(8);
  await page.getByTestId('bottle').last().getByRole('button').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('720 mL left');
  const before = await page.getByTestId('bottle-deadline').innerText();
  await dialog.getByRole('button', { name: 'Taken out of the fridge' }).click();
  await expect(dialog.getByRole('button', { name: 'Put back in the fridge' })).toBeVisible();
  await server.pass(6 * 60);
  await expect(page.getByTestId('bottle-reasons')).toContainText('Warm hours have cost');
  await dialog.getByRole('button', { name: 'Put back in the fridge' }).click();
  await expect(page.getByTestId('bottle-deadline')).not.toHaveText(before);
  await dialog.getByRole('button', { name: 'A glass poured' }).click();
  await expect(dialog).toContainText('520 mL left');
  await expect(dialog.getByRole('button', { name: 'Opened now' })).toBeHidden();
  // The address holds the bottle; going back closes it.
  await expect(page).toHaveURL(/bottle=/);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
});

test('a note is left in the log of a batch, and the newest entry can be taken back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/batches/demo-steeping`);
  await page.getByLabel('A note').fill('less clove next time');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('less clove next time')).toBeVisible();
  await page.reload();
  await expect(page.getByText('less clove next time')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: less clove next time' }).click();
  await expect(page.getByText('less clove next time')).toBeHidden();
});

test('the stove shows what is on, what is next, what is planned and what wants a look', async ({
  page,
  server,
}) => {
  await page.goto(server.url);
  await expect(page.getByTestId('on-pot')).toContainText('Deep calyx & ginger');
  await expect(page.getByTestId('home-clock')).toContainText('6:4');
  await expect(page.getByText('past its date: throw out')).toBeVisible();
  await expect(page.getByText('drink today')).toBeVisible();
  await expect(page.getByText(/start by/)).toBeVisible();
  await page.getByTestId('on-pot').click();
  await expect(page.getByRole('heading', { name: 'Steep' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'On the stove' })).toBeVisible();
});

test('an address that leads nowhere says so, and an unknown batch too', async ({ page, server }) => {
  await page.goto(`${server.url}/attic`);
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await page.goto(`${server.url}/batches/none`);
  await expect(page.getByText('There is no batch with the id none.')).toBeVisible();
});

test('a finished batch is there as plain text, with what really went in', async ({ page, server }) => {
  await page.goto(`${server.url}/batches/demo-shelf?stage=size`);
  const text = page.getByTestId('recipe-text');
  await expect(text).toContainText('What goes in');
  await expect(text).toContainText(/g\) raw cane sugar/);
  await expect(text).toContainText(/1\. /);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as text' }).click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toBe(await text.textContent());
});
