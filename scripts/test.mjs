/** `npm test`: types, lint, unit and browser tests; the last line counts them all together. */
import { buildAll, ensureChromium, ensureInstalled, say } from './lib.mjs';
import { bin, browserTests, Tally, unitTests } from './runners.mjs';
import { linesOfTests } from './testShare.mjs';

await ensureInstalled();
const chromium = await ensureChromium();
const tally = new Tally();
for (const folder of ['core', 'server', 'web', 'e2e'])
  await tally.check(`types of ${folder}`, bin('tsc'), ['-p', folder]);
await tally.check('lint and format', bin('biome'), ['check', '.', '--error-on-warnings']);
await unitTests(tally);
await buildAll();
await browserTests(tally, process.env, chromium);
const lines = linesOfTests();
say(
  `\nTests are ${Math.round((100 * lines.tests) / (lines.tests + lines.code))} % of the lines, tables and catalogues left out.`,
);
say(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
