import { KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';

test.beforeEach(async ({ server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
});

test('two recipes litre for litre', async ({ page, server }) => {
  await page.goto(`${server.url}/drinks/two?a=deep-calyx-ginger&b=calyx-pineapple`);
  const table = page.getByTestId('two-table');
  // 300 g for 9 L and 190 g for 9 L.
  await expect(table.getByRole('row', { name: /Dried hibiscus/ })).toContainText('33 g');
  await expect(table.getByRole('row', { name: /Dried hibiscus/ })).toContainText('21 g');
  // Fresh and dried in one unit, by the method that is chosen.
  await page.goto(`${server.url}/drinks/two?a=deep-calyx-ginger&b=fresh-calyx-ginger&mb=straightBoil`);
  await expect(table.getByRole('row', { name: /Dried hibiscus/ })).toContainText(
    /as \d+ g \(\d+ g fresh hibiscus\)/,
  );
  await expect(table.getByRole('row', { name: /^by/ })).toContainText('straight boil');
});

test('what goes with what, before it is bought', async ({ page, server }) => {
  await page.goto(`${server.url}/drinks/facts/cranberry`);
  await expect(page.getByTestId('goes-with')).toContainText(
    'soured with cider vinegar; sweetened with maple syrup',
  );
});

test('water to cover, and what runs ahead in a big pot, are said at the line', async ({ page, server }) => {
  await page.goto(`${server.url}/drinks/write`);
  await page.getByLabel('Its name').fill('Covered red');
  const add = page.getByTestId('add-line');
  for (const text of ['200 g dried hibiscus', '4 g whole cloves']) {
    await add.fill(text);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(add).toHaveValue('');
  }
  const water = page.getByTestId('line-of-water');
  await water.getByRole('combobox', { name: 'Amount' }).click();
  await page.getByRole('option', { name: 'covers what is in the pot' }).click();
  await water.getByLabel('Above what it covers').fill('6');
  await page.getByTestId('line-of-clove-whole').getByRole('combobox', { name: 'Amount' }).click();
  await page.getByRole('option', { name: 'grows less than the litres' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  // The page on which it is written bears its name too: kept it stands at an address of its own.
  await expect(page).toHaveURL(/\/drinks\/(?!write)/);
  await expect(page.getByRole('heading', { name: 'Covered red' })).toBeVisible();
  const { recipes } = (await server.api('GET', '/recipes')) as {
    recipes: { name: string; lines: { itemId: string; rule: object }[] }[];
  };
  const kept = recipes.find((r) => r.name === 'Covered red')!;
  const ruleOf = (itemId: string) => kept.lines.find((l) => l.itemId === itemId)!.rule;
  expect(ruleOf('water')).toEqual({ kind: 'cover', plusCm: 6 });
  expect(ruleOf('clove-whole')).toEqual({ kind: 'power', exponent: 0.85 });
});

test('a part that stands ready on the shelf is poured in instead of made', async ({ page, server }) => {
  await page.goto(`${server.url}/new/pineapple-ginger?stage=draw`);
  await page
    .getByRole('group', { name: 'Spice brew' })
    .getByRole('button', { name: 'ready on the shelf' })
    .click();
  await expect(page.getByText('as raw as that')).toBeVisible();
  await page.getByRole('tab', { name: /Size/ }).click();
  await expect(page.getByTestId('shelf-jar-spice-liquor')).toContainText('Spice brew, from the shelf');
  await expect(page.getByTestId('line-cinnamon')).toHaveCount(0);
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  await expect(page.getByRole('heading', { name: 'Scrub the skins' })).toBeVisible();
  for (const next of ['Cut and bruise', 'Fill the pot']) {
    await page.getByTestId('done').click();
    await expect(page.getByRole('heading', { name: next })).toBeVisible();
  }
  await expect(page.getByText(/Pour in the spice brew from the shelf, [\d.]+ m?L/)).toBeVisible();
});
