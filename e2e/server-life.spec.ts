import { begun, KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';
import { KitchenServer } from './server.ts';

test.use({ ownProcess: true });

test('a polite end closes streams and file and leaves with 0, with a page open', async ({ page, server }) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  expect(await server.stop('SIGTERM')).toBe(0);
  await server.start();
  await expect(page.getByText('The kitchen server does not answer')).toBeHidden();
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
});

test('a taken port is said plainly', async ({ server }) => {
  const second = new KitchenServer(undefined, true);
  second.port = server.port;
  await expect(second.start()).rejects.toThrow(new RegExp(`Port ${server.port} is taken.*LADLE_PORT`));
  second.dispose();
});

test('two servers on one folder: the second says where the first is, and a crash leaves nothing in the way', async ({
  server,
}) => {
  const second = new KitchenServer(undefined, true);
  second.env = { LADLE_DATA: server.dataDir };
  await expect(second.start()).rejects.toThrow(new RegExp(`in use by another Big Ladle, at ${server.url}`));
  await server.stop('SIGKILL');
  await second.start();
  await second.stop();
  second.dispose();
});

test('a backup is made, and put back from the page: the kitchen is as it was, without a restart by hand', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/kitchen?part=data`);
  const panel = page.getByTestId('backups');
  await expect(panel.getByTestId('same-disk')).toContainText('on the same disk');
  await panel.getByRole('button', { name: 'Make one now' }).click();
  await expect(panel).toContainText('looked over and good');
  await page.goto(`${server.url}/kitchen?part=house`);
  const { version } = await server.api<{ version: number }>('GET', '/kitchen');
  await server.api('PUT', '/kitchen', { version, kitchen: { ...KITCHEN, fridgeC: 9 } });
  await page.goto(`${server.url}/kitchen?part=data`);
  await panel.getByRole('button', { name: /^Restore the backup of/ }).click();
  await panel.getByRole('button', { name: 'Yes, restore it' }).click();
  await expect
    .poll(async () => {
      try {
        return (await server.api<{ kitchen: { fridgeC: number } }>('GET', '/kitchen')).kitchen.fridgeC;
      } catch {
        return null;
      }
    })
    .toBe(KITCHEN.fridgeC);
  await page.reload();
  await expect(panel).toContainText('before a return');
});

test('on a full disk it starts and shows everything; what is entered waits, and is stored once there is room', async ({
  page,
  server,
}) => {
  test.setTimeout(60_000);
  await begun(server, 'boil');
  await server.stop();
  server.fileLimitKb = 0;
  await server.start();
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  const refused = await fetch(`${server.url}/api/stock/honey`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ inHouseG: 100, packG: null, price: null }),
  });
  expect(refused.status).toBe(507);
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText(/could not be written.*1 entry waits here/);
  server.makeRoom();
  const stored = async () => {
    try {
      const { events } = await server.api<{ events: { kind: string }[] }>('GET', '/batches/batch');
      return events.filter((e) => e.kind === 'stepEnded').length;
    } catch {
      return 0;
    }
  };
  const before = await stored();
  await expect.poll(stored, { timeout: 30_000 }).toBeGreaterThan(before);
});
