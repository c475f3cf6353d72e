import { readFileSync } from 'node:fs';
import { FuzzedKitchen } from '../scripts/fuzz/kitchen.ts';
import { fuzz } from '../scripts/fuzz/run.ts';
import { openAll, pathsOver } from '../scripts/fuzz/screens.ts';
import { expect, test } from './fixtures.ts';
import { readPdf } from './pdf.ts';

test('two thousand requests, half of them wrong: nothing falls over, and every screen opens over what was accepted', async ({
  page,
}) => {
  test.slow();
  const kitchen = await new FuzzedKitchen().start();
  try {
    const tally = await fuzz(kitchen, 18, 2000);
    expect(tally.finding).toBeNull();
    expect(tally.accepted / tally.sent).toBeGreaterThan(0.4);
    const things = await kitchen.things();
    expect(await openAll(page, kitchen.url, pathsOver(things))).toEqual([]);
    // What somebody called a bottle is words on its label, in the file as on the screen.
    const named = things.items.filter((id) => id.startsWith('fuzz-b-')).slice(0, 8);
    expect(named.length).toBeGreaterThan(0);
    await page.goto(`${kitchen.url}/shelf/labels?ids=${named.join(',')}`);
    // Those that are not to be kept have no label: others go on the sheet with the rest.
    await page.getByRole('button', { name: 'All', exact: true }).click();
    const [pdf] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as PDF' }).click(),
    ]);
    const bytes = readFileSync(await pdf.path());
    expect(bytes.toString('latin1')).not.toMatch(/\/(?:JavaScript|JS|Launch|OpenAction|AA|URI)\b/);
    expect((await readPdf(new Uint8Array(bytes), [])).length).toBeGreaterThan(0);
  } finally {
    await kitchen.stop();
  }
});
