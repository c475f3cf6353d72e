import { KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';

test.beforeEach(async ({ server, page }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/kitchen`);
});

test('a pot without size or name, or absurd, is told at its field; what was typed stays', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Add a pot' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Width inside, cm').fill('');
  await dialog.getByLabel('Height inside, cm').fill('-4');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('Give it a name')).toBeVisible();
  await expect(dialog.getByText('Between 8 and 80.')).toBeVisible();
  await expect(dialog.getByText('Between 4 and 80.')).toBeVisible();
  await expect(dialog.getByLabel('Height inside, cm')).toHaveValue('-4');
  await dialog.getByLabel('What you call it').fill('Soup pot');
  await dialog.getByLabel('Width inside, cm').fill('24,5');
  await dialog.getByLabel('Height inside, cm').fill('20');
  await expect(dialog.getByText('9.4 L when full')).toBeVisible();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Soup pot' })).toBeVisible();
});

test('“this cup weighs” changes the list of every plan not yet begun', async ({ page, server }) => {
  await page.goto(`${server.url}/kitchen?part=measures`);
  await page.getByRole('button', { name: 'Add a measure' }).click();
  await page.getByRole('dialog').getByLabel('What you call it').fill('blue mug');
  await page.getByRole('dialog').getByLabel('It holds, mL').fill('310');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await page.getByLabel('I reach for').selectOption({ label: 'blue mug' });
  await page.getByRole('button', { name: /This cup weighs/ }).click();
  await page.getByLabel('Weighs, g').fill('50');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('blue mug of dried hibiscus, whole')).toBeVisible();
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  // 300 g at 50 g a mug
  await expect(page.getByTestId('line-calyx')).toContainText('6 × blue mug');
  await expect(page.getByTestId('line-calyx')).toContainText('300 g');
});

test('US cups, a ring, bottles and the height above the sea', async ({ page, server }) => {
  await page.goto(`${server.url}/kitchen?part=measures`);
  await page.getByLabel('Units').selectOption('us');
  await expect(page.getByText('236.6 mL')).toBeVisible();
  await page.goto(`${server.url}/kitchen`);
  await page.getByRole('button', { name: 'Add a ring' }).click();
  await page.getByRole('dialog').getByLabel('What you call it').fill('Camp ring');
  await page.getByRole('dialog').getByLabel('Power, W').fill('1500');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('gas, 1,500 W')).toBeVisible();
  await page.getByRole('button', { name: 'Change Tall bottle' }).click();
  await page.getByRole('dialog').getByLabel('How many you have').fill('3');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('3 × 25.4 fl oz')).toBeVisible();
  await page.goto(`${server.url}/kitchen?part=cold`);
  // From 430 m below to 5,000 m above, in feet of 0.3048 m.
  await page.getByLabel('Height above the sea').fill('19999');
  await expect(page.getByText('Between -1,410 and 16,404.')).toBeVisible();
  await page.getByLabel('Height above the sea').fill('1500 m');
  await page.getByLabel('Height above the sea').blur();
  await expect
    .poll(
      async () => (await server.api<{ kitchen: { altitudeM: number } }>('GET', '/kitchen')).kitchen.altitudeM,
    )
    .toBe(1500);
});
