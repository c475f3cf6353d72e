import { readFileSync } from 'node:fs';
import { begun, KITCHEN, planFor } from './begun.ts';
import { typeMoment, typeTime } from './dateFields.ts';
import { expect, openTool, test, unfold } from './fixtures.ts';

test('made again with a tap: last time’s lesson stands at its step', async ({ page, server }) => {
  await begun(server, 'bottle');
  await page.goto(`${server.url}/batches/batch/stove`);
  await openTool(page, 'Something else');
  await page.getByRole('button', { name: 'not as planned' }).click();
  await page.getByRole('button', { name: 'It burnt a little' }).click();
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await page.getByRole('link', { name: 'Cold shelf' }).click();
  await page.waitForURL('**/shelf');
  await page.goto(`${server.url}/batches/batch`);
  await page.getByLabel('A note').fill('less clove');
  await page.getByRole('button', { name: 'Add note' }).click();
  // One thing to change is proposed, put in her own words, and noted at its step.
  const next = page.getByTestId('next-time');
  await next.getByLabel('One thing to change next time').fill('shut the window');
  await next.getByRole('button', { name: 'Note it at its step' }).click();
  await expect(next).toContainText('Next time: shut the window');
  await page.getByRole('button', { name: 'Make it again' }).click();
  await page.getByTestId('ready').click();
  await expect(page.getByRole('heading', { name: 'Sort' })).toBeVisible();
  await expect(page.getByTestId('last-time')).toContainText('less clove');
  const { batches } = await server.api<{ batches: { batch: { status: string } }[] }>('GET', '/batches');
  expect(batches.map((b) => b.batch.status).sort()).toEqual(['done', 'on']);
});

test('a pot that is on without a plan is joined where it stands', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByRole('button', { name: 'I have already started' }).click();
  await page.getByLabel('It is at').selectOption({ label: 'Boil gently' });
  await page.getByLabel('Since').fill('9');
  await page.getByRole('button', { name: 'Go on from there' }).click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  const left = Number(await page.getByTestId('clock').getAttribute('data-end-ms')) - server.nowMs();
  // The boil of this drink takes 25 minutes; nine are gone.
  expect(left / 60_000).toBeGreaterThan(15);
  expect(left / 60_000).toBeLessThan(16.5);
  await page.getByTestId('done').click();
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
});

test('yesterday’s batch is written up: when it was bottled, into what; its bottles stand there since then', {
  tag: '@dates',
}, async ({ page, server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=straightBoil`);
  await page.getByRole('button', { name: 'I have already started' }).click();
  await page.getByLabel('It is at').selectOption({ label: 'It is finished, and in bottles' });
  const write = page.getByRole('button', { name: 'Write it up' });
  await expect(write).toBeDisabled();
  // A moment to come is none at which it was bottled.
  await typeMoment(page, 'Bottled at', '2027-11-24T20:00');
  await expect(page.getByRole('dialog')).toContainText('That is still to come.');
  await expect(write).toBeDisabled();
  await typeMoment(page, 'Bottled at', '2026-11-24T20:00');
  await page.getByLabel('Tall bottle').fill('6');
  await expect(page.getByRole('dialog')).toContainText(/It makes [\d.]+ L; 4\.\d L of it in bottles\./);
  await write.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Deep hibiscus & ginger');
  await expect(page.getByTestId('how-was-it')).toBeVisible();
  const { items } = await server.api<{ items: { facts: { bottle: { filledMs: number } } }[] }>(
    'GET',
    '/items',
  );
  expect(items).toHaveLength(6);
  for (const { facts } of items)
    expect(Math.abs(facts.bottle.filledMs - Date.UTC(2026, 10, 24, 20))).toBeLessThan(60_000);
});

test('start by keeps out of the night; too late says what binds and offers three ways out', {
  tag: '@dates',
}, async ({ page, server }) => {
  // Tuesday 24 November 2026, 18:00: bed at 22:30, up at 06:30.
  await server.setClock(Date.UTC(2026, 10, 24, 18), true);
  await server.api('PUT', '/kitchen', {
    version: 0,
    kitchen: {
      ...KITCHEN,
      away: [{ kind: 'asleep', days: [0, 1, 2, 3, 4, 5, 6], fromMin: 22 * 60 + 30, toMin: 6 * 60 + 30 }],
    },
  });
  await page.clock.setFixedTime(Date.UTC(2026, 10, 24, 18));
  await page.goto(`${server.url}/new/deep-calyx-ginger?method=shortBoilLongSteep`);
  await typeMoment(page, 'Ready by', '2026-11-25T12:00');
  await expect(page.getByTestId('start-by')).toContainText('start by');
  await unfold(page, 'hour-by-hour');
  const calls = await page.getByRole('region', { name: 'When you are needed' }).innerText();
  // Nothing calls between half past ten and half past six.
  const hours = [...calls.matchAll(/(\d{2}):(\d{2})/g)].map((m) => Number(m[1]) * 60 + Number(m[2]));
  expect(hours.length).toBeGreaterThan(3);
  for (const minute of hours) expect(minute > 22 * 60 + 30 || minute < 6 * 60 + 29).toBe(false);

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Into the calendar' }).click();
  const file = readFileSync(await (await download).path(), 'utf8');
  expect(file).toContain('BEGIN:VCALENDAR');
  expect(file).toMatch(/SUMMARY:Bottle \(Deep hibiscus/);
  expect(file.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(5);

  await typeMoment(page, 'Ready by', '2026-11-24T22:00');
  await expect(page.getByTestId('start-by')).toContainText('too late by');
  await expect(page.getByTestId('too-late')).toContainText('What binds is “steep”');
  await expect(page.getByTestId('way-fasterMethod')).toContainText('in time');
  await expect(page.getByTestId('way-splitPots')).toContainText('twice the washing-up');
  await expect(page.getByTestId('way-laterServing')).toContainText('ready Wed');
  await page.getByTestId('way-fasterMethod').getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByTestId('too-late')).toHaveCount(0);
  await expect(page.getByTestId('start-by')).toContainText('start by');
});

test('hours away are set in the kitchen', async ({ page, server }) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await server.api('POST', '/batches', { id: 'plan', plan: planFor(6) });
  await page.goto(`${server.url}/kitchen?part=house`);
  const panel = page.getByRole('region', { name: 'Your hours' });
  await panel.getByRole('button', { name: 'I sleep' }).click();
  await expect(panel.getByTestId('away-hours')).toHaveCount(1);
  await typeTime(panel, 'Asleep from', '23:15');
  await panel.getByRole('button', { name: 'I am out' }).click();
  await expect(panel.getByTestId('away-hours')).toHaveCount(2);
  await expect
    .poll(
      async () =>
        (await server.api<{ kitchen: { away: { fromMin: number }[] } }>('GET', '/kitchen')).kitchen.away,
    )
    .toMatchObject([{ fromMin: 23 * 60 + 15 }, { fromMin: 480 }]);
});
