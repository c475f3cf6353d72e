import { expect, figure, shownBottles, test, unfold } from './fixtures.ts';

test('from an empty kitchen to dated bottles, with the mouse', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await page.goto(server.url);

  // First run: a pot, and more about it for who has measured it.
  await expect(page.getByRole('heading', { name: /^Cook herbal drinks/ })).toBeVisible();
  await page.getByText('More about the pot and its ring').click();
  await page.getByLabel('What you call it').fill('Blue pot');
  await page.getByLabel('Width inside').fill('30');
  await page.getByLabel('Height inside').fill('24');
  await page.getByLabel('It is made of').selectOption('enamel');
  await expect(page.getByTestId('pot-holds')).toHaveText('17.0 L when full');
  await page.getByRole('button', { name: /^See all/ }).click();

  // Choose and size.
  await page.getByRole('link', { name: 'Start Deep hibiscus & ginger' }).click();
  await expect(page.getByRole('heading', { name: 'Deep hibiscus & ginger' })).toBeVisible();
  await expect(page.getByTestId('wish-now')).toHaveText('9.0 L in bottles');
  await page.getByRole('tab', { name: /Boil/ }).click();
  await page.getByRole('button', { name: 'straight boil' }).click();
  await page.getByRole('tab', { name: /Size/ }).click();
  await page.getByTestId('wish-litres').fill('6');
  await expect(page.getByTestId('wish-now')).toHaveText('6.0 L in bottles');
  await expect(page.getByTestId('line-calyx')).toContainText('200 g');
  const wanted = await figure(page, 'stage-figure-strain');
  await page.getByRole('button', { name: 'Start now' }).click();

  // At the stove.
  await page.getByTestId('ready').click();
  await expect(page.getByRole('heading', { name: 'Sort' })).toBeVisible();
  await server.pass(5);
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Wash until clear' })).toBeVisible();
  for (let i = 1; i <= 3; i++) {
    await page.getByRole('button', { name: 'Rinsed once', exact: true }).click();
    await expect(page.getByTestId('rinses')).toContainText(String(i));
  }
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Scrub the skins' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Cut and bruise' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Fill the pot' })).toBeVisible();
  await expect(page.getByTestId('amounts')).toContainText('dried hibiscus, whole, 200 g');
  await page.getByTestId('done').click();

  await expect(page.getByRole('heading', { name: 'Bring to the boil' })).toBeVisible();
  // Dangers stand open, the rest is one tap away.
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText('Stay by the pot');
  await server.pass(38);
  await page.getByRole('button', { name: 'It boils now' }).click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await expect(page.getByTestId('guidance')).toContainText('boils over in its first minute');
  // A tap too early is taken back.
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await expect(page.getByTestId('clock')).toContainText('min:s');
  await server.pass(26);
  await expect(page.getByTestId('alarm')).toContainText('time is up');
  await page.getByRole('button', { name: 'OK' }).click();
  await page.getByTestId('done').click();

  // Strain and measure: five jugs and a bit, hot.
  await page.getByRole('button', { name: 'One jug more' }).click({ clickCount: 5 });
  await expect(page.getByText('5 jugs')).toBeVisible();
  await page.getByTestId('measure-rest').fill('0.4');
  await page.getByRole('button', { name: 'hot, about' }).click();
  await page.getByRole('button', { name: 'Enter it' }).click();
  // It is a tenth less than was foreseen: read once more, it is so.
  await expect(page.getByTestId('far-off')).toContainText('Read it once more');
  await page.getByRole('button', { name: 'It is so, enter it' }).click();
  await expect(page.getByTestId('measured')).toContainText('5.40 L hot');
  await server.pass(15);
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Cool' })).toBeVisible();
  await server.pass(40);
  await page.getByTestId('done').click();

  // Sweeten in steps, tasting.
  await expect(page.getByRole('heading', { name: 'Sweeten by taste' })).toBeVisible();
  await unfold(page, 'sweet-figures');
  const before = await figure(page, 'sweet-now');
  await page.getByTestId('dose').click();
  await expect.poll(() => figure(page, 'sweet-now')).toBeGreaterThan(before + 3);
  await page.getByRole('button', { name: 'not sweet enough' }).click();
  await page.getByTestId('dose').click();
  await page.getByRole('button', { name: 'about right' }).click();
  await expect(page.getByTestId('taste-result')).toContainText('about right');
  await expect(page.getByText('as sweet as you aimed at')).toBeVisible();
  await page.getByTestId('done').click();

  // Bottle.
  await expect(page.getByRole('heading', { name: 'Bottle', exact: true })).toBeVisible();
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText('Not for the shelf');
  await expect(page.getByTestId('bottle-left')).toContainText('bottles, ');
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();

  // Done, and on the shelf, each with its date and its reasons.
  await expect(page.getByRole('heading', { name: /^Done: \d+ bottles$/ })).toBeVisible();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Cold shelf' })).toBeVisible();
  await expect(page.getByTestId('bottle').first()).toBeVisible();
  const bottles = await shownBottles(page);
  expect(bottles).toBeGreaterThanOrEqual(6);
  await page.getByTestId('bottle').first().getByRole('link').click();
  await expect(page.getByTestId('bottle-reasons')).toContainText(
    'All of it was heated: 7 days sealed, 5 days once open.',
  );
  await expect(page.getByTestId('bottle-reasons')).toContainText('estimated at pH 2.');
  await page.getByRole('button', { name: 'Opened now' }).click();
  await expect(page.getByTestId('bottle-reasons')).toContainText('Opened: 5 days from then.');
  await page.getByRole('button', { name: 'Finished' }).click();
  await expect(page.getByText(/^finished /)).toBeVisible();

  // The table: the ledger has the measured difference and still adds up.
  await page.goto(`${server.url}/shelf`);
  await expect.poll(() => shownBottles(page)).toBe(bottles - 1);
  await page.getByTestId('bottle').first().getByRole('link').click();
  await page.getByRole('link', { name: 'The batch it comes from' }).click();
  await page.getByRole('tab', { name: /Size/ }).click();
  await expect(page.getByTestId(/ledger-(in|out)-measured/)).toBeVisible();
  expect(wanted).toBeGreaterThan(5.4);
});

test('a bottle that stands past its date is told plainly', { tag: '@dates' }, async ({ page, server }) => {
  await server.stop();
  await server.start(true);
  await page.goto(`${server.url}/shelf`);
  await expect(page.getByText('1 bottle is past its time.')).toBeVisible();
  await expect(page.getByText('Do not taste to find out')).toBeVisible();
  await page.getByTestId('bottle').first().getByRole('link').click();
  await expect(page.getByTestId('bottle-deadline')).toContainText(/^past \d+ Nov/);
  await expect(page.getByTestId('bottle-reasons')).toContainText('Warm hours have cost');
  const deeds = page.getByTestId('deeds');
  // What is to be done stands first, in one tap.
  await deeds.getByTestId('throw-out').click();
  await expect(page.getByText(/thrown out .*past its date/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Cold shelf' }).last().click();
  await expect.poll(() => shownBottles(page)).toBe(14);
});
