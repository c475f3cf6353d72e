import { KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';

test('a feast planned from nothing: guests, two drinks, how much, one trip to the shop, and its hours', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/gatherings`);
  await expect(page.getByText('No gathering is planned yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan a gathering' }).click();
  await expect(page.getByRole('heading', { name: 'Our gathering' })).toBeVisible();
  for (const drink of ['Deep hibiscus & ginger', 'Hibiscus & pineapple']) {
    await page.getByLabel('Add a drink of the book').click();
    await page.getByRole('option', { name: drink, exact: true }).click();
    await expect(page.getByTestId('settle-drink').filter({ hasText: drink })).toBeVisible();
  }
  // Twelve people: two glasses in the first hour and one in each further one.
  await expect(page.getByTestId('figures')).toContainText(/12\s*guests/);
  await expect(page.getByTestId('timetable')).toBeVisible();
  await expect(page.getByTestId('joined').filter({ hasText: 'one trip to the shop' })).toBeVisible();
  await expect(page.getByTestId('job').filter({ hasText: 'Shop' })).toHaveCount(1);
  const litres = async () => Number.parseFloat(await page.getByTestId('to-make').innerText());
  const before = await litres();
  // Surer: more of it. Once more by the keys, as by a thumb.
  await page.getByRole('slider', { name: 'Litres to make' }).focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('PageUp');
  await expect.poll(litres).toBeGreaterThan(before);
  // She would rather go twice.
  await page.getByTestId('joined').filter({ hasText: 'one trip to the shop' }).getByRole('button').click();
  await expect(page.getByText('Done apart: one trip to the shop')).toBeVisible();
  await expect(page.getByTestId('job').filter({ hasText: 'Shop' })).toHaveCount(2);
  // A job is put an hour earlier, by keys; the rest gives way.
  await expect(page.getByText(/Working it out/)).toHaveCount(0);
  const shop = page.getByTestId('job-bar').first();
  await shop.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('pinned')).toContainText('Held where you put it: Shop');
  await page.getByTestId('pinned').getByRole('button', { name: 'Let it move again' }).click();
  await expect(page.getByTestId('pinned')).toHaveCount(0);
  // And dragged.
  await expect(page.getByText(/Working it out/)).toHaveCount(0);
  const box = (await page.getByTestId('job-bar').first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByTestId('pinned')).toHaveCount(1);
  // Everything stays.
  await page.reload();
  await expect(page.getByText('Done apart: one trip to the shop')).toBeVisible();
  await expect(page.getByTestId('settle-drink')).toHaveCount(2);
});

test.describe('the lantern supper', () => {
  test.use({ demo: true });

  test('who may drink what is drawn; whoever has nothing is served from a part set apart; what cannot be is said', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/gatherings`);
    await page.getByRole('link', { name: 'Lantern supper' }).click();
    const groups = page.getByTestId('guests-and-lots');
    await expect(groups.getByTestId('group-sugar')).toContainText('have nothing to drink yet');
    await expect(groups.getByTestId('group-grown')).toContainText('drink anything');
    await expect(groups.getByTestId('group-honey')).toContainText(
      'drink anything but Lemongrass, ginger & mint',
    );
    await page.getByText('Who leaves what, and why').click();
    await expect(page.getByTestId('why-not')).toContainText('Too sweet');
    await page.getByTestId('mend').getByRole('button').first().click();
    await expect(page.getByTestId('all-served')).toBeVisible();
    await expect(groups.getByTestId('group-sugar')).not.toContainText('nothing to drink');
    // What stands there in two parts is one drink to who may have it; the part set apart has no honey either.
    await expect(groups.getByTestId('group-grown')).toContainText('drink anything');
    await expect(groups.getByTestId('group-honey')).not.toContainText('but Lemongrass');
    await expect(groups.getByTestId('group-honey')).toContainText('drink anything');
    // Four drinks, and a fridge of twenty litres.
    await expect(page.getByTestId('no-place')).toContainText('No hours were found');
    await expect(page.getByTestId('no-place')).toContainText('stand in the fridge at once');
    const waysOut = page.getByTestId('ways-out');
    await expect(waysOut.getByTestId('limits')).toContainText('room in the fridge', { timeout: 40_000 });
    await waysOut.getByTestId('way-out-coolBox').getByRole('button', { name: 'Do that' }).click();
    // Taken, it works.
    await expect(waysOut).toHaveCount(0);
    await expect(page.getByText(/Working it out/)).toHaveCount(0);
    await expect(page.getByTestId('no-place')).toHaveCount(0);
    await expect(page.getByTestId('days-lanes')).toBeVisible();
    await page.getByTestId('all-served').getByRole('button', { name: 'Do not set it apart' }).click();
    await expect(page.getByTestId('mend')).toBeVisible();
  });

  test('what is entered while the server is away stays, over a reload too, and is stored when it is back', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/gatherings/demo-supper`);
    const notes = page.getByLabel('Notes');
    await expect(notes).toHaveValue(/Lanterns/);
    // It takes no changes: the page itself can still be fetched.
    await page.route('**/api/**', (route) =>
      route.request().method() === 'GET' ? route.continue() : route.abort(),
    );
    await notes.fill('Said while it was away');
    await notes.blur();
    await expect(page.getByTestId('waits-here')).toBeVisible();
    // Somebody else settles something else meanwhile.
    const stored = async () => {
      type Stored = { gatherings: { version: number; gathering: { notes: string; assurance: number } }[] };
      return (await server.api<Stored>('GET', '/gatherings')).gatherings[0]!;
    };
    const { version, gathering } = await stored();
    const body = { version, gathering: { ...gathering, assurance: 0.8 } };
    await server.api('PUT', '/gatherings/demo-supper', body);
    await page.reload();
    await expect(notes).toHaveValue('Said while it was away');
    await expect(page.getByTestId('waits-here')).toBeVisible();
    await page.unroute('**/api/**');
    await expect(page.getByTestId('waits-here')).toHaveCount(0);
    expect((await stored()).gathering).toMatchObject({ notes: 'Said while it was away', assurance: 0.8 });
  });

  test('two windows on one gathering: both changes stay', async ({ page, server, context }) => {
    const other = await context.newPage();
    for (const window of [page, other]) await window.goto(`${server.url}/gatherings/demo-supper`);
    const notes = page.getByLabel('Notes');
    await notes.fill('Jugs from next door');
    await notes.blur();
    await expect(other.getByLabel('Notes')).toHaveValue('Jugs from next door');
    await other.getByLabel('Name', { exact: true }).fill('Supper of lanterns');
    await other.getByLabel('Name', { exact: true }).blur();
    await expect(page.getByRole('heading', { name: 'Supper of lanterns' })).toBeVisible();
    await expect(page.getByLabel('Notes')).toHaveValue('Jugs from next door');
  });
});
