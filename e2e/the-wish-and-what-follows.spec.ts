import { KITCHEN } from './begun.ts';
import { typeMoment } from './dateFields.ts';
import { expect, figure, test } from './fixtures.ts';

test.beforeEach(async ({ server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
});

/** Everything the page says of the batch, read off it. */
async function readPage(page: import('@playwright/test').Page) {
  const vessel = page.getByTestId('vessel').first();
  return {
    wishL: await figure(page, 'wish-now'),
    liquorPx: (await vessel
      .getByTestId('liquor')
      .evaluate((e) => (e as SVGRectElement).height.baseVal.value)) as number,
    pxPerCm: Number(await vessel.getAttribute('data-px-per-cm')),
    said: (await vessel.getAttribute('aria-label')) ?? '',
    listG: await page
      .getByTestId('ingredient-list')
      .locator('[data-mass-g]')
      .evaluateAll((es) => es.map((e) => Number((e as HTMLElement).dataset.massG))),
    inL: await page
      .locator('[data-testid^="ledger-in-"] [data-litres]')
      .evaluateAll((es) => es.reduce((s, e) => s + Number((e as HTMLElement).dataset.litres), 0)),
    outL: await page
      .locator('[data-testid^="ledger-out-"] [data-litres]')
      .evaluateAll((es) => es.reduce((s, e) => s + Number((e as HTMLElement).dataset.litres), 0)),
    finishedL: Number(
      await page.locator('[data-testid="ledger-finished"] [data-litres]').getAttribute('data-litres'),
    ),
  };
}

test('drawing, ledger, list and solver agree while the wish is dragged', async ({ page, server }) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  const slider = page.getByRole('slider', { name: 'Amount in bottles' });
  const track = (await page.locator('.MuiSlider-root').first().boundingBox())!;
  await page.mouse.move(track.x + track.width * 0.5, track.y + track.height / 2);
  await page.mouse.down();
  const seen: number[] = [];
  for (const share of [0.3, 0.38, 0.45, 0.52, 0.6]) {
    await page.mouse.move(track.x + track.width * share, track.y + track.height / 2, { steps: 4 });
    const value = Number(await slider.inputValue());
    await expect.poll(() => figure(page, 'wish-now')).toBeCloseTo(value, 1);
    const now = await readPage(page);
    // The liquor's height is the level that the trace has, within a pixel.
    const levelCm = Number(/stands at ([\d.]+) cm/.exec(now.said)![1]);
    expect(Math.abs(now.liquorPx - levelCm * now.pxPerCm)).toBeLessThan(1);
    // The ledger adds up to what is in bottles, and that is the wish.
    expect(now.inL - now.outL).toBeCloseTo(now.finishedL, 4);
    expect(Math.abs(now.finishedL / value - 1)).toBeLessThan(0.005);
    // 300 g of calyx for 9 L.
    expect(now.listG[0]).toBeCloseTo((300 * value) / 9, 3);
    seen.push(now.liquorPx);
  }
  await page.mouse.up();
  expect(new Set(seen.map((v) => Math.round(v))).size).toBe(5);
});

test('a pot too small says by how much, and offers fills, another pot, or less', async ({ page, server }) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByRole('combobox', { name: 'Pot' }).selectOption('small');
  const problem = page.getByTestId('plan-problem');
  await expect(problem).toContainText(
    /\d\.\d L too much for the Small pot in one pot load: it takes \d\.\d L/,
  );
  await expect(page.getByRole('button', { name: 'Start now' })).toBeDisabled();
  // What several fills cost in time is worked out beside the screen.
  const fills = page.getByRole('button', { name: /Make it in \d pot loads, .* in all/ });
  await expect(fills).toBeVisible();
  await fills.click();
  await expect(problem).toBeHidden();
  await expect(page.getByTestId('limit')).toContainText('pot loads');
  await expect(page.getByTestId('wish-now')).toHaveText('9.0 L in bottles');
  await page.getByRole('combobox', { name: 'Pot' }).selectOption('small');
  await page.reload();
  // A reload keeps what was chosen.
  await expect(page.getByRole('combobox', { name: 'Pot' })).toHaveValue('small');
});

test('the four questions, and which limit set the size', async ({ page, server }) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByRole('button', { name: 'A full pot' }).click();
  await expect(page.getByTestId('limit')).toContainText('Foam set the size');
  await expect(page.getByTestId('stage-figure-size')).toHaveText(/100\s*% full/);
  await page.getByRole('button', { name: 'For so many people' }).click();
  await page.getByTestId('people').fill('10');
  await page.getByTestId('glasses-each').fill('2');
  await page.getByLabel('A glass').fill('250');
  await expect(page.getByTestId('wish-now')).toHaveText('5.0 L in bottles');
  await page.getByRole('button', { name: 'Use up what I have' }).click();
  await page.getByTestId('use-up-amount').fill('200');
  await expect(page.getByTestId('limit')).toContainText('What you have set the size');
  await expect(page.getByTestId('wish-now')).toHaveText('6.0 L in bottles');
});

test('every stage opens by keyboard, and its choices move the figures', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  // A date rounded down to its day hides an hour or two at some hours: this is none of them.
  await server.setClock(Date.UTC(2026, 10, 25, 10));
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=shortBoilLongSteep`);
  await page.getByRole('tab', { name: /Size/ }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: /Boil/ })).toBeFocused();
  await expect(page).toHaveURL(/stage=draw/);
  const keep = await page.getByTestId('stage-figure-keep').innerText();
  await page.getByRole('button', { name: 'on the counter' }).click();
  await expect(page.getByText('Hours on the counter cost days of keeping').first()).toBeVisible();
  await expect(page.getByTestId('stage-figure-keep')).not.toHaveText(keep);
  await page.keyboard.press('Tab');
  await page.getByRole('tab', { name: /Balance/ }).click();
  const before = await figure(page, 'figure-brix');
  await page.getByRole('slider', { name: /Sweetness aimed at/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect.poll(() => figure(page, 'figure-brix')).toBeLessThan(before - 0.5);
  expect(await figure(page, 'figure-glass-sugar')).toBeGreaterThan(5);
  await page.getByRole('tab', { name: /Keep/ }).click();
  await expect(page.getByTestId('keep-reasons')).toContainText('All of it was heated');
});

test('ready by: the start follows, and a start that has passed is said', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  const now = server.nowMs();
  const field = (ms: number) => new Date(ms).toISOString().slice(0, 16);
  await typeMoment(page, 'Ready by', field(now + 2 * 86_400_000));
  await expect(page.getByTestId('start-by')).toContainText('start by');
  await typeMoment(page, 'Ready by', field(now + 30 * 60_000));
  await expect(page.getByTestId('start-by')).toContainText('too late by');
});

test('ready in a far year is a slip: it is said at once, and nothing hangs', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await typeMoment(page, 'Ready by', '9026-11-28T18:00');
  await expect(page.getByTestId('far-ahead')).toContainText('choose an earlier day');
  await expect(page.getByTestId('start-by')).toBeHidden();
  await page.reload();
  await expect(page.getByTestId('far-ahead')).toBeVisible();
  await typeMoment(page, 'Ready by', '2026-11-28T18:00');
  await expect(page.getByTestId('start-by')).toContainText('start by');
});
