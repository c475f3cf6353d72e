/** `npm test`: types, lint, unit and browser tests; the last line counts them all together. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildAll, ensureChromium, ensureInstalled, ROOT, run, say } from './lib.mjs';

const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);
const cache = path.join(ROOT, '.cache');
let passed = 0;
let failed = 0;

/** A check that is one test of its own. */
async function check(name, command, args) {
  say(`\n— ${name}`);
  const code = await run(command, args);
  if (code === 0) passed++;
  else failed++;
  say(`${name}: ${code === 0 ? 'good' : 'FAILED'}`);
}

/** What a runner wrote down; a runner that wrote nothing counts as one failure. */
function report(file, count) {
  try {
    const counts = count(JSON.parse(readFileSync(file, 'utf8')));
    passed += counts.passed;
    failed += counts.failed;
    return counts.failed;
  } catch {
    failed++;
    return 1;
  }
}

await ensureInstalled();
const chromium = await ensureChromium();
mkdirSync(cache, { recursive: true });
const unitReport = path.join(cache, 'unit.json');
const browserReport = path.join(cache, 'e2e.json');
for (const file of [unitReport, browserReport]) rmSync(file, { force: true });

for (const folder of ['core', 'server', 'web', 'e2e'])
  await check(`types of ${folder}`, bin('tsc'), ['-p', folder]);
await check('lint and format', bin('biome'), ['check', '.', '--error-on-warnings']);

say('\n— unit tests');
const unitCode = await run(bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unitReport}`,
]);
const unitFailed = report(unitReport, (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests }));
// A file that could not even be loaded has no test that failed.
if (unitCode !== 0 && unitFailed === 0) failed++;

say('\n— browser tests');
await buildAll();
const browserCode = await run(bin('playwright'), ['test', '-c', 'e2e'], {
  env: { ...process.env, LADLE_CHROMIUM: chromium, LADLE_E2E_REPORT: browserReport },
});
const browserFailed = report(browserReport, (r) => ({
  passed: r.stats.expected + r.stats.flaky,
  failed: r.stats.unexpected + r.errors.length,
}));
if (browserCode !== 0 && browserFailed === 0) failed++;

say(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
