import { expect, type Page } from '@playwright/test';
import { begun, type KITCHEN, toBottle } from './begun.ts';
import { shownBottles, test, unfold } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

interface ThingDoc {
  log: {
    openedMs: number | null;
    pouredMl: number;
    places: { place: string }[];
    discarded: { codes: string[] } | null;
  };
}
const thing = (server: KitchenServer, id: string) => server.api<ThingDoc>('GET', `/items/${id}`);
const deeds = (page: Page) => page.getByTestId('deeds');

test('a batch into three sizes: the plan, the order, the room, for whom; then on the shelf', {
  tag: '@dates',
}, async ({ page, server }) => {
  await toBottle(server);
  await page.goto(`${server.url}/batches/batch/stove`);
  const form = page.getByTestId('bottle-form');
  const more = (name: string) => form.getByRole('button', { name: `One ${name} more`, exact: true });
  const fewer = (name: string) => form.getByRole('button', { name: `One ${name} fewer`, exact: true });
  const count = (id: string) => form.getByTestId(`count-${id}`);
  // What is suggested leaves as little as can be over.
  await expect(form.getByTestId('bottle-left')).toContainText('left');
  for (let guard = 0; guard < 12 && (await count('b-litre').innerText()) !== '2'; guard++)
    await ((await count('b-litre').innerText()) > '2' ? fewer('Litre jar') : more('Litre jar')).click();
  for (let guard = 0; guard < 12 && (await count('b-small').innerText()) !== '3'; guard++)
    await (Number(await count('b-small').innerText()) > 3
      ? fewer('Small flask')
      : more('Small flask')
    ).click();
  await expect(form.getByTestId('filling-order')).toContainText(
    /First 2 litre jar, then \d tall bottle, then 3 small flask/,
  );
  await expect(form.getByTestId('fits')).toContainText('They fit');
  // Into the freezer they are filled less, and glass is warned of.
  await unfold(page, 'they-go-to');
  await form.getByRole('button', { name: 'Freezer' }).click();
  await expect(form).toContainText('90 % of its size');
  await expect(form).toContainText('Glass bursts in the freezer');
  await form.getByRole('button', { name: 'Fridge shelf' }).click();
  await expect(form).toContainText('96 % of its size');
  await form.getByRole('button', { name: 'For whom …' }).click();
  await form.getByLabel('For what: a feast, a season').fill('Lantern supper');
  await form.getByLabel('For whom, 1').fill('No. 14');
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
  await expect(page.getByText('for No. 14')).toHaveCount(1);
  const { items } = await server.api<{
    items: { facts: { sizeName: string; form: string; closure: string } }[];
  }>('GET', '/items');
  const of = (name: string) => items.filter((i) => i.facts.sizeName === name);
  expect(of('Litre jar')).toHaveLength(2);
  expect(of('Litre jar')[0]!.facts).toMatchObject({ form: 'jar', closure: 'swingTop' });
  expect(of('Small flask')).toHaveLength(3);
  expect(of('Tall bottle').length).toBeGreaterThan(0);
  // The views: by drink, by place with what it holds.
  await page.getByRole('link', { name: 'by place' }).click();
  await expect(page).toHaveURL(/view=place/);
  await expect(page.getByRole('heading', { name: 'Fridge shelf' })).toBeVisible();
  await expect(page.getByText(/of 20 L|of 20\.0 L/).first()).toBeVisible();
  await page.getByRole('link', { name: 'reminders' }).click();
  await expect(page.getByTestId('reminders')).toContainText('Comes round again');
  await expect(page.getByTestId('reminders')).toContainText('Lantern supper');
});

test.describe('one bottle', () => {
  test.use({ demo: true });

  test('opened, poured by glass and by level, left out two hours, frozen, thawed, thrown out; all of it undone', {
    tag: '@dates',
  }, async ({ page, server }) => {
    await page.goto(`${server.url}/shelf/demo-bottle-4`);
    const date = page.getByTestId('bottle-deadline');
    const sealed = await date.innerText();
    await deeds(page).getByRole('button', { name: 'Opened now' }).click();
    await expect(deeds(page).getByRole('button', { name: 'Opened now' })).toBeHidden();
    await deeds(page).getByRole('button', { name: 'A glass poured' }).click();
    await expect(page.getByTestId('contains')).toContainText('520 mL left');
    await deeds(page).getByRole('button', { name: 'How much is left …' }).click();
    const level = page.getByRole('slider');
    await level.focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown');
    await deeds(page).getByRole('button', { name: 'Poured', exact: true }).click();
    await expect(page.getByTestId('contains')).not.toContainText('520 mL left');
    await expect.poll(async () => (await thing(server, 'demo-bottle-4')).log.pouredMl).toBeGreaterThan(200);
    // Two hours on the table cost nearly half a day.
    await deeds(page).getByRole('button', { name: 'Taken out of the fridge' }).click();
    await expect(deeds(page).getByRole('button', { name: 'Put back in the fridge' })).toBeVisible();
    await server.pass(120);
    await deeds(page).getByRole('button', { name: 'Put back in the fridge' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('Warm hours have cost');
    // Into the freezer: its clock stands. Out again: three days at most.
    await deeds(page).getByRole('button', { name: 'Frozen' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('Frozen: its clock stands');
    await expect(date).not.toHaveText(sealed);
    await deeds(page).getByRole('button', { name: 'Into the fridge to thaw' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('It was thawed');
    // Taken back: it is frozen again.
    await page.getByRole('button', { name: /^Undo: stands on/ }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('Frozen: its clock stands');
    await deeds(page).getByRole('button', { name: 'Thrown out' }).click();
    await deeds(page).getByRole('button', { name: 'nobody drank it' }).click();
    await deeds(page).getByRole('button', { name: 'Thrown out' }).last().click();
    await expect(page.getByText(/thrown out .*nobody drank it/).first()).toBeVisible();
    await expect(deeds(page)).toBeHidden();
    await expect
      .poll(async () => (await thing(server, 'demo-bottle-4')).log.discarded?.codes)
      .toEqual(['thrown.nobody']);
    await page.goto(`${server.url}/shelf?view=gone`);
    await expect(page.getByTestId('gone')).toContainText('nobody drank it');
  });

  test('what is stored stays in sight while the shelf is slow to tell it again', {
    tag: '@dates',
  }, async ({ page, server }) => {
    await page.goto(`${server.url}/shelf/demo-bottle-4`);
    await expect(deeds(page).getByRole('button', { name: 'Opened now' })).toBeVisible();
    let letGo = () => {};
    const held = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    const isTold = (url: URL) => url.pathname.startsWith('/api/items');
    await page.route(isTold, async (route) => {
      await held;
      await route.fallback();
    });
    const asked = page.waitForRequest((request) => isTold(new URL(request.url())));
    await deeds(page).getByRole('button', { name: 'Frozen' }).click();
    await asked;
    await expect.poll(async () => (await thing(server, 'demo-bottle-4')).log.places.length).toBe(2);
    await expect(page.getByTestId('bottle-reasons')).toContainText('Frozen: its clock stands');
    await deeds(page).getByRole('button', { name: 'Into the fridge to thaw' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('It was thawed');
    await expect.poll(async () => (await thing(server, 'demo-bottle-4')).log.places.length).toBe(3);
    letGo();
    await page.unrouteAll({ behavior: 'wait' });
    await expect(page.getByTestId('bottle-reasons')).toContainText('It was thawed');
  });

  test('moved where there is no room it says what must go first; given away it is gone', {
    tag: '@dates',
  }, async ({ page, server }) => {
    const { kitchen, version } = await server.api<{ kitchen: typeof KITCHEN; version: number }>(
      'GET',
      '/kitchen',
    );
    const places = kitchen.places.map((p) => (p.id === 'door' ? { ...p, litres: 0.8, widthCm: 12 } : p));
    await server.api('PUT', '/kitchen', { version, kitchen: { ...kitchen, places } });
    await page.goto(`${server.url}/shelf/demo-bottle-5`);
    await deeds(page).getByRole('button', { name: 'Moved to …' }).click();
    await deeds(page).getByRole('button', { name: 'Fridge door' }).click();
    await expect(deeds(page)).toContainText('It is full there. First to go: Hibiscus & pineapple');
    await deeds(page).getByRole('button', { name: 'It stands there now' }).click();
    await expect(page.getByTestId('history')).toContainText('stands on: fridge door');
    await deeds(page).getByRole('button', { name: 'Given away' }).click();
    await deeds(page).getByLabel('To whom').fill('No. 11');
    await deeds(page).getByRole('button', { name: 'Given away' }).last().click();
    await expect(page.getByText(/given to No\. 11/).first()).toBeVisible();
    await page.goto(`${server.url}/shelf`);
    await expect.poll(() => shownBottles(page)).toBe(14);
  });

  test("why, what people say, and a rule of one's own: shorter at once, longer marked", {
    tag: '@dates',
  }, async ({ page, server }) => {
    await page.goto(`${server.url}/shelf/demo-raw-1`);
    await expect(page.getByTestId('bottle-reasons')).toContainText('raw juice');
    await expect(page.getByTestId('bottle-longer')).toContainText('heated with the rest');
    await expect(page.getByTestId('claims')).toContainText('Commonly said');
    await expect(page.getByTestId('claims')).toContainText('grains of rice');
    await expect(page.getByTestId('curve').getByRole('img')).toBeVisible();
    await expect(page.getByTestId('marks')).toContainText('not for older or ill people');
    const rule = page.getByTestId('own-rule');
    await rule.getByTestId('own-days').fill('2');
    await rule.getByRole('button', { name: 'That is my rule' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('Your own rule for this drink: 2 days');
    await rule.getByTestId('own-days').fill('9');
    await rule.getByRole('button', { name: 'That is my rule' }).click();
    await expect(page.getByTestId('bottle-reasons')).toContainText('My own rule: 9 days');
    await expect(rule).toContainText('Nobody has shown that it keeps longer');
    await page.goto(`${server.url}/shelf`);
    await expect(page.getByText('my own rule').first()).toBeVisible();
  });

  test('looked at and smelt: fizz in a still drink throws it out, and nothing is tasted', {
    tag: '@dates',
  }, async ({ page, server }) => {
    await page.goto(`${server.url}/shelf/demo-bottle-5`);
    const look = page.getByTestId('look');
    await look.getByRole('button', { name: 'Look at it now' }).click();
    await expect(look).not.toContainText(/taste it/i);
    await look.getByRole('button', { name: 'something settled' }).click();
    await expect(look.getByTestId('look-says')).toContainText('nothing to throw it out for');
    await look.getByRole('button', { name: 'fizz' }).click();
    await expect(look.getByTestId('look-says')).toContainText('Throw it out: fizz');
    await look.getByRole('button', { name: 'Only note it for now' }).click();
    await expect(page.getByTestId('bottle-deadline')).toHaveText('throw out');
    await expect(page.getByTestId('pressure')).toContainText('Pressure in closed glass');
    await page.getByRole('button', { name: /^Undo: looked at/ }).click();
    await expect(page.getByTestId('pressure')).toBeHidden();
  });

  test('all by keyboard: to a bottle, a glass poured, into the door', { tag: '@dates' }, async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/shelf`);
    const reach = async (name: RegExp | string, role: 'button' | 'link', presses = 70) => {
      const goal = page.getByRole(role, { name }).first();
      await goal.waitFor();
      for (let i = 0; i < presses; i++) {
        if (await goal.evaluate((e) => e === document.activeElement)) return;
        await page.keyboard.press('Tab');
      }
      throw new Error(`not reached by keyboard: ${name}`);
    };
    await reach(/Hibiscus & pineapple/, 'link');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/shelf\/demo-raw-/);
    await reach('A glass poured', 'button');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('history')).toContainText('200 mL poured');
    await reach('Moved to …', 'button');
    await page.keyboard.press('Enter');
    await reach(/^Fridge (door|shelf)$/, 'button');
    await page.keyboard.press('Enter');
    await reach('It stands there now', 'button');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('history')).toContainText('stands on: fridge');
  });
});

test.describe('by thumb', () => {
  test.use({ demo: true, viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a bottle found, poured and put into the freezer on a phone: wide enough, nothing hangs over', {
    tag: '@dates',
  }, async ({ page, server }) => {
    await page.goto(`${server.url}/shelf`);
    await page.getByTestId('bottle').getByRole('link').first().tap();
    await expect(page.getByTestId('bottle-deadline')).toBeVisible();
    await page.goto(`${server.url}/shelf/demo-bottle-6`);
    for (const button of await deeds(page).getByRole('button').all()) {
      const box = (await button.boundingBox())!;
      expect(box.height).toBeGreaterThanOrEqual(48);
    }
    // What can be done stands right below the date.
    const where = async (id: string) => (await page.getByTestId(id).boundingBox())!.y;
    expect(await where('deeds')).toBeLessThan(await where('curve'));
    await deeds(page).getByRole('button', { name: 'A glass poured' }).tap();
    await expect(page.getByTestId('contains')).toContainText('520 mL left');
    await deeds(page).getByRole('button', { name: 'Frozen' }).tap();
    await expect(page.getByTestId('bottle-reasons')).toContainText('Frozen');
    for (const path of [
      '/shelf',
      '/shelf?view=leftovers',
      '/shelf?view=reminders',
      '/shelf/labels',
      '/shelf/demo-calyx',
    ]) {
      await page.goto(`${server.url}${path}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      expect(over, path).toBeLessThanOrEqual(0);
    }
  });
});

test('what is left in the cloth is set aside, used, screened and thrown out', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await begun(server, 'sweeten');
  await page.goto(`${server.url}/batches/batch?stage=strain`);
  const aside = page.getByTestId('set-aside');
  await aside.getByRole('button', { name: /Used hibiscus/ }).click();
  await expect(aside).toContainText('of drink in it');
  await aside.getByTestId('aside-grams').fill('800');
  await aside.getByRole('button', { name: 'One portion more' }).click();
  await aside.getByRole('button', { name: /^Freezer, 90 days/ }).click();
  await expect(aside.getByRole('button', { name: /Used hibiscus/ })).toHaveCount(0);
  await aside.getByRole('button', { name: /Ginger and other root/ }).click();
  await aside.getByRole('button', { name: /^Fridge shelf/ }).click();
  await expect(aside.getByRole('button', { name: /Ginger and other root/ })).toHaveCount(0);
  await page.goto(`${server.url}/shelf?view=leftovers`);
  await expect(page.getByTestId('leftover')).toHaveCount(2);
  await page.getByRole('link', { name: /Used hibiscus, 800 g, freezer/ }).click();
  await expect(page.getByTestId('uses')).toContainText('Jam');
  // Boiled so long there is nothing left in it for a second water.
  await expect(page.getByTestId('uses')).not.toContainText('A second brew');
  await page.getByTestId('used-grams').fill('300');
  await page.getByRole('button', { name: 'Used: Jam' }).click();
  await expect(page.getByTestId('history')).toContainText('300 g for jam');
  await expect(page.getByText('500 g of 800 g left')).toBeVisible();
  await page.goto(`${server.url}/shelf?view=leftovers`);
  await page.getByRole('link', { name: /Ginger and other root/ }).click();
  // Hot root is for no animal.
  await expect(page.getByTestId('screen')).toContainText('spice or hot root in it');
  await expect(page.getByTestId('uses')).not.toContainText('Animal feed');
  await page.getByRole('button', { name: 'Thrown out' }).click();
  await expect(page.getByText(/thrown out/).first()).toBeVisible();
  await page.goto(`${server.url}/shelf?view=leftovers`);
  await expect(page.getByTestId('leftover')).toHaveCount(1);
});
