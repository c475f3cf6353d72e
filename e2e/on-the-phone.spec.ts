import { expect, KITCHEN, KitchenServer, test } from './kitchenServer.ts';

test('a phone of the home network comes in by the code of the first screen, and is shut out again', async ({
  browser,
}) => {
  const server = new KitchenServer();
  server.env = { LADLE_HOST: '0.0.0.0' };
  await server.start();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  // The phone calls the server at another address than its own: to the server it is a stranger.
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
  ).newPage();
  await phone.goto(`http://127.0.0.2:${server.port}/`);
  await expect(phone.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
  await phone.getByLabel('Code of six figures').fill('12345');
  await expect(phone.getByRole('button', { name: 'Let me in' })).toBeDisabled();

  const first = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await first.goto(`${server.url}/kitchen?part=data`);
  const code = await first.getByTestId('pairing-code').innerText();
  await phone.getByLabel('Code of six figures').fill(code === '000000' ? '000001' : '000000');
  await phone.getByRole('button', { name: 'Let me in' }).click();
  await expect(phone.getByText('This is not the code on the first screen')).toBeVisible();
  await phone.getByLabel('Code of six figures').fill(code);
  await phone.getByLabel('What to call this device').fill('Phone on the tiles');
  await phone.getByRole('button', { name: 'Let me in' }).click();
  await expect(phone.getByRole('heading', { name: 'On the stove' })).toBeVisible();

  await first.reload();
  await expect(first.getByText('Phone on the tiles')).toBeVisible();
  await expect(first.getByTestId('pairing-code')).not.toHaveText(code);
  await first.getByRole('button', { name: 'Shut out Phone on the tiles' }).click();
  await expect(first.getByText('Phone on the tiles')).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
  await phone.context().close();
  await first.context().close();
  await server.stop();
  server.dispose();
});
