/**
 * `npm run fuzz -- --seed N --requests N`: requests for every route, half of them with something wrong, to a kitchen with
 * the demo's data; then every screen over what was accepted. Ends with 1 and the shortest requests that show it at a finding.
 */
import { parseArgs } from 'node:util';
import { FuzzedKitchen } from './fuzz/kitchen.ts';
import { fuzz } from './fuzz/run.ts';
import { openAll, pathsOver } from './fuzz/screens.ts';
import { buildAll, CHROMIUM_FLAGS, ensureChromium, ensureInstalled, say } from './lib.mjs';

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    requests: { type: 'string', default: '2000' },
    routes: { type: 'boolean', default: false },
  },
});
await ensureInstalled();
const executablePath = await ensureChromium();
await buildAll();
const { chromium } = await import('@playwright/test');
const kitchen = await new FuzzedKitchen().start();
let failed = false;
try {
  const began = Date.now();
  const tally = await fuzz(kitchen, Number(values.seed), Number(values.requests));
  const share = Math.round((100 * tally.accepted) / tally.sent);
  say(`${tally.sent} requests in ${Math.round((Date.now() - began) / 1000)} s, ${share} % accepted (aim 40)`);
  if (values.routes)
    for (const [route, { sent, accepted }] of tally.routes)
      say(`  ${route.padEnd(20)} ${accepted} of ${sent}`);
  if (tally.finding) {
    failed = true;
    say(`FOUND: ${tally.finding.what}\nThe shortest that shows it, of seed ${values.seed}:`);
    for (const { method, path, type, body } of tally.finding.requests)
      say(`${method} /api${path}\n  ${type ?? ''} ${body?.slice(0, 3000) ?? ''}`);
  } else {
    const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const paths = pathsOver(await kitchen.things());
    const faults = await openAll(page, kitchen.url, paths);
    await browser.close();
    say(`${paths.length} screens over what was accepted, ${faults.length} faults`);
    for (const fault of faults) say(`  ${fault}`);
    failed = faults.length > 0 || share < 40;
  }
} finally {
  await kitchen.stop();
}
process.exit(failed ? 1 : 0);
