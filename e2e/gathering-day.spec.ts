import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures.ts';
import { readPdf } from './pdf.ts';
import type { KitchenServer } from './server.ts';

test.use({ demo: true });

interface Stored {
  gatherings: {
    id: string;
    version: number;
    gathering: Record<string, unknown> & { servesAtMs: number; untilMs: number };
    timetable: { basis: string; places: { drinkId: string; jobId: string; startMs: number }[] } | null;
  }[];
}
const supperOf = async (server: KitchenServer) =>
  (await server.api<Stored>('GET', '/gatherings')).gatherings.find((g) => g.id === 'demo-supper')!;
const settle = async (server: KitchenServer, change: object) => {
  const { version, gathering } = await supperOf(server);
  await server.api('PUT', '/gatherings/demo-supper', { version, gathering: { ...gathering, ...change } });
};
/** With a box of ice from next door everything finds its hours. */
const BOX = { borrowed: { pots: 0, rings: 0, coldL: 25 } };

test('on the stove’s board the next jobs of the gathering stand for each who works; a batch that is late moves them, and that is told on both devices', async ({
  page,
  server,
  context,
}) => {
  const seeded = (await supperOf(server)).timetable!.basis;
  await settle(server, BOX);
  await page.goto(server.url);
  const board = page.getByTestId('feast-next');
  await expect(board).toContainText('Lantern supper');
  await expect(board.getByTestId('next-of-cook').getByTestId('next-job')).toHaveCount(3);
  await expect(board.getByTestId('next-of-sister')).toContainText('My sister');
  // The hours that this page has found are kept for all.
  await expect.poll(async () => (await supperOf(server)).timetable!.basis).not.toBe(seeded);
  await expect(page.getByTestId('moved')).toHaveCount(0);
  const before = (await supperOf(server)).timetable!;
  // Nobody strains the hibiscus: it was to be done five hours ago, and everything after it is late.
  await server.pass(14 * 60);
  await page.reload();
  await expect(page.getByTestId('moved')).toContainText('Deep hibiscus & ginger');
  await expect(page.getByTestId('moved')).toContainText('The gathering still works out.');
  // Another device tells the same.
  const other = await context.newPage();
  await other.goto(`${server.url}/gatherings/demo-supper`);
  await expect(other.getByTestId('moved')).toContainText('Deep hibiscus & ginger');
  const startOf = (of: typeof before, drinkId: string) =>
    Math.min(...of.places.filter((p) => p.drinkId === drinkId).map((p) => p.startMs));
  const after = (await supperOf(server)).timetable!;
  // What has nothing to do with it stands where it stood.
  for (const drinkId of ['mint', 'melon']) expect(startOf(after, drinkId)).toBe(startOf(before, drinkId));
  await page.getByTestId('moved').getByRole('button', { name: 'That is all right' }).click();
  await expect(page.getByTestId('moved')).toHaveCount(0);
  await expect(other.getByTestId('moved')).toHaveCount(0);
});

test('on the phone a helper sees her own list; what was bought is ticked; a jug is poured, and what stood out goes back only when told', async ({
  page,
  server,
}) => {
  const { gathering } = await supperOf(server);
  const bottles = await server.api<{ items: { facts: { itemId: string; recipeId: string } }[] }>(
    'GET',
    '/items',
  );
  const [first, second] = bottles.items.filter((i) => i.facts.recipeId === 'calyx-pineapple');
  await settle(server, {
    ...BOX,
    drinks: [
      ...(gathering.drinks as object[]),
      {
        id: 'there',
        source: { kind: 'bottles', itemIds: [first!.facts.itemId, second!.facts.itemId] },
        share: 1,
        served: 'cold',
        frozen: false,
        apart: [],
      },
    ],
    gifts: [{ id: 'gift', to: 'The neighbours', drinkId: 'there', bottles: 1, bottleMl: 750, given: false }],
  });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server.url}/gatherings/demo-supper/day`);
  await page.getByRole('button', { name: 'My sister' }).click();
  await expect(page.getByTestId('next-of-cook')).toHaveCount(0);
  await expect(page.getByTestId('next-of-sister')).toBeVisible();
  await page.getByRole('button', { name: 'everybody' }).click();
  const mine = page.getByTestId('next-of-cook');
  const ovens = mine.getByTestId('next-job').filter({ hasText: 'Bottles into the oven: Pineapple & ginger' });
  await ovens.getByRole('button', { name: 'Done' }).click();
  const undo = page.getByRole('button', { name: 'Not done yet: Bottles into the oven, Pineapple & ginger' });
  await expect(ovens).toHaveCount(0);
  await undo.click();
  await expect(ovens).toHaveCount(1);
  // A bottle on the table, a jug of what is there.
  const poured = page.getByTestId('poured-there');
  await expect(poured.getByTestId('left')).toContainText('0.6 L');
  await poured.getByRole('button', { name: 'Take a bottle out' }).click();
  await expect(poured.getByTestId('stands-out')).toHaveCount(1);
  await server.pass(50);
  await expect(poured.getByTestId('stands-out')).toContainText('50 min');
  await expect(poured.getByTestId('stands-out')).toContainText('If it goes back now');
  await poured.getByRole('button', { name: 'Put it back' }).click();
  await expect(poured.getByTestId('stands-out')).toHaveCount(0);
  // A gift is given of what nobody has opened.
  await page.getByTestId('gift').getByRole('button', { name: 'Given' }).click();
  await expect(page.getByTestId('gift')).toContainText('given');
  await expect(poured.getByTestId('left')).toContainText('0.3 L');
  await poured.getByRole('button', { name: /A jug poured/ }).click();
  await expect(poured.getByTestId('left')).toContainText(/^0/);
  await expect(poured.getByRole('button', { name: /A jug poured/ })).toHaveCount(0);
  // On the day itself it is said once who does not prepare.
  await expect(page.getByTestId('who-is-ill')).toHaveCount(0);
  await server.setClock(gathering.servesAtMs - 6 * 3_600_000);
  await page.reload();
  await page.getByTestId('who-is-ill').getByRole('button', { name: 'Understood' }).click();
  await page.reload();
  await expect(page.getByTestId('day-next')).toBeVisible();
  await expect(page.getByTestId('who-is-ill')).toHaveCount(0);
});

test('table cards and the timetable are printed and read back; all of it is shopped for; afterwards three questions, and next year’s', async ({
  page,
  server,
}) => {
  await settle(server, BOX);
  await page.goto(`${server.url}/gatherings/demo-supper`);
  await expect(page.getByTestId('timetable')).toBeVisible();
  await page.getByRole('link', { name: 'Table cards' }).click();
  await expect(page.getByTestId('cards').getByTestId('sheet')).toBeVisible();
  for (const [paper, width, height] of [
    [/^A4/, 210, 297],
    [/^Letter/, 216, 279],
  ] as const) {
    await page.getByRole('button', { name: paper }).click();
    const [pdf] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as PDF' }).click(),
    ]);
    const [sheet] = await readPdf(new Uint8Array(readFileSync(await pdf.path())), []);
    expect([Math.round(sheet!.widthMm), Math.round(sheet!.heightMm)]).toEqual([width, height]);
    for (const said of ['Lemongrass, ginger & mint', 'honey', 'never under one year', 'Not for: '])
      expect(sheet!.text).toContain(said);
  }
  await page.getByRole('link', { name: 'All of the gathering' }).click();
  await page.locator('main').getByRole('link', { name: 'Shopping' }).click();
  await expect(page.getByTestId('for-gathering')).toContainText('Lantern supper');
  await expect(page.getByTestId('for-gathering')).toContainText('ice on the day itself');
  await expect(page.getByText('Watermelon', { exact: true })).toBeVisible();
  // It was yesterday.
  const { gathering } = await supperOf(server);
  await server.setClock(gathering.untilMs + 12 * 3_600_000);
  await page.goto(`${server.url}/gatherings/demo-supper`);
  await page.getByRole('link', { name: 'How it was' }).click();
  await page.getByRole('button', { name: 'too little' }).click();
  await page.getByRole('button', { name: 'Melon hibiscus' }).click();
  await page.getByLabel('What will you do otherwise next time?').fill('A second jug of melon');
  await page.getByTestId('drunk').fill('40');
  await page.getByTestId('drunk').press('Enter');
  await page.getByRole('button', { name: 'Plan next year’s' }).click();
  await expect(page.getByTestId('last-time')).toContainText('A second jug of melon');
  await expect(page.getByTestId('last-time')).toContainText('Ran out: Melon hibiscus');
  await expect(page.getByTestId('last-time')).toContainText('40.0 L');
  // Their thirst is counted better: half as much again was drunk.
  await expect(
    page.getByText(/One gathering of this house is counted: your guests drink 12\d %/),
  ).toBeVisible();
});
