import type { Page } from '@playwright/test';
import { begun, KITCHEN, planFor } from './begun.ts';
import { expect, figure, openTool, test } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

interface Stored {
  kind: string;
  body: Record<string, unknown>;
}
const eventsOf = async (server: KitchenServer): Promise<Stored[]> =>
  (await server.api<{ events: Stored[] }>('GET', '/batches/batch')).events;
const addedG = async (server: KitchenServer): Promise<number> =>
  (await eventsOf(server)).reduce((sum, e) => sum + (e.kind === 'added' ? Number(e.body.massG) : 0), 0);

test('sweetened by taste to a verdict, with two changes of mind', async ({ page, server }) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/balance`);
  const ways = page.getByTestId('ways');
  await expect(ways.getByTestId('way').first()).toContainText('All by');
  // Shown on the plane the figures follow, before anything is in the pot.
  await ways.getByTestId('way').first().getByRole('button', { name: 'Show it' }).click();
  const target = await figure(page, 'plane-sweet');
  expect(target).toBeGreaterThan(8);
  expect(await addedG(server)).toBe(0);

  await ways.getByTestId('way').first().getByRole('button', { name: 'Take it step by step' }).click();
  const taste = page.getByTestId('by-taste');
  const dose = taste.getByRole('button', { name: 'It is in, stirred until it is gone' });
  await dose.click();
  await expect(taste).toContainText('so far');
  const first = await addedG(server);
  // Too sweet: the target comes down, there is nothing more to stir in. Then it was not, after all.
  await taste.getByRole('button', { name: 'too sweet' }).click();
  await expect(page.getByTestId('now-aiming')).toContainText('now aiming at');
  await expect(page.getByTestId('ways-back')).toContainText('of water');
  await expect(dose).toHaveCount(0);
  await taste.getByRole('button', { name: 'not sweet enough' }).click();
  await expect(dose).toBeVisible();
  await dose.click();
  await expect.poll(() => addedG(server)).toBeGreaterThan(first);
  await taste.getByRole('button', { name: 'too tart' }).click();
  await expect(page.getByTestId('now-aiming')).toContainText('sourness');
  await taste.getByRole('button', { name: 'sweetness right' }).click();
  await taste.getByRole('button', { name: 'tartness right' }).click();
  await expect(taste).toContainText('It is where you want it');
  const tasted = async () => (await eventsOf(server)).filter((e) => e.kind === 'tasted');
  await expect
    .poll(async () => (await tasted()).map((e) => JSON.stringify(e.body.axes)))
    .toEqual(['{"sweet":1}', '{"sweet":-1}', '{"sour":1}', '{"sweet":0}', '{"sour":0}']);
  expect(typeof (await tasted())[0]!.body.atSourGPerL).toBe('number');
});

test('an arrow is dragged: figures follow, and the ways follow the target', async ({ page, server }) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/balance`);
  const water = page.getByTestId('arrow-water');
  const before = await figure(page, 'plane-litres');
  const box = (await water.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  expect(await figure(page, 'plane-litres')).toBeGreaterThan(before + 0.5);
  await expect(water).toHaveAttribute('aria-valuetext', /L/);
  // The target by its ring.
  const sweet = async () =>
    Number(/sweetness ([\d.]+)/.exec((await page.getByTestId('target').getAttribute('aria-valuetext'))!)![1]);
  const was = await sweet();
  const ring = (await page.getByTestId('target').boundingBox())!;
  await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
  await page.mouse.down();
  await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2 + 60, { steps: 6 });
  await page.mouse.up();
  expect(await sweet()).toBeLessThan(was - 0.5);
  await page.getByRole('button', { name: 'some', exact: true }).click();
  await expect(page.getByTestId('served')).toContainText('of its strength');
});

test('sugar for honey in a plan: list, litres of water, bottles and keeping move with it', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await server.api('POST', '/batches', { id: 'batch', plan: planFor(9) });
  await page.goto(`${server.url}/batches/batch?stage=size`);
  await expect(page.getByText('Raw cane sugar').first()).toBeVisible();
  const wished = await figure(page, 'wish-now');
  await page.goto(`${server.url}/batches/batch?stage=balance`);
  const pick = page.getByRole('combobox', { name: /Sweetened with/ });
  await pick.fill('Honey');
  await page.getByRole('option', { name: 'Honey', exact: true }).click();
  const facts = page.getByTestId('swap-facts');
  await expect(facts).toContainText('As sweet as');
  await expect(facts).toContainText('of water in it, which is poured less');
  await expect(facts).toContainText('Above 60 °C its aroma goes');
  await expect(facts).toContainText('Never for a child under one year');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByRole('button', { name: 'Save changes' })).toHaveCount(0);
  await page.goto(`${server.url}/batches/batch?stage=size`);
  await expect(page.getByText('Honey').first()).toBeVisible();
  await expect(page.getByText('Raw cane sugar')).toHaveCount(0);
  expect(await figure(page, 'wish-now')).toBeCloseTo(wished, 1);
  // Lemon for lime goes by acid, and says that it is raw.
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=balance`);
  await page.getByRole('combobox', { name: /Soured with/ }).fill('Lime juice, bottled');
  await page.getByRole('option', { name: 'Lime juice, bottled' }).click();
  await expect(page.getByTestId('sour-facts')).toContainText('As sour, by acid');
  await expect(page.getByTestId('as-sour')).toContainText('of tamarind');
  await expect(page.getByTestId('sour-facts')).toContainText('pasteurised');
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=keep`);
  const bottled = await page.getByTestId('drink-by').innerText();
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=balance`);
  await page.getByRole('combobox', { name: /Soured with/ }).fill('Lime juice, fresh');
  await page.getByRole('option', { name: 'Lime juice, fresh' }).click();
  await expect(page.getByRole('combobox', { name: /Soured with/ })).toHaveValue('Lime juice, fresh');
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=keep`);
  await expect(page.getByTestId('drink-by')).not.toHaveText(bottled);
});

test('a way of the plane planned: with juice, with nothing but juice, and back to the recipe', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=balance`);
  const way = (title: string) => page.getByTestId('way').filter({ hasText: title });
  await way('With pineapple juice').getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByTestId('planned-way')).toContainText('pineapple juice');
  await expect(page.getByTestId('planned-way')).toContainText('a litre');
  // What is planned stands among the lines as well, and what an earlier way pours stays.
  await way('No sugar added').getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByTestId('planned-way')).toContainText('No sweetener; pineapple juice');
  await page.getByRole('button', { name: 'Start', exact: false }).first().waitFor();
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=size`);
  await expect(page.getByText('Pineapple juice').first()).toBeVisible();
  await expect(page.getByText('Honey', { exact: true })).toHaveCount(0);
  await page.goto(`${server.url}/new/lemongrass-ginger-mint?method=straightBoil&stage=balance`);
  await page.getByRole('button', { name: 'As the recipe has it' }).click();
  await expect(page.getByTestId('planned-way')).toHaveCount(0);
});

const split = async (page: Page, kinds: readonly [string, string][]) => {
  await openTool(page, 'Divide into versions');
  const form = page.getByTestId('lots-form');
  for (const [i, [kind, litres]] of kinds.entries()) {
    if (i > 0) await form.getByRole('button', { name: 'One more version' }).click();
    await form.getByRole('combobox', { name: `Version ${i + 1}` }).click();
    await page.getByRole('option', { name: kind }).click();
    await form.getByTestId(`lot-litres-${i}`).fill(litres);
  }
  return form;
};

test('three lots, one with spirits: each with its marks, its bottles and its date', {
  tag: '@dates',
}, async ({ page, server }) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/stove`);
  const form = await split(page, [
    ['Left plain', '2'],
    ['With spirits', '3'],
  ]);
  await expect(form.getByTestId('lots-rest')).toContainText('go on as planned');
  await form.getByTestId('lot-litres-1').fill('30');
  await expect(form.getByTestId('lots-rest')).toContainText('more than there is');
  await expect(form.getByRole('button', { name: 'Divide it', exact: true })).toBeDisabled();
  await form.getByTestId('lot-litres-1').fill('3');
  await form.getByRole('button', { name: 'Divide it', exact: true }).click();

  await expect(page.getByRole('heading', { name: 'Split: left plain' })).toBeVisible();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Split: with spirits' })).toBeVisible();
  await page.getByTestId('done').click();
  // The rest goes on as planned: sweetened, bottled.
  await expect(page.getByRole('heading', { name: 'Sweeten by taste' })).toBeVisible();
  await page.getByTestId('dose').click();
  await page.getByRole('button', { name: 'about right' }).click();
  await page.getByTestId('done').click();
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Stir in: left plain' })).toBeVisible();
  await expect(page.getByTestId('marks')).toContainText('no added sugar');
  await page.getByTestId('done').click();
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Stir in: with spirits' })).toBeVisible();
  await expect(page.getByTestId('lot-alcohol')).toHaveCount(0);
  await page.getByTestId('lot-ml').fill('300');
  // 300 mL of 40 % in 3.3 L: 120 mL of alcohol, 3.6 %.
  await expect(page.getByTestId('lot-alcohol')).toContainText('Then 3.6 % alcohol');
  await expect(page.getByTestId('lot-alcohol')).toContainText('Below 10 % alcohol keeps nothing');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByTestId('lot-alcohol')).toContainText('Now 3.6 % alcohol');
  await expect(page.getByTestId('with-alcohol')).toContainText('with alcohol, 3.6 %');
  await expect(page.getByTestId('marks')).toContainText('not for children');
  await page.getByTestId('done').click();
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();

  await expect(page).toHaveURL(/shelf/);
  const { items } = await server.api<{
    items: { facts: { lot?: { kind: string }; tags: string[]; glass: { addedSugarG: number } } }[];
  }>('GET', '/items');
  const byKind = (kind: string | undefined) => items.filter((i) => i.facts.lot?.kind === kind);
  expect(byKind('plain').length).toBeGreaterThan(0);
  expect(byKind('spirits').length).toBeGreaterThan(0);
  expect(byKind(undefined).length).toBeGreaterThan(0);
  for (const item of byKind('spirits')) expect(item.facts.tags).toContain('alcohol');
  for (const item of byKind('plain')) {
    expect(item.facts.tags).not.toContain('alcohol');
    expect(item.facts.glass.addedSugarG).toBe(0);
  }
  for (const item of byKind(undefined)) expect(item.facts.glass.addedSugarG).toBeGreaterThan(5);
  await expect(page.getByText('with alcohol').first()).toBeVisible();
});

test('the plane and a way taken, all by keyboard', async ({ page, server }) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/balance`);
  await expect(page.getByTestId('plane')).toBeVisible();
  const reach = async (name: RegExp | string, role: 'button' | 'slider', presses = 60) => {
    const goal = page.getByRole(role, { name }).first();
    for (let i = 0; i < presses; i++) {
      if (await goal.evaluate((e) => e === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`not reached by keyboard: ${name}`);
  };
  await reach('Raw cane sugar', 'slider');
  const before = await figure(page, 'plane-sweet');
  for (let i = 0; i < 5; i++) await page.keyboard.press('PageUp');
  expect(await figure(page, 'plane-sweet')).toBeGreaterThan(before + 1);
  await page.keyboard.press('Home');
  await expect.poll(() => figure(page, 'plane-sweet')).toBe(before);
  await reach('Target', 'slider');
  const target = page.getByTestId('target');
  const was = await target.getAttribute('aria-valuetext');
  await page.keyboard.press('ArrowUp');
  await expect(target).not.toHaveAttribute('aria-valuetext', was!);
  await reach('Take it step by step', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('by-taste')).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  const dose = page.getByRole('button', { name: 'It is in, stirred until it is gone' });
  await dose.focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => addedG(server)).toBeGreaterThan(100);
  await reach('sweetness right', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('now-aiming')).toContainText('Tasted at');
});

test('a drink in parts: from one leg, and from a jar that ran short', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/drinks`);
  await page.getByRole('link', { name: 'By ratio' }).click();
  const answer = page.getByTestId('parts-answer');
  // 400 mL of juice: as much honey and vinegar, 568 g of the honey.
  await expect(answer).toContainText('568 g');
  await expect(answer).toContainText('404 g');
  // The honey jar held only 426 g: with 500 mL of the others it is 1 : 0.6 : 1.
  await page.getByTestId('leg-amount-0').fill('500');
  await page.getByTestId('leg-amount-1').fill('426');
  await page.getByTestId('leg-amount-2').fill('500');
  await expect(page.getByTestId('true-ratio')).toHaveText('1 : 0.6 : 1');
  await expect(answer).toContainText('1 : 0.81 : 0.96 by weight');
  await expect(page.getByTestId('top-up')).toContainText('200 mL (284 g) of honey');
  const keep = page.getByTestId('parts-keep');
  await page.getByTestId('parts-ph').fill('3.2');
  await expect(page.getByTestId('parts-days')).toContainText('60 days');
  await page.getByTestId('leg-amount-2').fill('60');
  await expect(page.getByTestId('parts-days')).not.toContainText('60 days');
  await expect(keep).toContainText('never for a child under one year');
  await expect(page.getByTestId('maturing')).toContainText('shake it');
});

test('a label corrects a juice, a limit of the house is pointed out, fruit may take the place of sugar', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/kitchen?part=measures`);
  const labels = page.getByRole('region', { name: 'From the label' });
  await expect(labels.getByTestId('table-says')).toContainText('g of sugar in 100 mL');
  await labels.getByTestId('label-sugar').fill('11');
  await labels.getByRole('button', { name: 'Correct it' }).click();
  await expect(labels.getByTestId('label-row')).toContainText('11.0 g of sugar in 100 mL');
  await labels.getByLabel('Its name, if another thing').fill('Corner shop nectar');
  await labels.getByTestId('label-sugar').fill('13.5');
  await labels.getByText('Sugar was added to it').click();
  await labels.getByRole('button', { name: 'Add it' }).click();
  await expect(labels.getByTestId('label-row')).toHaveCount(2);
  await page.goto(`${server.url}/kitchen?part=house`);
  const house = page.getByRole('region', { name: 'This house' });
  await house.getByTestId('house-sugar').fill('6');
  await house.getByTestId('house-sugar').press('Enter');
  await expect
    .poll(async () => {
      const { kitchen } = await server.api<{
        kitchen: { house: { freeSugarGPerGlass: number | null }; labels: { name: string }[] };
      }>('GET', '/kitchen');
      return [kitchen.house.freeSugarGPerGlass, kitchen.labels.map((l) => l.name).sort()];
    })
    .toEqual([6, ['Apple juice', 'Corner shop nectar']]);
  await page.goto(`${server.url}/new/deep-calyx-ginger?stage=balance`);
  await expect(page.getByTestId('house-limit')).toContainText('more than the 6 g of this house');
  // No way goes beyond what the house has settled: the nearest says so.
  await expect(page.getByTestId('binding').first()).toContainText('limit of sugar in a glass');
  await page.getByText('With fruit instead of a sweetener').click();
  await expect(page.getByTestId('fruit-instead')).toContainText('thicker');
});

test('tried on a cup for the pot; scored, it stands in the notebook', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch/balance`);
  const trial = page.getByTestId('cup-trial');
  await trial.getByTestId('trial-amount').fill('2');
  await expect(trial.getByTestId('trial-answer')).toContainText('times as much');
  await expect(trial).toContainText('stir in half');
  await trial.getByRole('combobox', { name: 'What went into the cup' }).fill('Coconut milk');
  await page.getByRole('option').first().click();
  await expect(trial).toContainText('curdle');
  await trial.getByRole('combobox', { name: 'What went into the cup' }).fill('Lime juice, fresh');
  await page.getByRole('option', { name: 'Lime juice, fresh' }).click();
  await trial.getByRole('button', { name: 'It is in, all of it' }).click();
  await expect.poll(() => addedG(server)).toBeGreaterThan(50);
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('syrup')).toContainText('Or as a syrup');
  await page.getByTestId('done').click();
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page).toHaveURL(/shelf/);
  await page.goto(`${server.url}/batches/batch`);
  await page.getByLabel('In a few words').fill('more lime');
  await page.getByTestId('how-was-it').getByRole('button', { name: '4' }).click();
  await expect(page.getByTestId('log')).toContainText('4 of 5: more lime');
  await page.goto(`${server.url}/drinks/deep-calyx-ginger`);
  await expect(page.getByTestId('notebook')).toContainText('4 of 5');
  await expect(page.getByTestId('notebook')).toContainText('more lime');
  await expect(page.getByTestId('notebook')).toContainText('To try on a cup');
});
