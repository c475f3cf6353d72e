import { BOOK, ownRows, withCustom } from '@big-ladle/core/book';
import type { Recipe } from '@big-ladle/core/documents';
import { type Label, SHIPPED_TABLES, withLabels } from '@big-ladle/core/tables';
import type { Page } from '@playwright/test';
import { begun, endSteps, KITCHEN, toTheBottles } from './begun.ts';
import { typeMoment } from './dateFields.ts';
import { expect, test, unfold } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

const base = BOOK.find((r) => r.id === 'deep-calyx-ginger')!;
const mine = (name: string, change: (line: Recipe['lines'][number]) => Recipe['lines'][number]): Recipe => ({
  ...base,
  id: 'mine',
  version: 1,
  name,
  methods: ['straightBoil'],
  lines: base.lines.map(change),
});

/** Fills the bottles at the stove and opens the page of the first. */
async function fillAndOpen(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await page.getByTestId('bottle').first().getByRole('link').click();
  await expect(page.getByTestId('contains')).toBeVisible();
}
const labelSheet = async (page: Page, server: KitchenServer) => {
  await page.goto(`${server.url}/shelf/labels?batch=batch`);
  return page.getByTestId('sheet').first();
};

test('a product that is like honey: never under one year, from the recipe to the label', async ({
  page,
  server,
}) => {
  test.slow();
  const acacia: Label = {
    id: 'acacia',
    name: 'Hill flower jar',
    like: 'honey',
    sugarPer100: 80,
    brix: null,
    taGPerL: null,
    abvPct: null,
    sweetened: false,
  };
  const kitchen = { ...KITCHEN, labels: [acacia] };
  await server.api('PUT', '/kitchen', { version: 0, kitchen });
  const recipe = mine('Hill red', (l) => (l.kind === 'sweetener' ? { ...l, itemId: 'acacia' } : l));
  await server.api('POST', '/recipes', { recipe });
  await begun(
    server,
    'sweeten',
    'straightBoil',
    recipe,
    {},
    kitchen,
    withLabels(SHIPPED_TABLES, kitchen.labels),
  );
  await page.goto(`${server.url}/drinks/mine`);
  await expect(page.getByTestId('who')).toContainText('never for a child under one year');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('guidance')).toContainText('Honey never for a child under one year');
  await page.getByTestId('dose').click();
  await page.getByRole('button', { name: 'about right' }).click();
  await toTheBottles(server, (kind) => kind === 'sweeten');
  await expect(page.getByTestId('guidance')).toContainText('Honey never for a child under one year');
  await fillAndOpen(page);
  await expect(page.getByTestId('marks')).toContainText('never under one year');
  const sheet = await labelSheet(page, server);
  await expect(sheet).toContainText('never under one year');
  await expect(sheet).toContainText('hill flower jar');
});

test('an ingredient of the cook’s own that people are allergic to: asked, and said to the last', async ({
  page,
  server,
}) => {
  test.slow();
  const facts = {
    id: 'own-moonroot',
    name: 'Moonroot',
    role: 'aromatic' as const,
    dried: false,
    answers: {
      milk: false,
      garlic: false,
      live: false,
      lowAcid: false,
      honey: false,
      nut: true,
      allergen: false,
      burns: false,
      caffeine: false,
      medicines: false,
    },
  };
  await server.api('PUT', `/ingredients/${facts.id}`, facts);
  const recipe = mine('Moon red', (l) => (l.itemId.startsWith('ginger-') ? { ...l, itemId: facts.id } : l));
  await server.api('POST', '/recipes', { recipe });
  await begun(
    server,
    'bottle',
    'straightBoil',
    recipe,
    {},
    KITCHEN,
    withCustom(SHIPPED_TABLES, ownRows([facts])),
  );
  await page.goto(`${server.url}/drinks/mine`);
  await expect(page.getByTestId('who')).toContainText('it has nuts in it');
  await expect(page.getByTestId('who')).not.toContainText('Honey');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('guidance')).toContainText('people are allergic to');
  await fillAndOpen(page);
  await expect(page.getByTestId('marks')).toContainText('with nuts');
  await expect(await labelSheet(page, server)).toContainText('ask about allergies');
});

test('juice pressed raw in the batch: raw on the recipe, where it goes in, on bottle and label', async ({
  page,
  server,
}) => {
  test.slow();
  const recipe = BOOK.find((r) => r.id === 'calyx-pineapple')!;
  await begun(server, 'mix', 'straightBoil', recipe, { fruit: 'raw' });
  await page.goto(`${server.url}/drinks/${recipe.id}`);
  await expect(page.getByTestId('who')).toContainText('Raw in part: not in pregnancy');
  await page.goto(`${server.url}/batches/batch/stove`);
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText(
    'What goes in raw sets the life of the whole drink',
  );
  await toTheBottles(server, (kind) => kind === 'mix');
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText('not for pregnancy, under fives');
  await fillAndOpen(page);
  await expect(page.getByTestId('marks')).toContainText('raw in part');
  await expect(await labelSheet(page, server)).toContainText(/not for older or ill ?people/);
});

test('shots of root and turmeric: by their own small glass, poured and counted', async ({ page, server }) => {
  test.slow();
  const recipe = BOOK.find((r) => r.id === 'root-lemon-shots')!;
  await begun(server, 'bottle', 'rawBlend', recipe);
  await page.goto(`${server.url}/drinks/${recipe.id}`);
  await expect(page.getByTestId('who')).toContainText('Short of iron');
  await page.goto(`${server.url}/batches/batch/stove`);
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText('a small glass a day');
  await expect(page.getByTestId('guidance')).toContainText('some days without it');
  await fillAndOpen(page);
  await expect(page.getByTestId('strong')).toContainText('A glass of 60 mL');
  await page.getByRole('button', { name: 'A glass poured' }).click();
  await expect(page.getByTestId('history')).toContainText('60 mL');
  await expect(page.getByTestId('strong-today')).toContainText('of a moderate day');
  await page.getByTestId('guidance-more').click();
  await expect(page.getByTestId('guidance')).toContainText('It is not a cleansing');
  await expect(await labelSheet(page, server)).toContainText('A small glass of 60 mL a day');
});

test('asked with one tap: the water that nobody boils, how sweet the fruit is, what is laid out', async ({
  page,
  server,
}) => {
  test.slow();
  const recipe = BOOK.find((r) => r.id === 'root-lemon-shots')!;
  await begun(server, 'pick', 'rawBlend', recipe);
  await page.goto(`${server.url}/batches/batch/stove`);
  const ready = page.getByTestId('get-ready');
  await unfold(page, 'tools');
  await ready.getByRole('checkbox', { name: 'Cloth' }).check();
  await ready.getByText('What each should be like').click();
  await expect(ready).toContainText('A cloth or bag for this only');
  await page.reload();
  await unfold(page, 'tools');
  await expect(ready.getByRole('checkbox', { name: 'Cloth' })).toBeChecked();
  // On to the blender, where the water goes in.
  const { batch } = await server.api<{
    batch: { pins: { program: { steps: { id: string; kind: string }[] } } };
  }>('GET', '/batches/batch');
  const { steps } = batch.pins.program;
  await endSteps(
    server,
    steps.slice(
      0,
      steps.findIndex((s) => s.kind === 'blend'),
    ),
  );
  const water = page.getByTestId('ask-water');
  await water.getByRole('button', { name: 'from a well or spring' }).click();
  await expect(water).toContainText('Boil it first');
  await water.getByRole('button', { name: 'boiled and cooled' }).click();
  await expect(water).not.toContainText('Boil it first');
  await expect(water.getByRole('button', { name: 'boiled and cooled' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await endSteps(
    server,
    steps.slice(
      steps.findIndex((s) => s.kind === 'blend'),
      steps.findIndex((s) => s.kind === 'juice'),
    ),
  );
  const fruit = page.getByTestId('ask-fruit');
  await expect(fruit).toContainText('lemon');
  await fruit.getByRole('button', { name: 'very ripe and sweet' }).click();
  await expect(fruit.getByRole('button', { name: 'very ripe and sweet' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('citrus that stands in vinegar: its clock, half-way turned over, and three rinses counted', async ({
  page,
  server,
}) => {
  await begun(server, 'wash', 'cordial', BOOK.find((r) => r.id === 'citrus-vinegar-cordial')!);
  await page.goto(`${server.url}/batches/batch/stove`);
  const washing = page.getByTestId('washing');
  await expect(washing).toContainText('If you like, first into 1 part vinegar');
  await washing.getByRole('button', { name: 'In for 5 minutes' }).click();
  await expect(page.getByTestId('small-clocks')).toContainText('Turn everything over');
  await expect(page.getByTestId('small-clocks')).toContainText('Out of the bath, then rinse');
  await expect(page.getByTestId('rinses')).toHaveText('0of 3 rinses');
  await washing.getByRole('button', { name: 'Rinsed once' }).click();
  await expect(page.getByTestId('rinses')).toHaveText('1of 3 rinses');
  await washing.getByRole('checkbox').first().check();
  await page.reload();
  await expect(washing.getByRole('checkbox').first()).toBeChecked();
  await expect(washing).toContainText('In, with its clock');
});

test('a slip in a pasted text is asked about before it becomes a recipe, and once', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/drinks/paste`);
  await page.getByTestId('paste-text').fill(`Sharp red
Makes 4 litres
150 g dried hibiscus
60 g cayenne
4 litres water
Boil 10 minutes, strain, bottle.`);
  const slip = page.getByTestId('slip');
  await expect(slip).toContainText('far more than usual');
  await slip.getByRole('button', { name: 'Yes, I mean it' }).click();
  await expect(slip).toBeHidden();
  await page.getByRole('button', { name: 'Take it to the editor' }).click();
  await expect(page.getByTestId('editor-figures')).toBeVisible();
  await expect(slip).toBeHidden();
});

test('a day too far off for what is begun today is said in the plan', async ({ page, server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await expect(page.getByTestId('wish-now')).toContainText('L in bottles');
  await expect(page.getByTestId('too-early')).toBeHidden();
  const day = new Date(server.nowMs() + 20 * 86_400_000).toISOString().slice(0, 10);
  await typeMoment(page, 'Ready by', `${day}T18:00`);
  await expect(page.getByTestId('too-early')).toContainText('past its date on that day');
});
