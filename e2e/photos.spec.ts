import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { Batch } from '@big-ladle/core/contract';
import type { LearningDoc } from '@big-ladle/core/learn';
import { markerGPerL } from '@big-ladle/core/liquor';
import { simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import type { Page } from '@playwright/test';
import { chanceScene, photograph, type Scene } from '../core/src/instruments/spoon/renderSpoon.fixtures.ts';
import { violations } from './axe.ts';
import { begun, KITCHEN, planFor } from './begun.ts';
import { expect, test, unfold } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

/** A batch boils, and its spoon is to be photographed. */
async function atTheSpoon(page: Page, server: KitchenServer): Promise<void> {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await unfold(page, 'signs');
  await unfold(page, 'spoon-photos-fold');
}

test('a photo is taken at the stove, stands beside last time’s spoon, is backed up and goes out without what a camera writes', async ({
  page,
  server,
}) => {
  await atTheSpoon(page, server);
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

/** Takes a picture of a thinned spoon from a file, and points at its white and its drink. */
async function readPicture(page: Page, change: Partial<Scene>): Promise<void> {
  const shot = photograph({ ...chanceScene(5, 35, 9), exposure: 0.6, ...change });
  await page
    .getByTestId('read-spoon')
    .getByTestId('photo-file')
    .setInputFiles({ name: 'spoon.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(shot.file) });
  await page.getByTestId('photo-dialog').getByRole('button', { name: '9', exact: true }).click();
  const seen = page.getByTestId('spoon-picture');
  const box = (await seen.boundingBox())!;
  for (const { x, y } of [shot.white, shot.drink])
    await seen.click({ position: { x: (x / shot.width) * box.width, y: (y / shot.height) * box.height } });
}

interface Measured {
  kind: string;
  body: { reading: { what: string; redGPerL: number } };
}

test('a thinned spoonful is photographed and read; one that cannot be read says why, and is only kept', async ({
  page,
  server,
}) => {
  await atTheSpoon(page, server);
  await unfold(page, 'read-spoon-fold');
  const how = page.getByTestId('read-spoon');
  await expect(how).toContainText('By a window, no lamp');
  const dialog = page.getByTestId('photo-dialog');
  const result = page.getByTestId('spoon-result');
  const seen = page.getByTestId('spoon-picture');
  const take = (change: Partial<Scene>) => readPicture(page, { brownGPerL: 35, ...change });

  // Not thinned, though it was said to be; a window that shines in it: refused, each with its reason.
  await take({ thinned: 0 });
  await expect(result).toContainText('Too dark: thin one spoon with 19 of water');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await take({ window: true });
  await expect(result).toContainText('Something shines in the drink');
  // It is a picture all the same.
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog).toHaveCount(0);
  const measured = async () =>
    (await server.api<{ events: Measured[] }>('GET', '/batches/batch')).events.filter(
      (e) => e.kind === 'measured',
    );
  expect(await measured()).toEqual([]);

  await take({});
  await expect(result).toContainText('It can be read. Next time this says whether it is paler or darker.');
  expect(await violations(page)).toEqual([]);
  // A spot is moved by keys as well: away from the white nothing can be told.
  await dialog.getByRole('button', { name: 'the dry white' }).click();
  await seen.focus();
  await expect(seen).toHaveAttribute(
    'aria-label',
    /the dry white is 50 % from the left and 19 % from the top/,
  );
  for (let i = 0; i < 19; i++) await page.keyboard.press('ArrowUp');
  await expect(result).toContainText('further from the edge');
  for (let i = 0; i < 19; i++) await page.keyboard.press('ArrowDown');
  await expect(result).toContainText('It can be read');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog).toHaveCount(0);
  await expect.poll(async () => (await measured()).length).toBe(1);
  const [row] = await measured();
  expect(row!.body.reading.what).toBe('red');
  // Thirty-five grams were drawn into a litre; the ginger of this batch is not in the picture.
  expect(row!.body.reading.redGPerL).toBeGreaterThan(35 * 0.7);
  expect(row!.body.reading.redGPerL).toBeLessThan(35 * 1.3);
  await page.goto(`${server.url}/batches/batch`);
  await expect(page.getByText(/of hibiscus in a litre, by a photo/).first()).toBeVisible();
});

/** By how much redder than the drink the pictures of this house are. */
const OFF = 1.25;

/** A batch that was made some days ago as it was planned, its spoon photographed and read when it was strained. */
async function madeBefore(server: KitchenServer, id: string, daysAgo: number): Promise<number> {
  const startMs = Math.round(server.nowMs() - daysAgo * 86_400_000);
  let seq = 0;
  const entry = (kind: string, body: object, atMin: number) => ({
    id: `${id}-${++seq}`,
    stream: { kind: 'batch', id },
    v: 1,
    atMs: Math.round(startMs + atMin * 60_000),
    deviceId: id,
    deviceSeq: seq,
    kind,
    body,
  });
  await server.api('POST', '/batches', { id, plan: planFor(9) });
  const first = entry('stepStarted', { stepId: 'pick' }, 0);
  const { pins } = await server.api<Batch>('POST', `/batches/${id}/start`, { version: 1, events: [first] });
  const sim = simulateBatch(pins!.program, pins!.kitchen, SHIPPED_TABLES);
  const strained = sim.trace.find((t) => t.kind === 'strain')!;
  const redGPerL = markerGPerL(strained.after.liquor, 'red') * OFF;
  const reading = { what: 'red', redGPerL, thinned: 9 };
  const { stepId, vesselId, endMin } = strained;
  await server.api('POST', '/events', {
    events: [
      ...sim.trace.map((t) => entry('stepEnded', { stepId: t.stepId }, t.endMin)),
      entry('measured', { stepId, vesselId, reading }, endMin - 0.1),
    ],
  });
  const { file } = photograph(chanceScene(5, 35, 9));
  const about = `id=spoon-${id}&of=batch&ofId=${id}&what=spoon&takenMs=${startMs + endMin * 60_000}`;
  const answer = await fetch(`${server.url}/api/photos?${about}`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg' },
    body: Buffer.from(file),
  });
  expect(answer.status).toBeLessThan(300);
  return redGPerL;
}

test('one batch before, a spoon is paler or darker than last time; three, and it says how many grams', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  const lastGPerL = await madeBefore(server, 'first', 21);
  await atTheSpoon(page, server);
  await unfold(page, 'read-spoon-fold');
  const dialog = page.getByTestId('photo-dialog');
  const result = page.getByTestId('spoon-result');
  const spoonOf = (share: number) =>
    readPicture(page, { redGPerL: lastGPerL * share, brownGPerL: lastGPerL });
  await spoonOf(0.5);
  await expect(result).toHaveText('Paler than last time. How strong it is, it says after three batches.');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await spoonOf(1.6);
  await expect(result).toHaveText('Darker than last time. How strong it is, it says after three batches.');
  await dialog.getByRole('button', { name: 'Close' }).click();

  await madeBefore(server, 'second', 14);
  await madeBefore(server, 'third', 7);
  const told = async () =>
    (await server.api<LearningDoc>('GET', '/learning')).told.beliefs.find((b) => b.id === 'pictures')
      ?.batchIds;
  await expect.poll(told).toHaveLength(3);
  await page.goto(`${server.url}/batches/batch/stove`);
  await unfold(page, 'signs');
  await unfold(page, 'spoon-photos-fold');
  await unfold(page, 'read-spoon-fold');
  await spoonOf(1);
  await expect(result).toContainText(/About \d+ g of hibiscus in a litre, likely [\d.]+ g to [\d.]+ g\./);
  const grams = Number.parseFloat(/About (\d+) g/.exec(await result.innerText())![1]!);
  // The picture shows as much as last time; the drink itself has less, by what the house's pictures are off.
  expect(grams).toBeGreaterThan((lastGPerL / OFF) * 0.8);
  expect(grams).toBeLessThan(lastGPerL * 0.97);
});
