import { readFileSync } from 'node:fs';
import { expect, shownBottles, test } from './fixtures.ts';

// Late enough that a bottle of five days has tomorrow for its last whole day.
test.use({ demo: true, atMs: Date.UTC(2026, 10, 25, 23) });

test('a bottle taken out and put back, a glass poured: its life follows', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/shelf`);
  await expect.poll(() => shownBottles(page)).toBe(15);
  await page.goto(`${server.url}/shelf/demo-bottle-5`);
  await expect(page.getByTestId('contains')).toContainText('720 mL left');
  const before = await page.getByTestId('bottle-deadline').innerText();
  await page.getByRole('button', { name: 'Taken out of the fridge' }).click();
  await expect(page.getByRole('button', { name: 'Put back in the fridge' })).toBeVisible();
  await server.pass(6 * 60);
  await expect(page.getByTestId('bottle-reasons')).toContainText('Warm hours have cost');
  await page.getByRole('button', { name: 'Put back in the fridge' }).click();
  await expect(page.getByTestId('bottle-deadline')).not.toHaveText(before);
  await page.getByRole('button', { name: 'A glass poured' }).click();
  await expect(page.getByTestId('contains')).toContainText('520 mL left');
  await expect(page.getByRole('button', { name: 'Opened now' })).toBeHidden();
  // The address holds the bottle; back leads to the shelf.
  await page.goBack();
  await expect.poll(() => shownBottles(page)).toBe(15);
});

test('a note is left in the log of a batch, and the newest entry can be taken back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/batches/demo-steeping`);
  await page.getByLabel('A note').fill('less clove next time');
  await page.getByRole('button', { name: 'Add note' }).click();
  await expect(page.getByText('less clove next time')).toBeVisible();
  await page.reload();
  await expect(page.getByText('less clove next time')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: less clove next time' }).click();
  await expect(page.getByText('less clove next time')).toBeHidden();
});

test('the stove shows what is on, what is next, what is planned and what wants a look', {
  tag: '@dates',
}, async ({ page, server }) => {
  await page.goto(server.url);
  // What ends first stands first.
  await expect(page.getByTestId('on-pot')).toHaveCount(2);
  await expect(page.getByTestId('on-pot').first()).toContainText('Pineapple & ginger');
  await expect(page.getByTestId('on-pot').last()).toContainText('Deep hibiscus & ginger');
  await expect(page.getByTestId('home-clock').last()).toContainText('6:4');
  await expect(page.getByText('past its date: throw out')).toBeVisible();
  await expect(page.getByText('drink today').first()).toBeVisible();
  await expect(page.getByTestId('warm-night')).toContainText('The fridge was warm');
  await expect(page.getByText(/start by/)).toBeVisible();
  await page.getByTestId('on-pot').last().click();
  await expect(page.getByRole('heading', { name: 'Steep' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'On the stove' })).toBeVisible();
});

test('an address that leads nowhere says so, and an unknown batch too', async ({ page, server }) => {
  await page.goto(`${server.url}/attic`);
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await page.goto(`${server.url}/batches/none`);
  await expect(page.getByText('There is no batch with the id none.')).toBeVisible();
});

test('a finished batch is there as plain text, with what really went in', async ({ page, server }) => {
  await page.goto(`${server.url}/batches/demo-shelf?stage=size`);
  const text = page.getByTestId('recipe-text');
  await expect(text).toContainText('What goes in');
  await expect(text).toContainText(/\d g raw cane sugar \(/);
  await expect(text).toContainText(/1\. /);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as text' }).click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toBe(await text.textContent());
  // The same to take along: on one page as a picture, and for other programs, with what is to be minded at each step.
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a picture' }).click(),
  ]);
  expect(
    readFileSync(await picture.path())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /JSON/ }).click(),
  ]);
  const ld = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
    recipeYield: string;
    recipeIngredient: string[];
    recipeInstructions: { text: string; itemListElement?: { text: string }[] }[];
  };
  expect(ld.recipeIngredient.join('\n')).toMatch(/dried hibiscus/);
  expect(ld.recipeIngredient.filter((line) => !/^[\d.]+ (g|ml) /.test(line))).toEqual([]);
  expect(ld.recipeInstructions.some((step) => (step.itemListElement ?? []).length > 0)).toBe(true);
});

test('a batch that cannot be read hurts only itself: saved, put out of sight, brought back', async ({
  page,
  server,
}) => {
  const { batches } = (await server.archive()) as { batches: { id: string; pins: object | null }[] };
  const batch = batches.find((b) => b.id === 'demo-steeping')!;
  await server.takeIn({
    batches: [{ ...batch, id: 'poison', pins: { ...batch.pins, program: { steps: 7 } } }],
  });
  await page.goto(server.url);
  const told = page.getByTestId('unreadable');
  await expect(told).toContainText('The others are as they were');
  await expect(page.getByTestId('on-pot').first()).toBeVisible();
  await told.getByRole('link', { name: 'What can be done' }).click();
  await expect(told).toContainText('Batch poison');
  const saved = page.waitForEvent('download');
  await told.getByRole('link', { name: 'Save it as a file' }).click();
  expect((await saved).suggestedFilename()).toBe('batch.json');
  await told.getByRole('button', { name: 'Put it out of sight' }).click();
  await expect(told).toContainText('It stands under Kitchen');
  await page.goto(server.url);
  await expect(page.getByTestId('on-pot').first()).toBeVisible();
  await expect(told).toBeHidden();
  await page.goto(`${server.url}/kitchen?part=data`);
  await page.getByTestId('out-of-sight').getByRole('link').click();
  await told.getByRole('button', { name: 'Bring it back' }).click();
  await expect(told.getByRole('button', { name: 'Bring it back' })).toBeHidden();
  await page.goto(server.url);
  await expect(told).toBeVisible();
});

test('from a packet, named with a tap and looked for right after, to its bottles and gifts, and back', async ({
  page,
  server,
}) => {
  const { items } = await server.api<{ items: { facts: { itemId: string; batchId: string } }[] }>(
    'GET',
    '/items',
  );
  const { batchId } = items[0]!.facts;
  const mine = items.filter((i) => i.facts.batchId === batchId).map((i) => i.facts.itemId);
  await page.goto(`${server.url}/batches/${batchId}`);
  await page.getByText('Which packets it was made from').click();
  const packet = page.getByTestId('made-from').getByRole('combobox').first();
  await packet.fill('market, Saturday');
  await packet.press('Enter');
  // No pause between the two: the page asks again once it is stored.
  await page.getByTestId('purchase').getByRole('link').click();
  const recalled = page.getByTestId('recalled');
  await expect(recalled.getByTestId('recalled-thing').filter({ hasText: 'Bottle' })).toHaveCount(mine.length);
  await page.goto(`${server.url}/shelf/${mine[0]}`);
  await page.getByRole('button', { name: 'Given away' }).click();
  await page.getByLabel('To whom').fill('next door');
  await page.getByRole('button', { name: 'Given away' }).last().click();
  await page.getByTestId('packets').getByRole('link').click();
  await expect(recalled.getByTestId('recalled-thing').filter({ hasText: 'given to next door' })).toHaveCount(
    1,
  );
});
