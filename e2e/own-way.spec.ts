import type { Page } from '@playwright/test';
import { expect, test } from './kitchenServer.ts';

test.use({ demo: true });

/** Keys alone: to a control, and what is typed or chosen there. */
async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  await page.getByLabel(label).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Tab');
}
async function press(page: Page, name: string | RegExp): Promise<void> {
  await page.getByRole('button', { name }).first().focus();
  await page.keyboard.press('Enter');
}
/** An item of a list that opens, by its first letters. */
async function choose(page: Page, label: string | RegExp, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('listbox').getByRole('option', { name: option, exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox')).toHaveCount(0);
}

test('a drink of one’s own: boiled twice, the fruit lifted out, blended and pressed through; in her own words at the stove', async ({
  page,
  server,
}) => {
  test.slow();
  await page.goto(`${server.url}/drinks/write`);
  await type(page, 'Its name', 'Veranda red');
  const add = page.getByTestId('add-line');
  for (const text of ['150 g dried hibiscus', '1 kg pineapple flesh', '1 L water']) {
    await add.focus();
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await expect(add).toHaveValue('');
  }
  const steps = page.locator('ol > li[data-testid^="step-"]');
  const kinds = () => steps.evaluateAll((es) => es.map((e) => (e as HTMLElement).dataset.testid!.slice(5)));
  expect(await kinds()).toEqual(['combine', 'heat', 'boil', 'strain', 'cool', 'bottle']);
  // What comes after the boil is written anew, in its order: each goes in before the bottles.
  await press(page, 'Remove step 5, Cool');
  await press(page, 'Remove step 4, Strain');
  const names = [
    'Lift out',
    'Strain',
    'Fill the pot',
    'Bring to the boil',
    'Boil gently',
    'Strain',
    'Blend',
    'Strain',
    'Cool',
  ];
  for (const name of names) await choose(page, 'Add a step', name);
  expect(await kinds()).toEqual([
    ...['combine', 'heat', 'boil'],
    ...['lift', 'strain', 'combine', 'heat', 'boil', 'strain', 'blend', 'strain', 'cool', 'bottle'],
  ]);

  // The fruit goes in, is lifted out, and is taken again; the second water goes onto what was kept.
  const goesIn = (name: string, nth: number) =>
    page.getByLabel(`${name}: goes in with step`, { exact: true }).nth(nth);
  await goesIn('Pineapple flesh', 0).selectOption({ label: '4. Lift out' });
  await goesIn('Pineapple flesh', 1).selectOption({ label: '10. Blend' });
  await expect(page.getByTestId('step-lift').getByTestId('chip-pineapple-flesh')).toBeVisible();
  await expect(page.getByTestId('step-blend').getByTestId('chip-pineapple-flesh')).toBeVisible();
  await expect(steps.first().getByTestId('chip-pineapple-flesh')).toBeVisible();
  await goesIn('Water', 1).selectOption({ label: '6. Fill the pot' });

  await press(page, /^More of step 5, Strain/);
  await choose(page, 'What stays in the sieve: Strain', 'stays for more water');
  await press(page, /^More of step 10, Blend/);
  await type(page, 'In your words: Blend', 'Until nothing of it is to be seen. Do not rinse the jug.');
  await press(page, /^More of step 8, Boil/);
  await type(page, 'In your words: Boil gently', 'Only until the kitchen smells of it.');
  // Nothing is wrong with it; that the fruit goes in unwashed is said, at its line and at its step.
  await expect(page.getByTestId('recipe-problem')).toHaveText([/unwashed/, /unwashed/]);
  await press(page, 'Keep it');
  await expect(page.getByRole('heading', { name: 'Veranda red' })).toBeVisible();
  await expect(page.locator('main')).toContainText('Only until the kitchen smells of it.');

  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  const done = async (heading: string) => {
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeVisible();
    await page.getByTestId('done').click();
  };
  await done('Fill the pot');
  await done('Bring to the boil');
  await done('Boil gently');
  await expect(page.getByTestId('amounts')).toContainText('pineapple flesh');
  await done('Lift out');
  await done('Strain');
  // The second water, onto the solids: by both measures.
  await expect(page.getByTestId('amounts')).toContainText('1.0 L');
  await done('Put in');
  await done('Bring to the boil');
  await expect(page.getByTestId('own-words')).toHaveText('Only until the kitchen smells of it.');
  await done('Boil gently');
  await done('Strain');
  await expect(page.getByTestId('own-words')).toContainText('Do not rinse the jug.');
  await done('Blend');
  await done('Strain');
  await done('Cool');
  await expect(page.getByRole('heading', { name: 'Bottle', level: 1 })).toBeVisible();
});

test('a shipped drink with its steps written out, saved unchanged, is the same plan', async ({
  page,
  server,
}) => {
  const figures = async (): Promise<string> => {
    await expect(page.getByTestId('start-by')).toContainText('bottled');
    const line = await page.getByTestId(/^stage-figure-/).allInnerTexts();
    return [...line, await page.getByTestId('start-by').innerText()].join(', ');
  };
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=shortBoilLongSteep`);
  const shipped = await figures();
  await page.goto(`${server.url}/drinks/deep-calyx-ginger/vary`);
  await page.getByRole('button', { name: 'Write the steps myself' }).click();
  await expect(page.getByTestId('step-steep')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { name: 'Deep hibiscus & ginger, my way' })).toBeVisible();
  await page.getByRole('link', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { name: 'Deep hibiscus & ginger, my way' })).toBeVisible();
  expect(await figures()).toBe(shipped);
});
