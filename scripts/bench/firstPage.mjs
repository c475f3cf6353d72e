import { kB, median, ms } from './figures.mjs';

/** What a first visit may weigh, packed, with fonts and with what it asks of the server. */
const MOST_BYTES = 300_000;
/** So long nothing may come before a page counts as whole. */
const QUIET_MS = 1500;

/** One visit with nothing kept: all that goes over the wire until nothing comes any more, and when it can be used. */
export async function visit(browser, url, usable, whole) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send('Network.enable');
  const wire = { scripts: 0, fonts: 0, rest: 0 };
  const kinds = new Map();
  let lastMs = Date.now();
  client.on('Network.responseReceived', (e) => kinds.set(e.requestId, e.type));
  client.on('Network.loadingFinished', (e) => {
    const kind = kinds.get(e.requestId);
    wire[kind === 'Script' ? 'scripts' : kind === 'Font' ? 'fonts' : 'rest'] += e.encodedDataLength;
    lastMs = Date.now();
  });
  const began = Date.now();
  await page.goto(url);
  await usable(page);
  const usableMs = Date.now() - began;
  await whole(page);
  const wholeMs = Date.now() - began;
  while (Date.now() - lastMs < QUIET_MS) await page.waitForTimeout(100);
  // The worker is no part of the page: it is fetched beside it, for plans that wait.
  const workerBytes = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((e) => e.name.includes('worker'))
      .reduce((sum, e) => sum + e.transferSize, 0),
  );
  await context.close();
  return { ...wire, usableMs, wholeMs, workerBytes, bytes: wire.scripts + wire.fonts + wire.rest };
}

const times = async (count, of) => {
  const all = [];
  for (let i = 0; i < count; i++) all.push(await of());
  return (key) => median(all.map((one) => one[key]));
};

/** The stove's home of the demo on a first visit, beside the empty page. */
export async function firstPage(browser, url, emptyUrl) {
  const start = (page) => page.getByRole('link', { name: 'Start a drink' }).click({ trial: true });
  const ours = await times(5, () =>
    visit(browser, url, start, (page) => page.getByTestId('home-clock').first().waitFor()),
  );
  const empty = await times(3, () => visit(browser, emptyUrl, start, start));
  const parts = (of) => `scripts ${kB(of('scripts'))}, fonts ${kB(of('fonts'))}, rest ${kB(of('rest'))}`;
  const within = ours('bytes') <= MOST_BYTES;
  return {
    lines: [
      `first page, gzip     ${kB(ours('bytes'))} (${parts(ours)}; at most ${kB(MOST_BYTES)}${within ? '' : ': TOO MUCH'}); the worker beside it ${kB(ours('workerBytes'))}`,
      `  an empty page      ${kB(empty('bytes'))} (${parts(empty)})`,
      `first page usable    ${ms(ours('usableMs'))}, its clocks shown ${ms(ours('wholeMs'))}; an empty page ${ms(empty('usableMs'))}, medians of cold visits`,
    ],
    within,
  };
}
