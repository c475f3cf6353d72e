import { FuzzedKitchen } from '../scripts/fuzz/kitchen.ts';
import { fuzz } from '../scripts/fuzz/run.ts';
import { openAll, pathsOver } from '../scripts/fuzz/screens.ts';
import { expect, test } from './kitchenServer.ts';

test('two thousand requests, half of them wrong: nothing falls over, and every screen opens over what was accepted', async ({
  page,
}) => {
  test.slow();
  const kitchen = await new FuzzedKitchen().start();
  try {
    const tally = await fuzz(kitchen, 18, 2000);
    expect(tally.finding).toBeNull();
    expect(tally.accepted / tally.sent).toBeGreaterThan(0.4);
    expect(await openAll(page, kitchen.url, pathsOver(await kitchen.things()))).toEqual([]);
  } finally {
    await kitchen.stop();
  }
});
