import { begun, expect, KitchenServer, test } from './kitchenServer.ts';

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
  const second = new KitchenServer();
  second.port = server.port;
  await expect(second.start()).rejects.toThrow(new RegExp(`Port ${server.port} is taken.*LADLE_PORT`));
  second.dispose();
});
