import { readFileSync } from 'node:fs';
import { chanceScene, photograph } from '../core/src/instruments/spoon/renderSpoon.fixtures.ts';
import { expect, test, unfold } from './fixtures.ts';

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
  await page.getByLabel('Drink or word').fill(drink.slice(0, 8));
  await expect(made.first()).toContainText(new RegExp(drink.slice(0, 8), 'i'));
  await page.getByLabel('Drink or word').fill('nothing of the kind');
  await expect(page.getByText('Nothing like that was made.')).toBeVisible();
  await page.getByLabel('Drink or word').fill('');
  await expect(made).toHaveCount(all);
  // What was wished, expected and made of it; how sweet it is; where it went.
  await expect(made.last()).toContainText(/5\.\d L.*wished 6\.0 L, expected 6\.0 L/s);
  await expect(made.last()).toContainText(/3 h \d\d.*8\.\d g in 100 g/s);
  await expect(made.last()).toContainText(/0\.3 L drunk, 0\.7 L frozen, 4\.8 L still there/);
  await page.getByRole('combobox', { name: 'In order' }).selectOption('the dearest litre first');
  const dearest = await made.getByText(/ a litre$/).allInnerTexts();
  const figures = dearest.map((text) => Number.parseFloat(text));
  expect(figures.length).toBe(all);
  expect(figures).toEqual([...figures].sort((a, b) => b - a));
  await page.getByRole('checkbox', { name: 'only what some was thrown out of' }).check();
  await expect(made).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'only what some was thrown out of' }).uncheck();
  await page.getByRole('combobox', { name: 'When in the year' }).selectOption('Jun to Aug');
  await expect(made).toHaveCount(0);
  await page.getByRole('combobox', { name: 'When in the year' }).selectOption('At any time');
  await page.getByRole('combobox', { name: 'In order' }).selectOption('the newest first');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const [head, ...rows] = readFileSync(await file.path(), 'utf8')
    .trim()
    .split(/\r?\n/);
  expect(head).toBe(
    [
      'day,started,drink,wished_litres,expected_litres,litres,minutes,stopped,sweetness_g_in_100_g,score,words,cost',
      'drunk_litres,given_litres,frozen_litres,thrown_out_litres,still_there_litres,lasted_days',
    ].join(),
  );
  expect(rows.length).toBe(all);
  await expect(page.getByText('Choose two to four')).toBeVisible();
  await made.nth(0).getByRole('checkbox').check();
  await made.nth(1).getByRole('checkbox').check();
  await page.getByRole('link', { name: 'Side by side' }).click();
  const beside = page.getByTestId('beside');
  await expect(beside.getByRole('columnheader')).toHaveCount(2);
  const bottles = beside.getByRole('row', { name: /^Made in all/ });
  await expect(bottles.getByRole('cell').first()).toContainText(/[\d.]+ L.*planned [\d.]+ L/s);
  const steps = page.getByTestId('beside-steps');
  await expect(steps.getByRole('row', { name: /^Strain/ }).first()).toContainText('planned');
  // The spoon of the one that was photographed.
  const spoons = beside.getByRole('row', { name: /^Its spoon/ }).getByRole('cell');
  await expect(spoons.first()).toHaveText('not photographed');
  const ids = new URL(page.url()).searchParams.get('ids')!.split(',');
  const { file: spoon } = photograph(chanceScene(3, 40, 0));
  await page.request.post(
    `${server.url}/api/photos?id=spoon&of=batch&ofId=${ids[0]}&what=spoon&takenMs=${server.nowMs()}`,
    { headers: { 'Content-Type': 'image/jpeg' }, data: Buffer.from(spoon) },
  );
  await expect(spoons.first().getByRole('img')).toHaveAttribute('alt', /^Photo: the spoon/);
  await expect(spoons.nth(1)).toHaveText('not photographed');
  // Both over their hours: water at the boil, and the most there was before it was strained.
  const traces = page.getByTestId('traces').getByRole('img');
  await expect(traces).toHaveAttribute('aria-label', /(.*: (99|100|101) °C at its warmest, after 1 h){2}/);
  await page.getByRole('button', { name: 'How much', exact: true }).click();
  await expect(traces).toHaveAttribute('aria-label', /3\.\d L at its most.*6\.\d L at its most/);
  await beside.getByRole('columnheader').first().getByRole('link').click();
  await expect(page).toHaveURL(/\/batches\//);
});

test('a batch that was given up says so beside others; without the server that is said, and tried again they come', async ({
  page,
  server,
}) => {
  const stopped = { rest: 'pouredAway', code: 'stop.fell' };
  const stream = { kind: 'batch', id: 'demo-steeping' };
  const envelope = { id: 'up', stream, v: 1, atMs: server.nowMs(), deviceId: 'd', deviceSeq: 1 };
  await server.api('POST', '/events', { events: [{ ...envelope, kind: 'stopped', body: stopped }] });
  await page.goto(`${server.url}/logbook`);
  const made = page.getByTestId('made');
  await expect(made.filter({ hasText: 'stopped' })).toContainText('not filled into bottles');
  await page.route('**/api/batches/**', (route) => route.abort());
  for (const i of [0, 1]) await made.nth(i).getByRole('checkbox').check();
  await page.getByRole('link', { name: 'Side by side' }).click();
  await expect(page.getByRole('alert')).toContainText('The kitchen server does not answer');
  await page.unroute('**/api/batches/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  const otherwise = page.getByTestId('beside').getByRole('row', { name: /^What went otherwise/ });
  await expect(otherwise.getByRole('cell').first()).toContainText('Given up on the way.');
});

test('a year says what was made, what it cost, and what would have spared what was thrown out', async ({
  page,
  server,
}) => {
  // A quarter of a litre was poured from it before.
  const at = server.nowMs() - 60_000;
  const stream = { kind: 'item', id: 'demo-bottle-1' };
  const discarded = { id: 'gone', stream, v: 1, atMs: at, deviceId: 'd', deviceSeq: 1, kind: 'discarded' };
  await server.api('POST', '/events', { events: [{ ...discarded, body: { why: 'flat' } }] });
  await page.goto(`${server.url}/logbook`);
  await page.getByRole('link', { name: 'This year' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The year 2026');
  await expect(page.getByTestId('year-batches')).toHaveText('2');
  await expect(page.getByTestId('year-money')).not.toHaveText('0.00');
  await expect(page.getByTestId('year-drinks')).toContainText(/Deep hibiscus & ginger.*one batch/s);
  await expect(page.getByTestId('avoid-smallerBottles')).toContainText(
    /0\.5 L were left in bottles that had been opened.*They cost \d/s,
  );
  await page.goto(`${server.url}/logbook/year?of=2001`);
  await expect(page.getByText('Nothing was made in that year.')).toBeVisible();
  await page.getByRole('button', { name: '2026' }).click();
  await expect(page.getByTestId('year-batches')).toHaveText('2');
});

test('what the batches have told of this kitchen is said, from how many, and how surely', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/logbook`);
  await page.getByRole('link', { name: 'What this kitchen has taught' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What this kitchen has taught');
  // Two batches of the demo were made to their end, in a kitchen whose ring is weaker and whose ice cools less well.
  await expect(page.getByTestId('learnt-first')).toContainText(/Heat is lost \d+ % more slowly in ice water/);
  const learnt = page.getByTestId('learnt');
  await expect(page.getByTestId('learnt-power:big-ring')).toContainText(
    /Big gas ring gives \d+ % less heat than it says.*fairly sure: give or take \d+ %, from one batch/s,
  );
  await learnt.getByText('Not known better than by the book yet').click();
  await expect(page.getByTestId('learnt-press:press')).toContainText('What stays in the sieve, pressed');
});

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('two batches are set side by side, and a spoon is read and one refused, by thumb', async ({
    page,
    server,
  }) => {
    const widthOf = () => page.evaluate(() => document.documentElement.scrollWidth);
    await page.goto(`${server.url}/logbook`);
    const made = page.getByTestId('made');
    await expect(made.first()).toContainText(/wished [\d.]+ L, expected [\d.]+ L/);
    expect(await widthOf()).toBeLessThanOrEqual(390);
    for (const i of [0, 1]) await made.nth(i).getByRole('checkbox').tap();
    await page.getByRole('link', { name: 'Side by side' }).tap();
    await expect(page.getByTestId('traces').getByRole('img')).toHaveAttribute('aria-label', /at its warmest/);
    await page.getByRole('button', { name: 'How much', exact: true }).tap();
    await expect(page.getByTestId('traces').getByRole('img')).toHaveAttribute('aria-label', /at its most/);
    expect(await widthOf()).toBeLessThanOrEqual(390);

    await page.goto(`${server.url}/batches/demo-steeping/stove`);
    for (const fold of ['signs', 'spoon-photos-fold', 'read-spoon-fold']) await unfold(page, fold);
    const dialog = page.getByTestId('photo-dialog');
    const result = page.getByTestId('spoon-result');
    for (const { window, says } of [
      { window: true, says: 'Something shines in the drink' },
      { window: false, says: 'It can be read' },
    ]) {
      const shot = photograph({ ...chanceScene(5, 35, 9), brownGPerL: 35, exposure: 0.6, window });
      await page
        .getByTestId('read-spoon')
        .getByTestId('photo-file')
        .setInputFiles({ name: 'spoon.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(shot.file) });
      await dialog.getByRole('button', { name: '9', exact: true }).tap();
      const seen = page.getByTestId('spoon-picture');
      const { width, height } = (await seen.boundingBox())!;
      for (const { x, y } of [shot.white, shot.drink])
        await seen.tap({ position: { x: (x / shot.width) * width, y: (y / shot.height) * height } });
      await expect(result).toContainText(says);
      await dialog.getByRole('button', { name: 'Keep it' }).tap();
      await expect(dialog).toHaveCount(0);
    }
    await expect(page.getByTestId('spoon-photos').getByText('This spoon')).toBeVisible();
  });
});

test.describe('a kitchen in which nothing was made', () => {
  test.use({ demo: false });
  test('says that nothing is learnt yet', async ({ page, server }) => {
    await page.goto(`${server.url}/logbook/learnt`);
    await expect(page.getByText('Nothing yet: it is learnt from batches')).toBeVisible();
  });
});
