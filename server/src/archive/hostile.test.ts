import { BOOK } from '@big-ladle/core/book';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from '../testServer.ts';
import { apart, archiveOf, sectionsOf } from './testArchive.ts';

const MINUTE = 60_000;
const RECIPE = { ...BOOK[0]!, id: 'mine', name: 'Porch red', base: { id: BOOK[0]!.id, version: 1 } };

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(async () => {
  expect(k.reports).toEqual([]);
  await k.dispose();
});

const DEEP = `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`;

describe('an archive that somebody wrote to do harm', () => {
  const say = eventWriter('harm');
  const kitchenWith = (change: object) => archiveOf({ kitchen: [{ ...ONE_POT, ...change }] });
  const plan = { status: 'planned', plan: CALYX_PLAN, version: 1, pins: null, createdMs: 0, updatedMs: 0 };
  it.each<[string, string, string]>([
    ['a zone that is nowhere', kitchenWith({ zone: 'No/Where' }), 'kitchen'],
    ['an id with a way in it', archiveOf({ batches: [{ ...plan, id: '../up' }] }), 'batches'],
    ['an empty id', archiveOf({ batches: [{ ...plan, id: '' }] }), 'batches'],
    ['an id of a megabyte', archiveOf({ batches: [{ ...plan, id: 'x'.repeat(1e6) }] }), 'batches'],
    [
      'an item with a way in its id',
      archiveOf({ stock: [{ itemId: 'a/b', inHouseG: 1, packG: null, price: null }] }),
      'stock',
    ],
    [
      'a recipe whose name is an object',
      archiveOf({
        recipes: [
          {
            recipeId: 'r',
            version: 1,
            parent: null,
            createdMs: 0,
            recipe: { ...RECIPE, version: 1, name: { toString: 1 } },
          },
        ],
      }),
      'recipes',
    ],
    [
      'pins that are a list',
      archiveOf({ batches: [{ ...plan, id: 'b', status: 'on', pins: [] }] }),
      'batches',
    ],
  ])('%s is refused with its line', async (_, text, section) => {
    expect(await k.upload(text)).toMatchObject({
      stage: 'failed',
      problem: { title: 'archiveLine', params: { line: 3, section } },
    });
  });

  it('pins that nobody could write out again are refused', async () => {
    const text = archiveOf({ batches: [{ ...plan, id: 'deep', status: 'on', pins: 'DEEP' }] }).replace(
      '"DEEP"',
      DEEP,
    );
    expect(await k.upload(text)).toMatchObject({ problem: { title: 'archiveLine', params: { line: 3 } } });
  });

  it('what can be taken as it stands hurts nothing else: steps without end, entries of another age, pins with nothing in them', async () => {
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/batches', { id: 'good', plan: CALYX_PLAN });
    const stream = { kind: 'batch', id: 'good' };
    await k.api('POST', '/batches/good/start', {
      version: 1,
      events: [say(stream, 'stepStarted', { stepId: 'pick' }, NOW - MINUTE)],
    });
    const { pins } = (
      sectionsOf(await k.archive()).batches as { pins: { program: { steps: object[] } } }[]
    )[0]!;
    const steps = pins.program.steps.map((s) => ({ ...s, until: { kind: 'duration', minutes: 1e15 } }));
    const on = (id: string, own: object) => ({ ...plan, id, status: 'on', pins: own });
    const age = Date.UTC(275_000, 0, 1);
    const entry = (id: string, atMs: number) => ({
      receivedMs: NOW,
      event: say({ kind: 'batch', id }, 'stepStarted', { stepId: 'pick' }, atMs),
    });
    const taken = await k.takeIn(
      archiveOf({
        batches: [
          on('endless', { ...pins, program: { ...pins.program, steps } }),
          on('ages', pins),
          on('hollow', {}),
        ],
        events: [entry('endless', NOW), entry('ages', age), entry('hollow', NOW)],
      }),
    );
    expect(taken).toMatchObject({
      problem: null,
      stage: 'done',
      report: { added: { batches: 3, events: 3 } },
    });
    const { batches } = (await k.api('GET', '/batches')).body;
    const good = batches.find((b: { batch: { id: string } }) => b.batch.id === 'good');
    expect(good.now).toMatchObject({ currentStepId: 'pick' });
    for (const url of ['/items', '/gifts', '/batches/endless', '/batches/ages', '/batches/hollow'])
      expect((await k.api('GET', url)).status, url).toBe(200);
    expect((await k.api('POST', '/backups')).status).toBe(200);
    // And out and in again.
    const other = await new TestServer().open();
    expect((await other.takeIn(await k.archive())).stage).toBe('done');
    expect(apart(await other.archive(), await k.archive())).toEqual([]);
    await other.dispose();
  });

  it('twenty thousand entries of no batch are looked over and left out', async () => {
    const strays = Array.from({ length: 20_000 }, () => ({
      receivedMs: NOW,
      event: say({ kind: 'batch', id: 'nowhere' }, 'noted', { text: 'x' }, NOW),
    }));
    expect(await k.takeIn(archiveOf({ events: strays }))).toMatchObject({
      stage: 'done',
      report: { passedOver: 20_000 },
    });
    expect(await k.db('event')).toEqual([]);
  });
});
