/**
 * `npm run test:hours`: the unit and server tests, and the browser tests in which a date is read (tagged @dates), four
 * times: with the machine's clock at another hour and in another zone each time. The last line counts them together.
 */
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { buildAll, ensureChromium, ensureInstalled, ROOT, say } from './lib.mjs';
import { browserTests, Tally, unitTests } from './runners.mjs';

/** Hours of the day, by the wall clock of the zone beside them. */
const RUNS = [
  { hour: 0, minute: 10, zone: 'Pacific/Auckland' },
  { hour: 7, minute: 15, zone: 'America/Bogota' },
  { hour: 12, minute: 0, zone: 'Pacific/Auckland' },
  { hour: 23, minute: 50, zone: 'America/Bogota' },
];
const DAY_MIN = 24 * 60;

/** How far the clock has to be moved for a zone's wall clock to show an hour now, ms: forwards, by less than a day. */
function shiftTo({ hour, minute, zone }) {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(new Date());
  const part = (type) => Number(parts.find((p) => p.type === type).value);
  const wanted = hour * 60 + minute;
  return ((wanted - part('hour') * 60 - part('minute') + DAY_MIN) % DAY_MIN) * 60_000;
}

await ensureInstalled();
const chromium = await ensureChromium();
await buildAll();
const tally = new Tally();
const preload = `--import ${pathToFileURL(path.join(ROOT, 'scripts/systemClock.mjs'))}`;
for (const at of RUNS) {
  const clock = `${String(at.hour).padStart(2, '0')}:${String(at.minute).padStart(2, '0')} in ${at.zone}`;
  say(`\n== The clock says ${clock}`);
  const env = {
    ...process.env,
    TZ: at.zone,
    LADLE_CLOCK_SHIFT_MS: String(shiftTo(at)),
    // The law of keeping reads no clock: a sample of it is enough here.
    LADLE_LAW_PAIRS: '2000',
    NODE_OPTIONS: [process.env.NODE_OPTIONS, preload].filter(Boolean).join(' '),
  };
  const began = Date.now();
  await unitTests(tally, env);
  await browserTests(tally, env, chromium, ['--grep', '@dates']);
  say(`${clock}: ${Math.round((Date.now() - began) / 1000)} s`);
}
say(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
