import type { Page } from '@playwright/test';
import { violations } from './axe.ts';
import { begun } from './begun.ts';
import { expect, test } from './fixtures.ts';

const ml = async (page: Page, testId: string): Promise<number> =>
  Number.parseFloat((await page.getByTestId(testId).innerText()).replace(/,/g, ''));

test.describe('a glass of a bottle', () => {
  test.use({ demo: true });

  test('a jug mixed to a strength over ice, then a glass poured, warm, and small ones', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/shelf/demo-raw-1`);
    await page.getByRole('link', { name: 'Serve a glass' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('A glass of Hibiscus & pineapple');
    // As it is: nothing but the drink.
    expect(await ml(page, 'drink-ml')).toBe(200);
    await expect(page.getByTestId('glass-is')).toContainText('As strong as in the bottle');
    await page.getByRole('button', { name: 'a jug' }).click();
    const strength = page.getByRole('slider', { name: 'How strong, beside the bottle' });
    await strength.focus();
    // From as strong as it can be down to six tenths, in steps of a twentieth.
    for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowLeft');
    expect(await ml(page, 'drink-ml')).toBe(900);
    expect(await ml(page, 'mixer-ml')).toBe(600);
    // Ten cubes are 200 g: 218 mL of room, 70 mL that melt. 0.6 · (1500 − 218 + 70) = 811.
    for (let i = 0; i < 10; i++) await page.getByRole('button', { name: 'A cube more' }).click();
    await expect(page.getByTestId('ice')).toHaveText('Ice: 10 cubes');
    expect(await ml(page, 'drink-ml')).toBe(811);
    expect(await ml(page, 'mixer-ml')).toBe(471);
    await expect(page.getByTestId('glass-is')).toContainText('60 % of its strength');
    // The bottle does not hold so much: it is said, and by how much.
    await expect(page.locator('main')).toContainText('must come from another');
    expect(await violations(page)).toEqual([]);
    // A glass: poured with a tap, from the bottle; its life follows.
    await page.getByRole('button', { name: 'a glass', exact: true }).click();
    // As strong as it was asked for the jug: six tenths of 200 mL.
    expect(await ml(page, 'drink-ml')).toBe(120);
    await page.getByTestId('pour').click();
    await expect(page.getByTestId('poured')).toContainText('poured');
    await page.getByRole('link', { name: 'The bottle' }).click();
    await expect(page.getByText('120 mL poured')).toBeVisible();
    // Frozen it pours nothing: it thaws first.
    await page.getByRole('button', { name: 'Frozen', exact: true }).click();
    await page.getByRole('link', { name: 'Serve a glass' }).click();
    await expect(page.getByRole('alert')).toContainText('Thaw it in the fridge');
    await expect(page.getByTestId('pour')).toHaveCount(0);
    await page.getByRole('link', { name: 'The bottle' }).click();
    await page.getByRole('button', { name: 'Into the fridge to thaw' }).click();
    await page.getByRole('link', { name: 'Serve a glass' }).click();
    // Warm: no ice, its note, another garnish.
    await page.getByRole('button', { name: 'warm', exact: true }).click();
    await expect(page.getByTestId('warm-note')).toContainText('does not go back into the bottle');
    await expect(page.getByRole('button', { name: 'A cube more' })).toHaveCount(0);
    await page.getByRole('button', { name: 'a small glass' }).click();
    await expect(page.getByTestId('small-servings')).toContainText(
      /\d+ small glasses are left\. One a day: until/,
    );
    await expect(page.getByTestId('small-servings')).toContainText('Stop with its date');
  });
});

test('a sharper crop, tasted before any sugar, wants more of it; a slip is taken back', async ({
  page,
  server,
}) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/stove`);
  const dose = page.getByTestId('dose-line');
  const planned = await dose.innerText();
  await page.getByRole('button', { name: 'sharper', exact: true }).click();
  await expect(page.getByTestId('crop-result')).toContainText('A sharper crop wants more sugar');
  await expect(dose).not.toHaveText(planned);
  await page.getByRole('button', { name: 'as usual', exact: true }).click();
  await expect(dose).toHaveText(planned);
  await page.getByTestId('dose').click();
  // Once there is sugar in it, it is tasted for that.
  await expect(page.getByRole('button', { name: 'not sweet enough' })).toBeVisible();
});

test('over ice: so much more sugar, taken into the sweetening with a tap', async ({ page, server }) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/balance`);
  await page.getByRole('button', { name: 'a full glass' }).click();
  await expect(page.getByTestId('for-ice')).toContainText(
    /To taste as sweet over this ice: [\d.]+ k?g more sugar/,
  );
  const answer = page.getByTestId('answer');
  const gramsToAdd = async (): Promise<number> => {
    const [, figure = '', unit] = /([\d.]+) (k?g) in all/.exec(await answer.innerText()) ?? [];
    return Number.parseFloat(figure) * (unit === 'kg' ? 1000 : 1);
  };
  const without = await gramsToAdd();
  // Nothing is sweetened yet: for the ice it wants more than that, never less; once, however often it is tapped.
  await page.getByRole('button', { name: 'Sweeten it for this ice' }).click();
  await expect(page.getByTestId('for-ice')).toContainText('Sweetened for this ice');
  await expect.poll(gramsToAdd).toBeGreaterThan(without);
  await page.getByRole('button', { name: 'Back to without ice' }).click();
  await expect.poll(gramsToAdd).toBe(without);
});
