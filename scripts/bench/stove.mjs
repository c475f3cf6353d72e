import { median, ms } from './figures.mjs';
import { dragFrames, frameMs } from './frames.mjs';

/** An arrow of the balance plane dragged, beside the same gesture on the empty page. */
export async function arrow(browser, url, emptyUrl) {
  const api = async (method, path, body) =>
    (
      await fetch(`${url}/api${path}`, {
        method,
        headers: { 'Content-Type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      })
    ).json();
  const { batch } = await api('GET', '/batches/demo-steeping');
  const { nowMs } = await api('GET', '/time');
  const { steps } = batch.pins.program;
  const from = steps.findIndex((s) => s.kind === 'steep');
  const event = (i, kind, body) => ({
    id: `bench-${i}`,
    stream: { kind: 'batch', id: 'demo-steeping' },
    v: 1,
    atMs: nowMs - 10_000 + i,
    deviceId: 'bench',
    deviceSeq: i,
    kind,
    body,
  });
  const ended = steps.slice(
    from,
    steps.findIndex((s) => s.kind === 'sweeten'),
  );
  await api('POST', '/events', { events: ended.map((s, i) => event(i, 'stepEnded', { stepId: s.id })) });
  const dragOn = async (address, find) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
    await page.goto(address);
    await find(page).waitFor();
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await find(page).evaluate((handle) => {
      window.dragged = handle;
    });
    const took = await frameMs(page, dragFrames);
    await page.close();
    return took;
  };
  const ours = await dragOn(`${url}/batches/demo-steeping/balance`, (page) =>
    page.getByTestId('arrow-sugar-cane-raw'),
  );
  const empty = await dragOn(`${emptyUrl}/?height=900`, (page) =>
    page.getByRole('link', { name: 'Start a drink' }),
  );
  // The other measurements find the batch as it was.
  await api('POST', '/events', {
    events: ended.map((_, i) => event(100 + i, 'undone', { target: `bench-${ended.length - 1 - i}` })),
  });
  return `an arrow dragged     ${ms(ours.middleMs, 1)} a frame at the 95th percentile, ${(ours.middleMs / empty.middleMs).toFixed(2)} × an empty page (aim 1.1), median of 3 drags of 3 s; the first, on a page just opened, ${ms(ours.firstMs, 1)}`;
}

/** Two windows on one batch: from a tap in the one to what the other shows. */
export async function twoWindows(browser, url) {
  const one = await browser.newPage();
  const other = await browser.newPage();
  for (const page of [one, other]) {
    await page.goto(`${url}/batches/demo-steeping/stove`);
    await page.getByTestId('done').waitFor();
  }
  const delays = [];
  for (const heading of ['Strain', 'Steep', 'Strain', 'Steep', 'Strain']) {
    const shown = other.getByRole('heading', { name: heading, exact: true }).waitFor();
    const tapped = Date.now();
    await (heading === 'Strain'
      ? one.getByTestId('done')
      : one.getByRole('button', { name: /^Undo/ })
    ).click();
    await shown;
    delays.push(Date.now() - tapped);
  }
  await one.close();
  await other.close();
  return `two windows agree    ${ms(median(delays))} after a tap, median of ${delays.length} (aim under 1000)`;
}
