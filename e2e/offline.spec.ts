import type { BrowserContext, Page } from '@playwright/test';
import { begun } from './begun.ts';
import { atTheClock, expect, openTool, test } from './fixtures.ts';
import type { KitchenServer } from './server.ts';
import { Wire } from './wire.ts';

test.use({ viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

interface Entry {
  id: string;
  kind: string;
  deviceId: string;
  body: { code?: string };
}
const written = async (server: KitchenServer): Promise<Entry[]> =>
  (await server.api<{ events: Entry[] }>('GET', '/batches/batch')).events.filter(
    (e) => !e.id.startsWith('setup'),
  );

/** Loaded once, with its page and its answers kept: from now on it needs no server to show the stove. */
async function kept(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/batches/batch/stove`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect
    .poll(() => page.evaluate(async () => (await caches.match('/', { ignoreSearch: true })) !== undefined), {
      timeout: 30_000,
    })
    .toBe(true);
  // What the page asks for is kept when it is asked through the worker.
  await page.reload();
  await expect(page.getByTestId('clock')).toBeVisible();
  await expect
    .poll(() => page.evaluate(async () => (await caches.match('/api/batches/batch')) !== undefined))
    .toBe(true);
}

const clock = async (page: Page, label: string) => {
  await openTool(page, 'Add a timer');
  await page.getByRole('button', { name: label }).click();
  await expect(page.getByTestId('small-clocks')).toContainText(label);
};

const otherDevice = async (context: BrowserContext, server: KitchenServer): Promise<Page> => {
  const other = await context.browser()!.newContext({ serviceWorkers: 'block', timezoneId: 'UTC' });
  await atTheClock(other, server);
  const page = await other.newPage();
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('clock')).toBeVisible();
  return page;
};

/** A steep that is on, this device behind a wire that can be cut, and another one beside the server. */
async function twoDevices(page: Page, server: KitchenServer, context: BrowserContext) {
  await begun(server, 'steep', 'shortBoilLongSteep');
  const wire = await new Wire(() => server.port).lay();
  await kept(page, wire.url);
  return { wire, other: await otherDevice(context, server) };
}

test('cut off in the middle of a step: five deeds, a reload without the server, all of them once and in order on both devices', async ({
  page,
  server,
  context,
}) => {
  const { wire, other } = await twoDevices(page, server, context);

  await wire.cut();
  await expect(page.getByText('The kitchen server does not answer')).toBeVisible();
  await clock(page, 'Spice pot');
  await clock(page, 'Peel soak');
  await page.reload();
  // The page and the batch are there without the server, and so is what was said to it.
  await expect(page.getByRole('heading', { name: 'Steep' })).toBeVisible();
  await expect(page.getByTestId('small-clocks')).toContainText('Peel soak');
  await expect(page.getByText(/2 entries wait here/)).toBeVisible();
  await clock(page, 'Bottles in hot water');
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.getByRole('button', { name: 'One jug more' }).click({ clickCount: 5 });
  await page.getByRole('button', { name: 'Strained' }).click();
  // Asked once, kindly, also without the server.
  await expect(page.getByText('A spill, or a miscount?')).toBeVisible();
  await page.getByRole('button', { name: 'Strained' }).click();
  await expect(page.getByText(/6 entries wait here/)).toBeVisible();
  expect(await written(server)).toEqual([]);

  await wire.mend();
  await expect(page.getByText('The kitchen server does not answer')).toBeHidden({ timeout: 15_000 });
  await expect
    .poll(async () => (await written(server)).map((e) => e.body.code ?? e.kind), { timeout: 15_000 })
    .toEqual(['clock.spicePot', 'clock.peelSoak', 'clock.hotBottles', 'stepEnded', 'measured', 'stepEnded']);
  await expect(page.getByRole('heading', { name: 'Sweeten by taste' })).toBeVisible();
  await expect(other.getByRole('heading', { name: 'Sweeten by taste' })).toBeVisible();
  await expect(other.getByTestId('small-clocks')).toContainText('Bottles in hot water');
  await other.context().close();
  await wire.cut();
});

test('killed between the acknowledgement and its own tidying up: sent again, stored once', async ({
  page,
  server,
  context,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  const wire = await new Wire(() => server.port).lay();
  await kept(page, wire.url);
  // The server hears and stores; its answer never arrives, and then the page is gone.
  wire.deaf = true;
  await clock(page, 'Spice pot');
  await expect.poll(async () => (await written(server)).length).toBe(1);
  await page.close();
  await wire.cut();
  await wire.mend();
  const again = await context.newPage();
  await again.goto(`${wire.url}/batches/batch/stove`);
  await expect(again.getByTestId('small-clocks')).toContainText('Spice pot');
  await expect
    .poll(() =>
      again.evaluate(
        () =>
          new Promise((resolve) => {
            const open = indexedDB.open('big-ladle');
            open.onsuccess = () => {
              const count = open.result.transaction('event').objectStore('event').count();
              count.onsuccess = () => {
                open.result.close();
                resolve(count.result);
              };
            };
          }),
      ),
    )
    .toBe(0);
  expect((await written(server)).map((e) => e.body.code)).toEqual(['clock.spicePot']);
  await wire.cut();
});

test('two devices end the same step: the earlier holds, the other shows in the log', async ({
  page,
  server,
  context,
}) => {
  const { wire, other } = await twoDevices(page, server, context);
  await wire.cut();
  // This one says it first, without the server; the other one later, with it.
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await other.getByTestId('done').click();
  await expect(other.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await wire.mend();
  await expect.poll(async () => (await written(server)).length, { timeout: 15_000 }).toBe(2);
  const ends = (
    await server.api<{ events: (Entry & { atMs: number })[] }>('GET', '/batches/batch')
  ).events.filter((e) => e.kind === 'stepEnded' && !e.id.startsWith('setup'));
  await page.goto(`${wire.url}/batches/batch`);
  await expect(page.getByTestId('log')).toContainText('entered on another device as well');
  await expect(other.getByRole('heading', { name: 'Strain' })).toBeVisible();
  expect(ends).toHaveLength(2);
  await other.context().close();
  await wire.cut();
});
