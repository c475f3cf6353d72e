import { begun } from './begun.ts';
import { expect, openTool, test } from './fixtures.ts';

test.use({ viewport: { width: 390, height: 844 }, ownProcess: true });

test('a steep survives a reload, another window and a killed server without losing a second', async ({
  page,
  server,
  context,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByRole('heading', { name: 'Steep' })).toBeVisible();
  const clock = page.getByTestId('clock');
  const end = await clock.getAttribute('data-end-ms');
  expect(Number(end)).toBeGreaterThan(server.nowMs());
  await expect(clock).toContainText('h:min');

  await page.reload();
  await expect(clock).toHaveAttribute('data-end-ms', end!);

  const other = await context.newPage();
  await other.goto(`${server.url}/batches/batch/stove`);
  await expect(other.getByTestId('clock')).toHaveAttribute('data-end-ms', end!);
  await other.close();

  // The server dies in the middle. The clock runs on; what is said meanwhile waits.
  await server.stop('SIGKILL');
  await expect(page.getByText('The kitchen server does not answer')).toBeVisible();
  await expect(clock).toHaveAttribute('data-end-ms', end!);
  await openTool(page, 'Add a timer');
  await page.getByRole('button', { name: 'Spice pot' }).click();
  await expect(page.getByTestId('small-clocks')).toContainText('Spice pot');
  await expect(page.getByText(/1 entry waits here/)).toBeVisible();

  await server.start();
  await expect(page.getByText('The kitchen server does not answer')).toBeHidden();
  await expect(clock).toHaveAttribute('data-end-ms', end!);
  await expect
    .poll(
      async () =>
        (await server.api<{ events: { kind: string }[] }>('GET', '/batches/batch')).events.filter(
          (e) => e.kind === 'clockStarted',
        ).length,
    )
    .toBe(1);
  await page.reload();
  await expect(clock).toHaveAttribute('data-end-ms', end!);
  await expect(page.getByTestId('small-clocks')).toContainText('Spice pot');

  // A thumb's width: nothing hangs over the side.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('the steep calls at its least, best and latest, in the page and in the tab', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('clock')).toBeVisible();
  await expect(page).toHaveTitle(/Steep · Big Ladle/);
  await server.pass(4 * 60 + 1);
  await expect(page.getByTestId('alarm')).toContainText('long enough to strain');
  await expect(page).toHaveTitle(/^\(!\)/);
  await page.getByRole('button', { name: 'OK' }).click();
  await expect(page.getByTestId('alarm')).toBeHidden();
  await server.pass(8 * 60);
  await expect(page.getByTestId('alarm')).toContainText('at its best now');
  await page.getByRole('button', { name: 'OK' }).click();
  await server.pass(6 * 60);
  await expect(page.getByTestId('alarm')).toContainText('latest');
});

test('“it boiled six minutes ago”', { tag: '@dates' }, async ({ page, server }) => {
  await begun(server, 'boil');
  await server.pass(8);
  await page.goto(`${server.url}/batches/batch/stove`);
  const end = Number(await page.getByTestId('clock').getAttribute('data-end-ms'));
  await openTool(page, 'Correct the start time');
  await page.getByTestId('retime-minutes').fill('14');
  await page.getByRole('button', { name: 'Set it' }).click();
  // Eight minutes had gone by; now it is fourteen.
  await expect
    .poll(async () =>
      Math.round((end - Number(await page.getByTestId('clock').getAttribute('data-end-ms'))) / 60_000),
    )
    .toBe(6);
});
