import { begun, KITCHEN, planFor } from './begun.ts';
import { typeMoment } from './dateFields.ts';
import { atTheClock, expect, test } from './fixtures.ts';

test('two windows on one batch agree without a reload', async ({ page, server, context }) => {
  await begun(server, 'boil');
  const other = await context.newPage();
  await page.goto(`${server.url}/batches/batch/stove`);
  await other.goto(`${server.url}/batches/batch/stove`);
  await expect(other.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(other.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await other.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
});

test('two windows editing one plan: the later sees both and chooses', async ({ page, server, context }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await server.api('POST', '/batches', { id: 'plan', plan: planFor(6) });
  // Two browsers, so that neither draft is the other's.
  const browser = await context.browser()!.newContext({ locale: 'en-GB', timezoneId: 'UTC' });
  await atTheClock(browser, server);
  const second = await browser.newPage();
  for (const p of [page, second]) {
    await p.goto(`${server.url}/batches/plan`);
    await expect(p.getByTestId('wish-now')).toHaveText('6.0 L in bottles');
  }
  await second.getByTestId('wish-litres').fill('8');
  await expect(second.getByTestId('wish-now')).toHaveText('8.0 L in bottles');
  await page.getByTestId('wish-litres').fill('7');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByRole('button', { name: 'Save changes' })).toBeHidden();
  await second.getByRole('button', { name: 'Save changes' }).click();
  await expect(second.getByTestId('conflict')).toContainText('There: 7.0 L');
  await expect(second.getByTestId('conflict')).toContainText('Here: 8.0 L');
  await expect(second.getByTestId('wish-now')).toHaveText('8.0 L in bottles');
  await second.getByRole('button', { name: 'Keep mine' }).click();
  await second.getByRole('button', { name: 'Save changes' }).click();
  await expect
    .poll(
      async () =>
        (await server.api<{ batch: { plan: { question: { litres: number } } } }>('GET', '/batches/plan'))
          .batch.plan.question.litres,
    )
    .toBe(8);
  await second.context().close();
});

test('a plan is kept with its start, and waits on the stove', { tag: '@dates' }, async ({ page, server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/peel-core-infusion?method=straightBoil`);
  await typeMoment(page, 'Ready by', new Date(server.nowMs() + 3 * 86_400_000).toISOString().slice(0, 16));
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('button', { name: 'Delete this plan' })).toBeVisible();
  await page.getByRole('link', { name: 'Stove', exact: true }).click();
  await expect(page.getByText(/start by/)).toBeVisible();
  await page.getByRole('link', { name: /Peel & core infusion/ }).click();
  await page.getByRole('button', { name: 'Delete this plan' }).click();
  await expect(page.getByText('No plans.')).toBeVisible();
});

test('shopping is ticked off on two devices, and put away', async ({ page, server, context }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/calyx-pineapple?method=straightBoil`);
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('button', { name: 'Delete this plan' })).toBeVisible();
  await page.getByRole('link', { name: 'Shopping' }).click();
  const other = await context.newPage();
  await other.goto(`${server.url}/shopping`);
  const bought = (window: typeof page, what: string) =>
    window.getByRole('checkbox', { name: `Bought: ${what}` });
  await bought(page, 'Pineapple').check();
  await expect(bought(other, 'Pineapple')).toBeChecked();
  await bought(other, 'Dried hibiscus, whole').check();
  await expect(bought(page, 'Dried hibiscus, whole')).toBeChecked();
  await expect(page.getByTestId('bought')).toContainText(/^2 of \d+ bought$/);
  // In the market the server is out of reach: what is ticked off waits on the device, also through a reload.
  await other.route('**/api/stock/**', (route) => route.abort());
  await bought(other, 'Ginger, sliced').check();
  await expect(other.getByTestId('stock-waits')).toBeVisible();
  await other.reload();
  await expect(other.getByTestId('stock-waits')).toBeVisible();
  await other.unroute('**/api/stock/**');
  await expect(bought(page, 'Ginger, sliced')).toBeChecked();
  await expect(bought(other, 'Ginger, sliced')).toBeChecked();
  await expect(other.getByTestId('stock-waits')).toBeHidden();
  await bought(page, 'Ginger, sliced').uncheck();
  // A slip is taken back where it was not made.
  await bought(page, 'Dried hibiscus, whole').uncheck();
  await expect(bought(other, 'Dried hibiscus, whole')).not.toBeChecked();
  await other.getByRole('button', { name: 'Put away what I bought' }).click();
  await expect(page.getByTestId('buy-pineapple')).toContainText('nothing, it is in the house');
  await expect(page.getByTestId('buy-hibiscus-dried')).toContainText('1 × 250 g');
});
