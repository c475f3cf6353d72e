import type { Page } from '@playwright/test';
import { begun, planFor } from './begun.ts';
import { expect, openTool, test, unfold } from './fixtures.ts';
import type { KitchenServer } from './server.ts';

test.use({ viewport: { width: 390, height: 844 } });

/** A second batch, by long simmer, that stands at the start of its boil. */
async function secondBatch(server: KitchenServer): Promise<void> {
  await server.api('POST', '/batches', { id: 'other', plan: planFor(5, 'longSimmer') });
  const nowMs = server.nowMs();
  let seq = 0;
  const event = (kind: string, body: object, atMs: number) => ({
    id: `other-${++seq}`,
    stream: { kind: 'batch', id: 'other' },
    v: 1,
    atMs,
    deviceId: 'setup',
    deviceSeq: 1000 + seq,
    kind,
    body,
  });
  const batch = await server.api<{ pins: { program: { steps: { id: string; kind: string }[] } } }>(
    'POST',
    '/batches/other/start',
    { version: 1, events: [event('stepStarted', { stepId: 'pick' }, nowMs - 3_600_000)] },
  );
  const { steps } = batch.pins.program;
  const done = steps.slice(
    0,
    steps.findIndex((s) => s.kind === 'boil'),
  );
  await server.api('POST', '/events', {
    events: done.map((s, i) => event('stepEnded', { stepId: s.id }, nowMs - (done.length - 1 - i) * 600_000)),
  });
}

/** Everything that can be tapped on the page, with its size. */
const targets = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main button, main a, main select, main [role="button"]')]
      .filter((e) => e.offsetParent !== null)
      .map((e) => ({
        text: (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40),
        height: e.getBoundingClientRect().height,
        width: e.getBoundingClientRect().width,
      })),
  );

test('three clocks in two batches: the alarms queue in order, each says what to do', {
  tag: '@dates',
}, async ({ page, server }) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await secondBatch(server);
  await page.goto(`${server.url}/batches/other/stove`);
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  // A clock of the cook's own beside the boil and the other pot's steep.
  await openTool(page, 'Add a timer');
  await page.getByLabel('For', { exact: true }).fill('6');
  await page.getByRole('button', { name: 'Spice pot' }).click();
  await expect(page.getByTestId('small-clocks')).toContainText('Spice pot');
  await expect(page.getByTestId('small-clocks')).toContainText('steep');

  // Four hours on: the boil of ten minutes and the spice pot are over, the steep may be strained.
  await server.pass(4 * 60 + 2);
  const alarms = page.getByTestId('alarm');
  await expect(alarms).toHaveCount(3);
  await expect(alarms.nth(0)).toContainText('1 of 3');
  await expect(alarms.nth(0)).toContainText('boil gently');
  await expect(alarms.nth(0)).toContainText('turn the flame down to a simmer');
  await expect(alarms.nth(1)).toContainText('Spice pot: time is up');
  await expect(alarms.nth(2)).toContainText('steep: long enough to strain');
  await alarms.nth(0).getByRole('button', { name: 'OK' }).click();
  await expect(alarms).toHaveCount(2);
  await expect(alarms.nth(0)).toContainText('1 of 2');

  // The board at home shows the same pots, and calls as well.
  await page.goto(server.url);
  await expect(page.getByTestId('on-pot')).toHaveCount(2);
  await expect(page.getByTestId('clock-row')).toHaveCount(3);
  await expect(page.getByTestId('alarm')).toHaveCount(2);
});

test('a boil in two stages, an end by what is seen, and everything taken back', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await begun(server, 'steep', 'shortBoilLongSteep');
  await secondBatch(server);
  await page.goto(`${server.url}/batches/other/stove`);
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await server.pass(7);
  // Seen before the clock is over: the cue is kept with its minute.
  await unfold(page, 'signs');
  await page.getByTestId('cues').getByRole('button', { name: 'the colour is right' }).click();
  await expect(page.getByRole('heading', { name: 'Simmer' })).toBeVisible();
  const lastTwo = async () => {
    const { events } = await server.api<{ events: { kind: string; body: { cue?: string } }[] }>(
      'GET',
      '/batches/other',
    );
    return events.slice(-2).map((e) => e.body.cue ?? e.kind);
  };
  await expect.poll(lastTwo).toEqual(['colourInSpoon', 'stepEnded']);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await unfold(page, 'signs');
  await page.getByTestId('spoon-verdict').getByRole('button', { name: 'darker' }).click();
  await expect(page.getByTestId('spoon-verdict').getByRole('button', { name: 'darker' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.goto(`${server.url}/batches/other`);
  await expect(page.getByTestId('log')).toContainText('saw: darker');
});

test('everything at the stove is a thumb wide, whatever is open', async ({ page, server }) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByTestId('done')).toBeVisible();
  const small = async () => (await targets(page)).filter((t) => t.height < 55.5 || t.width < 55.5);
  expect(await small()).toEqual([]);
  for (const tool of [
    'Measure',
    'Something else',
    'Correct the start time',
    'Add a timer',
    'Sounds and alerts',
    'Stop this batch',
  ]) {
    await openTool(page, tool);
    await expect(page.getByRole('button', { name: tool, exact: true })).toHaveAttribute(
      'aria-expanded',
      'true',
    );
    expect(await small(), tool).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), tool).toBeLessThanOrEqual(390);
  }
});

test('a splash, a spill and a reading: the rest follows, and says by how much', async ({ page, server }) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await openTool(page, 'Something else');
  await page.getByRole('button', { name: '1.0 L' }).click();
  await expect(page.getByTestId('changed')).toContainText('instead of');
  await expect(page.getByTestId('changed')).toContainText(/1 bottle more|sweetener .* more/);
  await openTool(page, 'Something else');
  await page.getByRole('button', { name: 'spilt' }).click();
  await page.getByRole('button', { name: '500 mL' }).click();
  await expect(page.getByTestId('changed')).toContainText('less');
  await openTool(page, 'Something else');
  await page.getByRole('button', { name: 'not as planned' }).click();
  await page.getByRole('button', { name: 'It boiled over' }).click();
  await expect
    .poll(async () => (await server.api<{ events: { kind: string }[] }>('GET', '/batches/batch')).events)
    .toContainEqual(expect.objectContaining({ kind: 'noted' }));
  await page.goto(`${server.url}/batches/batch`);
  await expect(page.getByTestId('log')).toContainText('It boiled over');
  await expect(page.getByTestId('log')).toContainText('spilt: 0.50 L less');
});

test('four keys lead through the stove, and can be others', { tag: '@dates' }, async ({ page, server }) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await openTool(page, 'Sounds and alerts');
  await page.getByRole('button', { name: 'Four keys: off' }).click();
  await page.getByRole('button', { name: /^Next: the wide button/ }).click();
  await page.keyboard.press('n');
  await expect(page.getByRole('button', { name: /^Next: the wide button/ })).toContainText('n');
  await page.getByRole('heading', { name: 'Boil gently' }).click();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByTestId('small-clocks')).toContainText('Quick clock');
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  // Through a form of its own too: strained, then the wide button of the straining.
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'Cool' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: 'Strain' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: 'Boil gently' })).toBeVisible();
  await server.pass(40);
  await expect(page.getByTestId('alarm')).toHaveCount(2);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('alarm')).toHaveCount(1);
});

test('the cooling watch: stages with their limits, and what would be sooner', async ({ page, server }) => {
  await begun(server, 'cool');
  await page.goto(`${server.url}/batches/batch/stove`);
  const watch = page.getByTestId('cooling');
  await expect(watch).toContainText('of 2 h');
  await expect(watch).toContainText('of 4 h');
  await unfold(page, 'other-ways');
  await expect(page.getByTestId('warm-zone')).toContainText('Cold enough to bottle');
  await expect(page.getByTestId('cooling-ways').getByRole('listitem')).toHaveCount(7);
  await expect(page.getByTestId('cooling-ways')).toContainText('In ice water, stirred, as now');
  await expect(watch.getByRole('img', { name: /Temperatures over the hours/ })).toBeVisible();
});

test('while the pot looks after itself: side jobs, done when it is', async ({ page, server }) => {
  await begun(server, 'boil');
  await page.goto(`${server.url}/batches/batch/stove`);
  await unfold(page, 'meanwhile');
  const waits = page.getByTestId('while-it-waits');
  await expect(waits).toContainText('wash the bottles and heat them');
  await expect(waits).toContainText('20 min, from');
  await waits.getByRole('button', { name: 'Start' }).first().click();
  await expect(page.getByTestId('small-clocks')).toContainText('wash the bottles and heat them');
  await expect(waits).not.toContainText('wash the bottles');
});

test('two pots, one pair of hands: side jobs in one order; a part of a jug by taps; the spoon now and then', async ({
  page,
  server,
}) => {
  await begun(server, 'boil');
  await secondBatch(server);
  await page.goto(`${server.url}/batches/batch/stove`);
  const jobs = page.getByTestId('side-job');
  await unfold(page, 'meanwhile');
  // Both want hot bottles and ice: for each it is said for which pot, what is due first comes first.
  await expect(jobs).toHaveCount(4);
  await expect(jobs.first()).toContainText('for the Blue pot');
  await unfold(page, 'signs');
  await expect(page.getByTestId('spoons').getByRole('img')).toHaveCount(2);
  await expect(page.getByTestId('spoons')).toContainText('at the end');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const form = page.getByTestId('measure-form');
  await form.getByRole('button', { name: 'One jug more' }).click();
  await form.getByRole('button', { name: 'a part of a jug 0.25 more' }).click();
  await expect(form.getByRole('button', { name: 'a part of a jug 0.05 more' })).toHaveText('+0.05');
  await form.getByRole('button', { name: 'a part of a jug 0.05 more' }).click();
  await expect(form).toContainText('1.30 L');
  // The board at home has the same jobs; begun with a tap one of them runs as a clock of its pot.
  await page.goto(server.url);
  await expect(page.getByTestId('side-job')).toHaveCount(4);
  await page
    .getByRole('button', { name: /^Start:/ })
    .first()
    .click();
  await expect(page.getByTestId('side-job')).toHaveCount(3);
});
