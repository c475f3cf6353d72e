import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';

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

/** A drink of eight steps, put into the book as another program would. */
const LANTERN = {
  id: '0198aaaa-0000-7000-8000-000000000016',
  version: 1,
  name: 'Lantern red',
  family: 'own',
  serve: 'cold',
  basisL: 4,
  methods: ['own'],
  press: 'press',
  cloth: false,
  targetSweetnessPct: 6,
  times: {},
  lines: [
    { id: 'w', itemId: 'water', massG: 0, kind: 'liquid', rule: { kind: 'toVolume' } },
    { id: 'c', itemId: 'hibiscus-dried', massG: 130, kind: 'solid', rule: { kind: 'linear' } },
    { id: 's', itemId: 'sugar-white', massG: 150, kind: 'sweetener', rule: { kind: 'linear' } },
  ].map((line) => ({ ...line, stream: 'pot', wash: 'none', prep: null })),
  steps: [
    { id: 'k1', kind: 'combine', lineIds: ['w', 'c'] },
    { id: 'k2', kind: 'heat', lineIds: [] },
    { id: 'k3', kind: 'boil', lineIds: [], minutes: 20 },
    { id: 'k4', kind: 'strain', lineIds: [] },
    { id: 'k5', kind: 'cool', lineIds: [] },
    { id: 'k6', kind: 'sweeten', lineIds: ['s'] },
    { id: 'k7', kind: 'bottle', lineIds: [] },
  ],
};

test('the lanes: a step dragged changes litres at once, moved back by keys it is as it was; the same in words', async ({
  page,
  server,
  request,
}) => {
  const kept = await request.post(`${server.url}/api/recipes`, { data: { recipe: LANTERN } });
  expect(kept.status()).toBe(201);
  await page.goto(`${server.url}/drinks/${LANTERN.id}/edit`);
  await page.getByTestId('lanes-toggle').click();
  const figures = page.getByTestId('editor-figures');
  const before = await figures.innerText();
  const taps = page.locator('[data-testid="lanes"] button[data-testid^="lane-"]');
  await expect(taps).toHaveCount(7);
  await expect(page.getByTestId('lane-sweeten')).toHaveAccessibleName(/^Step 6: Sweeten by taste/);

  // Boiled only after it is strained: without the hibiscus in it, by hand with the pointer.
  const boil = page.getByTestId('lane-boil');
  const from = (await boil.boundingBox())!;
  const to = (await page.getByTestId('lane-strain').boundingBox())!;
  await page.mouse.move(from.x + 9, from.y + 9);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y + 12, { steps: 3 });
  await page.mouse.move(to.x + 9, to.y + 9, { steps: 8 });
  await page.mouse.up();
  await expect(boil).toHaveAccessibleName(/^Step 4: Boil gently/);
  await expect(figures).not.toHaveText(before, { useInnerText: true });
  await page.getByTestId('lanes-in-words').locator('summary').click();
  await expect(page.getByTestId('lanes-in-words')).toContainText(
    /Strain, .*L to bowl; dried hibiscus, whole: thrown away/,
  );

  // Back by keys.
  await boil.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Lifted', { exact: false }).first()).toBeAttached();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/Step 3: Strain/).first()).toBeAttached();
  await page.keyboard.press('Space');
  await expect(boil).toHaveAccessibleName(/^Step 3: Boil gently/);
  expect(await figures.innerText()).toBe(before);

  // Tapped, its card has the keyboard.
  await page.getByTestId('lane-cool').click();
  await expect(page.locator('#step-k5')).toBeFocused();
});

test('a drink that ends in two lots: half left plain, the sugar in the other half; each with bottles of its own', async ({
  page,
  server,
  request,
}) => {
  test.slow();
  await request.post(`${server.url}/api/recipes`, { data: { recipe: LANTERN } });
  await page.goto(`${server.url}/drinks/${LANTERN.id}/edit`);
  // The sweetening is taken out and written again, after the dividing and for one lot alone.
  await press(page, 'Remove step 6, Sweeten by taste');
  for (const name of ['Split', 'Sweeten by taste', 'Bottle']) await choose(page, 'Add a step', name);
  await press(page, 'One more lot');
  await page
    .getByLabel('White sugar: goes in with step', { exact: true })
    .first()
    .selectOption({ label: '7. Sweeten by taste' });
  await press(page, /^More of step 7, Sweeten/);
  await choose(page, 'Of: Sweeten by taste', 'sweetened');
  await press(page, /^More of step 8, Bottle/);
  await choose(page, 'Of: Bottle', 'sweetened');
  await expect(page.getByTestId('recipe-problem')).toHaveCount(0);
  await press(page, 'Keep it');
  await expect(page.getByRole('heading', { name: 'Lantern red' })).toBeVisible();

  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  const heading = (name: string) =>
    expect(page.getByRole('heading', { name, level: 1, exact: true })).toBeVisible();
  for (const name of ['Fill the pot', 'Bring to the boil', 'Boil gently', 'Strain', 'Cool']) {
    await heading(name);
    await page.getByTestId('done').click();
  }
  await heading('Split: sweetened');
  await expect(page.locator('main')).toContainText('Pour off 50 % of what is there.');
  await page.getByTestId('done').click();
  // A stated cup goes in as stated, and only into this lot.
  await heading('Sweeten by taste: sweetened');
  await expect(page.getByTestId('dose-line')).toContainText('150 g: as it is written');
  await page.getByTestId('dose').click();
  await page.getByTestId('done').click();
  for (const name of ['Bottle: sweetened', 'Bottle']) {
    await heading(name);
    await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  }

  await expect(page.getByTestId('stove-end')).toBeVisible();
  await page.goto(`${server.url}/shelf`);
  const shelf = page.locator('main');
  await expect(shelf).toContainText('Lantern red, sweetened');
  await expect(shelf).toContainText(/Lantern red\s*sealed/);
});

test('in a plan of a shipped drink: another form of a thing, what has no substitute, a tool that is not there', async ({
  page,
  server,
  request,
}) => {
  const { kitchen, version } = await (await request.get(`${server.url}/api/kitchen`)).json();
  const without = { ...kitchen, tools: { ...kitchen.tools, blenderMl: 0 } };
  const put = await request.put(`${server.url}/api/kitchen`, { data: { version, kitchen: without } });
  expect(put.ok()).toBe(true);
  await page.goto(`${server.url}/new/raw-ginger-spice`);
  await expect(page.getByTestId('missing-tools')).toContainText('No blender here');

  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await expect(page.getByTestId('missing-tools')).toHaveCount(0);
  await page.getByRole('tab', { name: /Wash and cut/ }).click();
  const forms = page.getByTestId('form-choices');
  await expect(forms).toBeVisible();
  // A weak root: more of it goes in, and the list says so with where it is from.
  const root = page.getByTestId('root-choices');
  await root.getByRole('button', { name: 'weak' }).click();
  await root.getByLabel('Where the Ginger is from').fill('corner stall');
  await root.getByLabel('Where the Ginger is from').blur();
  await page.getByRole('tab', { name: /Size/ }).click();
  const ginger = page.getByTestId('ingredient-list').getByText('Ginger, bruised, weak, from corner stall');
  await expect(ginger).toBeVisible();
  await page.getByRole('tab', { name: /Wash and cut/ }).click();
  await choose(page, /^Instead of Ginger/, await optionWith(page, /^Instead of Ginger/, 'ground'));
  await expect(forms.getByTestId('form-note')).toContainText('It goes in');
  await page.getByRole('tab', { name: /Size/ }).click();
  await expect(page.getByTestId('ingredient-list')).toContainText(/Ginger, ground/i);
});

/** The whole text of the option of a list that holds a word. */
async function optionWith(page: Page, label: RegExp, word: string): Promise<string> {
  await page.getByRole('combobox', { name: label }).focus();
  await page.keyboard.press('Enter');
  const text = await page
    .getByRole('listbox')
    .getByRole('option')
    .filter({ hasText: word })
    .first()
    .innerText();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('listbox')).toHaveCount(0);
  return text;
}

test('more than one pot takes: the other pot stands beside it, each with its own amounts, one clock for both', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByTestId('wish-litres').fill('16');
  await page.getByTestId('wish-litres').press('Enter');
  await expect(page.getByTestId('plan-problem')).toContainText('too much for the Blue pot');
  await page.getByTestId('offer-beside').click();
  await expect(page.getByTestId('plan-problem')).toHaveCount(0);
  await expect(page.getByTestId('limit')).toContainText('2 pots side by side');
  await expect(page.getByTestId('pot-beside')).toHaveValue('tall-pot');

  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  const waterL: number[] = [];
  for (const pot of ['Blue pot', 'Tall pot']) {
    await expect(async () => {
      const heading = page.getByRole('heading', { name: /^Fill the pot/, level: 1 });
      if (!(await heading.isVisible())) await page.getByTestId('done').click();
      await expect(page.getByTestId('which-pot')).toHaveText(pot, { timeout: 1000 });
    }).toPass();
    waterL.push(Number.parseFloat(await page.getByTestId('amounts').innerText()));
    await page.getByTestId('done').click();
  }
  // 30 x 24 cm against 24 x 27 cm: 58 % and 42 % of all.
  expect(waterL[0]! / (waterL[0]! + waterL[1]!)).toBeCloseTo(21_600 / 37_152, 1);
  await expect(page.getByRole('heading', { name: 'Bring to the boil', level: 1 })).toBeVisible();
  await expect(page.getByTestId('which-pot')).toHaveText('Blue pot and Tall pot');
  // Each of them may be read.
  await page.getByRole('button', { name: 'Measure' }).click();
  await expect(page.getByRole('button', { name: 'Tall pot' })).toBeVisible();

  // Without the other pot it is told again that it does not fit.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByTestId('wish-litres').fill('16');
  await page.getByTestId('wish-litres').press('Enter');
  await page.getByTestId('offer-beside').click();
  await page.getByTestId('pot-beside').selectOption('');
  await expect(page.getByTestId('plan-problem')).toBeVisible();
});
