import { expect } from '@playwright/test';
import { type KITCHEN, toBottle } from './begun.ts';
import { test, unfold } from './fixtures.ts';

test('a fridge without power for a night: bottles are shortened, the stove says so, somebody is told', {
  tag: '@dates',
}, async ({ page, server }) => {
  test.slow();
  await toBottle(server);
  const { kitchen, version } = await server.api<{ kitchen: typeof KITCHEN; version: number }>(
    'GET',
    '/kitchen',
  );
  await server.api('PUT', '/kitchen', {
    version,
    kitchen: { ...kitchen, messageTo: [{ id: 'n', name: 'No. 9', kinds: ['warm', 'due'] }] },
  });
  await page.goto(`${server.url}/batches/batch/stove`);
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
  const logger = { kind: 'fridgeLogger', name: 'Logger', batchId: null, lost: false, tareKg: 0 };
  await server.api('PUT', '/instruments/logger', logger);
  const readings = async () =>
    (await server.api<{ readings: unknown[] }>('GET', '/instruments/logger/readings')).readings.length;
  /** Lets time go by until the logger has read again. */
  const readAfter = async (minutes: number) => {
    const before = await readings();
    await server.pass(minutes);
    await expect.poll(readings, { timeout: 15_000 }).toBeGreaterThan(before);
  };
  await expect.poll(readings, { timeout: 15_000 }).toBeGreaterThan(0);
  await page.goto(`${server.url}/kitchen?part=practice`);
  await page.getByRole('button', { name: 'Cut its power' }).click();
  await expect(page.getByRole('button', { name: 'Its power is back' })).toBeVisible();
  // An hour at a time, so that the logger misses none for longer than two.
  for (let hour = 0; hour < 9; hour++) {
    await readAfter(60);
  }
  await page.getByRole('button', { name: 'Its power is back' }).click();
  await expect(page.getByRole('button', { name: 'Cut its power' })).toBeVisible();
  await readAfter(61);
  await page.goto(server.url);
  await expect(page.getByTestId('warm-night')).toContainText('The fridge was warm');
  await expect(page.getByTestId('warm-night')).toContainText(/It cost \d+ bottles/);
  await page.getByTestId('wants-a-look').getByRole('link', { name: 'cold shelf' }).click();
  await expect(page.getByTestId('shelf-line')).toContainText('it cost a bottle');
  await page.getByTestId('bottle').getByRole('link').first().click();
  await expect(page.getByTestId('bottle-reasons')).toContainText('A fridge that was too warm has cost');
  await expect(page.getByTestId('curve')).toContainText('By what the fridge was read at');
  await page.goto(`${server.url}/shelf?view=reminders`);
  await expect(page.getByTestId('reminders')).toContainText('The fridge was warm');
  await expect(page.getByTestId('outbox')).toContainText('to No. 9');
  await expect(page.getByTestId('outbox')).toContainText('The fridge was warm');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Into the calendar' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('cold-shelf.ics');
});

test("a place of the kitchen's own: a cellar with its temperature, offered where bottles go", async ({
  page,
  server,
}) => {
  await toBottle(server);
  await page.goto(`${server.url}/kitchen?part=cold`);
  await page.getByRole('button', { name: 'Add a place' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What you call it').fill('Under the stairs');
  await dialog.getByLabel('How cold, °C').fill('11');
  await dialog.getByLabel('It holds, L').fill('0');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('Between 0.5 and 2,000.')).toBeVisible();
  await dialog.getByLabel('It holds, L').fill('3');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText('Under the stairs, cellar')).toBeVisible();
  await page.goto(`${server.url}/batches/batch/stove`);
  const form = page.getByTestId('bottle-form');
  await unfold(page, 'they-go-to');
  await form.getByRole('button', { name: 'Under the stairs' }).click();
  // Three litres of room for nearly nine.
  await expect(form.getByTestId('fits')).toContainText('it does not hold them all');
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await page.getByTestId('bottle').getByRole('link').first().click();
  await expect(page.getByTestId('history')).toBeVisible();
  // A fridge is never taken out of a kitchen.
  await page.goto(`${server.url}/kitchen?part=cold`);
  await page.getByRole('button', { name: 'Change Fridge shelf' }).click();
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Take it out' })).toHaveCount(0);
});
