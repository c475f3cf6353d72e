import { readFileSync } from 'node:fs';
import { PROBLEM_TYPE, PROBLEMS, type Problem, type ProblemCode } from '@big-ladle/core/contract';
import type { Page, Route } from '@playwright/test';
import { violations } from './axe.ts';
import { begun } from './begun.ts';
import { expect, openTool, test } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

const written = async (server: KitchenServer): Promise<string[]> =>
  (
    await server.api<{ events: { id: string; body: { code?: string } }[] }>('GET', '/batches/batch')
  ).events.flatMap((e) => e.body.code ?? []);

/** So many entries wait in this browser, whatever the page shows. */
const waiting = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const open = indexedDB.open('big-ladle');
        open.onsuccess = () => {
          const count = open.result.transaction('event').objectStore('event').count();
          count.onsuccess = () => {
            open.result.close();
            resolve(count.result);
          };
        };
      }),
  );

const problem = (title: ProblemCode, extra: Partial<Problem> = {}) => ({
  status: PROBLEMS[title],
  contentType: 'application/problem+json',
  body: JSON.stringify({ type: `${PROBLEM_TYPE}${title}`, title, status: PROBLEMS[title], ...extra }),
});

/** Whoever answers in the place of the server, and what the page says of it. */
const ANSWERS: { who: string; answer: Parameters<Route['fulfill']>[0]; says: RegExp }[] = [
  {
    who: 'a page of a network that wants a sign-in',
    answer: { status: 200, contentType: 'text/html', body: '<h1>Welcome</h1>' },
    says: /What answers here is not Big Ladle/,
  },
  {
    who: 'another program on the port',
    answer: { status: 200, contentType: 'application/json', body: '{"ok":true}' },
    says: /What answers here is not Big Ladle/,
  },
  {
    who: 'a program that has no such place',
    answer: { status: 404, contentType: 'text/html', body: 'Not Found' },
    says: /What answers here is not Big Ladle/,
  },
  {
    who: 'a program that forbids it',
    answer: { status: 403, contentType: 'application/json', body: '{"error":"no"}' },
    says: /What answers here is not Big Ladle/,
  },
  {
    who: 'our server with an older file put back',
    answer: problem('notFound', { params: { what: 'batch', id: 'batch' } }),
    says: /One entry waits here and is tried again: There is no batch/,
  },
  {
    who: 'our server with its clock set back',
    answer: problem('inTheFuture'),
    says: /One entry waits here and is tried again: This is dated in the future/,
  },
];

for (const { who, answer, says } of ANSWERS) {
  test(`what waits stays when ${who} answers, and lands when our server is back`, async ({
    page,
    server,
  }) => {
    await begun(server, 'steep', 'shortBoilLongSteep');
    await page.goto(`${server.url}/batches/batch/stove`);
    await expect(page.getByTestId('clock')).toBeVisible();
    await page.route('**/api/events', (route) => route.fulfill(answer));
    const asked = page.waitForResponse('**/api/events');
    await openTool(page, 'Add a timer');
    await page.getByRole('button', { name: 'Spice pot' }).click();
    await asked;
    await expect(page.getByText(says)).toBeVisible();
    expect(await waiting(page)).toBe(1);
    expect(await written(server)).toEqual([]);
    await page.unroute('**/api/events');
    // What waits goes first on a fresh page too.
    await page.reload();
    await expect.poll(() => written(server)).toEqual(['clock.spicePot']);
    await expect.poll(() => waiting(page)).toBe(0);
  });
}

test('an entry that our server refuses for what it is goes, is told, and lets the others through', async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('clock')).toBeVisible();
  await page.route('**/api/events', (route) =>
    /clock\.peelSoak/.test(route.request().postData() ?? '')
      ? route.fulfill(problem('invalid', { fields: [{ field: 'events.0.body.label', message: 'name' }] }))
      : route.continue(),
  );
  for (const label of ['Peel soak', 'Spice pot']) {
    await openTool(page, 'Add a timer');
    await page.getByRole('button', { name: label }).click();
  }
  await expect(page.getByText(/Not stored: Something is not right \(events\.0\.body\.label\)/)).toBeVisible();
  await expect.poll(() => written(server)).toEqual(['clock.spicePot']);
  expect(await waiting(page)).toBe(0);
});

test('what waits is in sight: in order, of what, to copy and to discard one by hand', async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('clock')).toBeVisible();
  // Until it is tried by hand; what the page tries by itself in between is in vain.
  await page.route('**/api/events', async (route) =>
    (await page.evaluate(() => 'tried' in sessionStorage))
      ? route.continue()
      : route.fulfill({ status: 200, body: '<h1>Welcome</h1>' }),
  );
  for (const label of ['Peel soak', 'Spice pot']) {
    await openTool(page, 'Add a timer');
    await page.getByRole('button', { name: label }).click();
  }
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  const list = page.getByTestId('waiting');
  const entries = list.getByTestId('waiting-entry');
  await expect(entries).toHaveText([/clock: Peel soak.*hibiscus/, /clock: Spice pot.*hibiscus/]);
  expect(await violations(page)).toEqual([]);
  const saved = page.waitForEvent('download');
  await list.getByRole('button', { name: 'Save as text' }).click();
  expect(readFileSync((await (await saved).path())!, 'utf8')).toMatch(/Peel soak.*\n.*Spice pot/);
  await entries
    .first()
    .getByRole('button', { name: /^Discard/ })
    .click();
  await expect(entries.first()).toContainText('lost for good');
  await list.getByRole('button', { name: 'Yes, discard it' }).click();
  await expect(entries).toHaveCount(1);
  const tryNow = list.getByRole('button', { name: 'Try now' });
  await tryNow.evaluate((button) =>
    button.addEventListener('click', () => sessionStorage.setItem('tried', '')),
  );
  await tryNow.click();
  await expect(list).toContainText('Nothing waits');
  expect(await written(server)).toEqual(['clock.spicePot']);
});

test('a browser that keeps nothing says so, and what is entered is stored all the same', async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  // Full from the beginning, until somebody makes room.
  await page.addInitScript(() => {
    sessionStorage.room ??= 'none';
    const { open } = IDBFactory.prototype;
    IDBFactory.prototype.open = function (...asked) {
      if (sessionStorage.room === 'none') throw new DOMException('', 'QuotaExceededError');
      return open.apply(this, asked);
    };
  });
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByText('This browser stores nothing')).toBeVisible();
  await openTool(page, 'Add a timer');
  await page.getByRole('button', { name: 'Spice pot' }).click();
  await expect.poll(() => written(server)).toEqual(['clock.spicePot']);

  // What could not be kept while the server was away is kept with the next entry, once there is room.
  await page.route('**/api/events', (route) => route.abort());
  for (const room of ['none', 'some']) {
    await page.evaluate((now) => sessionStorage.setItem('room', now), room);
    await openTool(page, 'Add a timer');
    await page.getByRole('button', { name: 'Peel soak', exact: true }).click();
    await expect(page.getByText('This browser stores nothing')).toHaveCount(room === 'none' ? 1 : 0);
  }
  expect(await waiting(page)).toBe(2);
  await page.unroute('**/api/events');
  await page.reload();
  await expect.poll(() => written(server)).toEqual(['clock.spicePot', 'clock.peelSoak', 'clock.peelSoak']);
});

test('the machine’s clock is set: it is said once, and everything goes on by the new time', async ({
  page,
  server,
}) => {
  await begun(server, 'boil');
  const hour = 3_600_000;
  let asked = 0;
  await page.route('**/api/stream', async (route) => {
    asked++;
    const message = (value: object) => `event: time\ndata: ${JSON.stringify(value)}\n\n`;
    const nowMs = server.nowMs();
    await route.fulfill({
      contentType: 'text/event-stream',
      body:
        asked === 1
          ? message({ nowMs: nowMs - hour }) + message({ nowMs, jumpMs: hour })
          : `retry: 600000\n\n${message({ nowMs })}`,
    });
  });
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByText('The kitchen’s clock is 1 h further than a moment ago')).toHaveCount(1);
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  const { events } = await server.api<{ events: { atMs: number }[] }>('GET', '/batches/batch');
  expect(Math.abs(events.at(-1)!.atMs - server.nowMs())).toBeLessThan(5 * 60_000);
});
