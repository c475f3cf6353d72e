import { KITCHEN, toTheBottles } from './begun.ts';
import { expect, test } from './fixtures.ts';

const CARD = `Porch red
Makes 1 gallon

6 oz dried hibiscus
1 lb 4 oz ginger, sliced
1 1/4 gallons water
2 cups sugar

Bring the water to a boil, add the ginger and simmer 20 minutes. Take it off the heat, add the hibiscus and steep for
30 minutes. Strain and stir in the sugar.`;

test('a kitchen of US measures: from a pasted card to the label, every figure in quarts, ounces and °F', async ({
  page,
  server,
}) => {
  const { version } = await server.api<{ version: number }>('GET', '/kitchen');
  await server.api('PUT', '/kitchen', { version, kitchen: KITCHEN });
  await page.goto(`${server.url}/kitchen?part=measures`);
  await page.getByRole('combobox', { name: 'Units' }).selectOption('us');
  await expect(page.getByRole('combobox', { name: 'Heat' })).toHaveValue('fahrenheit');
  await expect(page.locator('main')).toContainText('236.6 mL');
  // A cup is weighed in ounces, by whatever the scale says.
  await page.getByRole('button', { name: 'Add a measure' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What you call it').fill('Porch mug');
  await dialog.getByLabel('It holds, fl oz').fill('12');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('main')).toContainText('Porch mug');
  expect((await server.api<{ kitchen: typeof KITCHEN }>('GET', '/kitchen')).kitchen.measures).toEqual([
    expect.objectContaining({ name: 'Porch mug', volumeMl: expect.closeTo(354.9, 1) }),
  ]);

  await page.goto(`${server.url}/drinks/paste`);
  await page.getByTestId('paste-text').fill(CARD);
  const line = (name: string) => page.getByTestId('pasted-line').filter({ hasText: name });
  await expect(line('hibiscus')).toContainText('6.0 oz');
  await expect(line('Ginger')).toContainText('1 lb 4.0 oz');
  await page.getByRole('button', { name: 'Take it to the editor' }).click();
  await page.getByLabel('Its name').fill('Porch red');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByTestId('recipe-text')).toContainText('oz dried hibiscus');
  await page.getByRole('link', { name: 'Start' }).click();

  // Typed in another unit than the field shows.
  const wish = page.getByTestId('wish-litres');
  await wish.fill('1 gal');
  await wish.blur();
  await expect(wish).toHaveValue('4');
  await expect(page.locator('main')).toContainText('4.0 qt in bottles');
  await expect(page.getByTestId('vessel')).toContainText('qt');
  await expect(page.getByTestId('vessel')).toContainText('in');
  await expect(page.getByTestId('ingredient-list')).not.toContainText(/\d (L|mL|cm|kg)\b/);
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  await expect(page.locator('main')).not.toContainText(/\d °C|\d (L|mL|cm|kg)\b/);
  const id = /batches\/([^/]+)/.exec(page.url())![1]!;
  await toTheBottles(server, () => true, id);
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await expect(page.getByTestId('stove-end')).toBeVisible();
  await page.goto(`${server.url}/shelf/labels?batch=${id}`);
  await expect(page.getByTestId('sheet')).toContainText('keep cold, at most 41 °F');
});
