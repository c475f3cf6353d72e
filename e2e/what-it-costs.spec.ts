import { expect, test } from './fixtures.ts';

test.use({ demo: true });

/** A figure of a row of the table, by its way. */
const figures = async (row: import('@playwright/test').Locator): Promise<number[]> =>
  (await row.getByRole('cell').allInnerTexts()).map((text) => Number.parseFloat(text));

test('what a plan costs: things by their prices, heat by the bill, a cheap and a dear way; the cheap one is taken', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/kitchen?part=house`);
  // The demo's gas is billed by the cubic metre, 10.5 kWh: as dear by the kilowatt-hour.
  await page.getByLabel('Gas costs').fill('2.1');
  await page.getByLabel('Gas costs').press('Enter');
  const put = (itemId: string, price: number, packG: number | null) =>
    server.api('PUT', `/stock/${itemId}`, { inHouseG: 0, packG, price });
  await put('sugar-cane-raw', 2.4, 500);
  await put('orange', 0.5, null);
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByTestId('plan-cost').getByText('Costs', { exact: true }).click();
  const table = page.getByTestId('cost').getByRole('table');
  await expect(table).toContainText('straight boil');
  const heat = table.getByRole('row', { name: /^Heat/ });
  const [money] = await figures(heat);
  const kWh = Number.parseFloat(/([\d.]+) kWh/.exec(await heat.innerText())![1]!);
  // 2.10 for 10.5 kWh is 0.20 each.
  expect(Math.abs(money! - 0.2 * kWh)).toBeLessThan(0.02);
  const [now, cheap, dear] = await figures(table.getByRole('row', { name: /^In all/ }));
  expect(cheap!).toBeLessThan(now!);
  expect(dear!).toBeGreaterThan(now!);
  await table.getByRole('button', { name: 'Make it so' }).first().click();
  await expect
    .poll(async () => (await figures(table.getByRole('row', { name: /^In all/ })))[0])
    .toBeCloseTo(cheap!, 1);
  await expect(page.getByText('✓ chosen').first()).toBeVisible();
});

test('a yearly feast that is far off says what is sown, picked and ordered by when; all of it with its ice is counted', async ({
  page,
  server,
}) => {
  type Stored = {
    gatherings: { id: string; version: number; gathering: { servesAtMs: number; untilMs: number } }[];
  };
  const { gatherings } = await server.api<Stored>('GET', '/gatherings');
  const { version, gathering } = gatherings.find((g) => g.id === 'demo-supper')!;
  const later = 300 * 24 * 3_600_000;
  await server.api('PUT', '/gatherings/demo-supper', {
    version,
    gathering: {
      ...gathering,
      yearly: true,
      servesAtMs: gathering.servesAtMs + later,
      untilMs: gathering.untilMs + later,
    },
  });
  await page.goto(`${server.url}/gatherings/demo-supper`);
  const seasons = page.getByTestId('seasons');
  await expect(seasons).toContainText('Hibiscus, dried, for Melon hibiscus');
  await expect(seasons).toContainText(
    /Sow it by .*2027, pick it by .*2027 and dry it, use it by .*2028, or order it by/,
  );
  await expect(seasons).toContainText('Lemongrass');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    seasons.getByRole('button', { name: 'Into the calendar' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.ics$/);
  await page.getByTestId('gathering-cost').getByText('Costs', { exact: true }).click();
  const cost = page.getByTestId('cost');
  await expect(cost.getByRole('row', { name: /^Ice for the glasses/ })).toBeVisible();
  await expect(cost.getByRole('row', { name: /^For a guest/ })).toBeVisible();
  await expect(cost.getByTestId('unpriced')).toContainText('Honey');
});
