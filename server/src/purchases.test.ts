import { afterEach, beforeEach, expect, it } from 'vitest';
import { seedDemo } from './demo/seed.ts';
import { eventWriter, NOW, TestServer } from './testServer.ts';

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(async () => {
  expect(k.reports).toEqual([]);
  await k.dispose();
});

interface Thing {
  itemId: string;
  place: string | null;
  givenTo: string | null;
}

it('from a packet to what it went into and to whom it was given; what was taken back is not in it', async () => {
  await seedDemo(k.db, NOW);
  const told = async () => (await k.api('GET', '/purchases')).body.purchases;
  expect(await told()).toEqual([]);
  const { items } = (await k.api('GET', '/items')).body;
  const { batchId } = items[0].facts;
  const bottles = items
    .filter((i: { facts: { batchId: string } }) => i.facts.batchId === batchId)
    .map((i: { facts: { itemId: string } }) => i.facts.itemId);
  const event = eventWriter('here');
  const ofBatch = { kind: 'batch', id: batchId };
  const named = (purchase: string) =>
    event(ofBatch, 'fromPurchase', { itemId: 'hibiscus-dried', purchase }, NOW);
  const slip = named('the wrong one');
  const send = (events: object[]) => k.api('POST', '/events', { events });
  expect(
    await send([
      named('market, 12 November'),
      named('market, 12 November'),
      slip,
      event(ofBatch, 'undone', { target: slip.id }, NOW),
      event({ kind: 'item', id: bottles[0] }, 'gaveAway', { to: 'next door' }, NOW),
      event(
        { kind: 'batch', id: 'demo-steeping' },
        'fromPurchase',
        { itemId: 'clove', purchase: 'jar' },
        NOW,
      ),
    ]),
  ).toMatchObject({ status: 200 });
  const purchases = await told();
  // Named twice it is one; each batch once, each of its bottles once.
  expect(purchases.map((p: { purchase: string }) => p.purchase).sort()).toEqual([
    'jar',
    'market, 12 November',
  ]);
  const market = purchases.find((p: { purchase: string }) => p.purchase !== 'jar');
  expect(market.batches.map((b: { batchId: string }) => b.batchId)).toEqual([batchId]);
  expect(market.things.map((t: Thing) => t.itemId)).toEqual(expect.arrayContaining(bottles));
  const given = market.things.find((t: Thing) => t.itemId === bottles[0]);
  expect(given).toMatchObject({ place: null, givenTo: 'next door' });
  expect(market.things.find((t: Thing) => t.itemId === bottles[1])).toMatchObject({ givenTo: null });
  expect(purchases.find((p: { purchase: string }) => p.purchase === 'jar').things).toEqual([]);
});
