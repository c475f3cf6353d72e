import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { violations } from './axe.ts';
import { begun, planFor } from './begun.ts';
import { expect, test, unfold } from './fixtures.ts';

test('a photo is taken at the stove, stands beside last time’s spoon, is backed up and goes out without what a camera writes', async ({
  page,
  server,
}) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await unfold(page, 'signs');
  await unfold(page, 'spoon-photos-fold');
  await page.getByTestId('take-photo').click();
  const dialog = page.getByTestId('photo-dialog');
  await dialog.getByRole('button', { name: 'Take it' }).click();
  await expect(dialog.getByTestId('photo-draft')).toBeVisible();
  // The server is out of reach: the picture stays, and is kept with the next tap.
  await page.route('**/api/photos?**', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog.getByRole('alert')).toContainText('It is still here');
  await page.unroute('**/api/photos?**');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByTestId('spoon-photos').getByText('This spoon')).toBeVisible();
  expect(await violations(page)).toEqual([]);

  // Kept as a JPEG of nothing but the picture.
  const names = readdirSync(path.join(server.dataDir, 'photos'));
  expect(names).toEqual([expect.stringMatching(/^[0-9a-f]{64}\.jpg$/)]);
  const bytes = readFileSync(path.join(server.dataDir, 'photos', names[0]!));
  expect(bytes.length).toBeLessThanOrEqual(2 * 1024 * 1024);
  expect(bytes.includes('Exif')).toBe(false);

  // The next batch of the same drink: last time's spoon beside this one.
  await server.api('POST', '/batches', { id: 'next', plan: planFor(5) });
  const { photos, lastSpoon } = await server.api<{ photos: object[]; lastSpoon: { id: string } }>(
    'GET',
    '/photos?of=batch&ofId=next',
  );
  expect(photos).toEqual([]);
  expect(lastSpoon).toMatchObject({ ofId: 'batch' });

  // On the page of the batch it is looked at, and stays through a backup.
  await page.goto(`${server.url}/batches/batch`);
  const panel = page.getByTestId('photos');
  await panel.getByRole('button', { name: /^Photo: the spoon/ }).click();
  await expect(page.getByTestId('photo-open').getByRole('img')).toBeVisible();
  await page.getByTestId('photo-open').getByRole('button', { name: 'Close' }).click();
  await page.goto(`${server.url}/kitchen?part=data`);
  await page.getByRole('button', { name: 'Make one now' }).click();
  const backedUp = path.join(server.dataDir, 'backups', 'photos');
  await expect.poll(() => (existsSync(backedUp) ? readdirSync(backedUp) : [])).toEqual(names);
  // Out in the archive where that is chosen, and only there.
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export with photos' }).click();
  const text = readFileSync((await (await saved).path())!, 'utf8');
  const line = text.split('\n').find((l) => l.includes('"jpeg"'))!;
  expect(Buffer.from((JSON.parse(line) as { jpeg: string }).jpeg, 'base64').equals(bytes)).toBe(true);
  const plain = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export', exact: true }).click();
  expect(readFileSync((await (await plain).path())!, 'utf8')).not.toContain('"jpeg"');

  // From a file; what is no picture is said to be none.
  await page.goto(`${server.url}/drinks/deep-calyx-ginger`);
  await page
    .getByTestId('photo-file')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByRole('alert').filter({ hasText: 'no picture' })).toBeVisible();
  await page
    .getByTestId('photo-file')
    .setInputFiles({ name: 'b.jpg', mimeType: 'image/jpeg', buffer: bytes });
  await page.getByTestId('photo-dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByTestId('photos').getByRole('img')).toHaveCount(1);
  await page
    .getByTestId('photos')
    .getByRole('button', { name: /^Photo:/ })
    .click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Yes, delete it' }).click();
  await expect(page.getByTestId('photos').getByRole('img')).toHaveCount(0);
});
