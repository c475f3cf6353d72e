import { violations } from './axe.ts';
import { KITCHEN } from './begun.ts';
import { expect, test } from './fixtures.ts';
import { KitchenServer } from './server.ts';

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

test('opened from the page: a code to photograph lets a phone in, a certificate of our own makes it safe, and it closes again', async ({
  browser,
}) => {
  const server = new KitchenServer();
  await server.start();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  const first = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await first.goto(`${server.url}/kitchen?part=data`);
  const panel = first.getByTestId('devices');
  // Closed, nobody else reaches it.
  await expect(fetch(`http://127.0.0.2:${server.port}/api/time`)).rejects.toThrow();
  await panel.getByRole('button', { name: 'Open it to the home network' }).click();
  await expect(panel.getByTestId('pairing-code')).toBeVisible();
  await expect(panel.getByTestId('safe-connection')).toContainText('its screen goes dark at the stove');
  expect((await fetch(`http://127.0.0.2:${server.port}/api/kitchen`)).status).toBe(401);
  // What is photographed brings the code along: only a name is asked for.
  const code = await panel.getByTestId('pairing-code').innerText();
  const phone = await (
    await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
      ignoreHTTPSErrors: true,
    })
  ).newPage();
  await phone.goto(`http://127.0.0.2:${server.port}/#code=${code}`);
  await phone.getByRole('button', { name: 'Let me in' }).click();
  await expect(phone.getByRole('heading', { name: 'On the stove' })).toBeVisible();
  expect(new URL(phone.url()).hash).toBe('');

  await panel.getByRole('button', { name: 'Make a certificate of our own' }).click();
  await expect(panel.getByTestId('safe-connection')).toContainText('There is a certificate of your own');
  expect(await violations(first)).toEqual([]);
  const authority = await fetch(`http://127.0.0.2:${server.port}/authority.crt`);
  expect(await authority.text()).toContain('BEGIN CERTIFICATE');
  await panel.getByRole('button', { name: 'Use the safe connection' }).click();
  await expect(panel.getByRole('button', { name: 'Back to the plain connection' })).toBeVisible();
  // The first screen keeps its address; the home network comes over the safe one alone, and who was let in stays in.
  await expect(fetch(`http://127.0.0.2:${server.port}/api/time`)).rejects.toThrow();
  const answer = await phone.goto(`https://127.0.0.2:${server.port + 1}/`);
  expect(answer!.headers()['strict-transport-security']).toBeUndefined();
  await expect(phone.getByRole('heading', { name: 'On the stove' })).toBeVisible();

  await panel.getByRole('button', { name: 'Keep it to this machine again' }).click();
  await expect(panel.getByRole('button', { name: 'Open it to the home network' })).toBeVisible();
  await expect(phone.goto(`https://127.0.0.2:${server.port + 1}/`)).rejects.toThrow();
  await server.stop();
  server.dispose();
});
