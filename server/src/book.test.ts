import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { Recipe } from '@big-ladle/core/documents';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { MIGRATIONS } from './db/migrations.ts';
import { openDb } from './opening/open.ts';
import { NOW, ONE_POT, TestServer } from './testServer.ts';

/** The deep calyx drink with more ginger, as a cook's own. */
const mine = (change: Partial<Recipe> = {}): Recipe => ({
  ...BOOK[0]!,
  id: 'mine',
  name: 'My red',
  lines: BOOK[0]!.lines.map((l) => (l.id === 'ginger' ? { ...l, massG: 200 } : l)),
  base: { id: BOOK[0]!.id, version: 1 },
  ...change,
});
const planOf = (recipeId: string) => ({
  recipeId,
  choices: defaultChoices(BOOK[0]!, 'straightBoil'),
  potId: 'pot',
  burnerId: 'ring',
  question: { kind: 'litres', litres: 6 },
  fills: 1,
  readyAtMs: null,
});

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(() => k.dispose());

describe('recipes of the cook’s own', () => {
  it('are kept, and the same again is the same', async () => {
    const first = await k.api('POST', '/recipes', { recipe: mine() });
    expect(first).toMatchObject({ status: 201, body: { id: 'mine', version: 1 } });
    expect((await k.api('POST', '/recipes', { recipe: mine() })).status).toBe(201);
    expect((await k.api('GET', '/recipes')).body.recipes).toHaveLength(1);
    expect((await k.api('POST', '/recipes', { recipe: mine({ name: 'Other' }) })).body.title).toBe(
      'alreadyThere',
    );
  });
  it('get a version with every change; a change of an old one gets both', async () => {
    await k.api('POST', '/recipes', { recipe: mine() });
    const second = await k.api('PUT', '/recipes/mine', { version: 1, recipe: mine({ name: 'My redder' }) });
    expect(second.body).toMatchObject({ version: 2, name: 'My redder' });
    const late = await k.api('PUT', '/recipes/mine', { version: 1, recipe: mine({ name: 'Too late' }) });
    expect(late).toMatchObject({
      status: 409,
      body: { title: 'changedElsewhere', stored: { name: 'My redder' } },
    });
    // Nothing changed: no version.
    expect(
      (await k.api('PUT', '/recipes/mine', { version: 2, recipe: mine({ name: 'My redder' }) })).body.version,
    ).toBe(2);
    const { versions } = (await k.api('GET', '/recipes/mine/versions')).body;
    expect(versions.map((v: { version: number; parent: number | null }) => [v.version, v.parent])).toEqual([
      [1, null],
      [2, 1],
    ]);
    expect(versions[0].recipe.name).toBe('My red');
  });
  it('a batch remembers the version it was made from, also when the book goes on without it', async () => {
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/recipes', { recipe: mine() });
    await k.api('POST', '/batches', { id: 'b', plan: planOf('mine') });
    const event: LogEvent = {
      id: 'e1',
      stream: { kind: 'batch', id: 'b' },
      v: 1,
      atMs: NOW,
      deviceId: 'd',
      deviceSeq: 1,
      ...({ kind: 'stepStarted', body: { stepId: 'pick' } } satisfies EventBody),
    };
    const started = await k.api('POST', '/batches/b/start', { version: 1, events: [event] });
    expect(started.body.pins.recipe).toMatchObject({ id: 'mine', version: 1, name: 'My red' });
    await k.api('PUT', '/recipes/mine', { version: 1, recipe: mine({ name: 'Changed', basisL: 3 }) });
    expect((await k.api('DELETE', '/recipes/mine?version=2')).status).toBe(204);
    expect((await k.api('GET', '/recipes')).body.recipes).toEqual([]);
    const batch = await k.api('GET', '/batches/b');
    expect(batch.body.batch.pins.recipe).toMatchObject({ version: 1, name: 'My red', basisL: 9 });
    // Gone from the book, it cannot be planned any more.
    expect((await k.api('POST', '/batches', { id: 'c', plan: planOf('mine') })).status).toBe(422);
  });
  it.each([
    ['no name', { name: '' }, 'recipe.name'],
    ['a negative amount', { lines: [{ ...BOOK[0]!.lines[0]!, massG: -5 }] }, 'recipe.lines.0.massG'],
    ['nothing in it', { lines: [] }, 'recipe.lines'],
    ['two lines of one id', { lines: [BOOK[0]!.lines[0]!, BOOK[0]!.lines[0]!] }, 'recipe'],
    [
      'an ingredient nobody knows',
      { lines: [{ ...BOOK[0]!.lines[0]!, itemId: 'moon-dust' }] },
      'recipe.lines.0.itemId',
    ],
    ['litres out of this world', { basisL: 40_000 }, 'recipe.basisL'],
    ['a way nobody knows', { methods: ['microwave'] }, 'recipe.methods.0'],
  ] as [string, Partial<Recipe>, string][])(
    '%s is refused at its field, and nothing is stored',
    async (_, change, field) => {
      const answer = await k.api('POST', '/recipes', { recipe: mine(change) });
      expect(answer.status).toBe(422);
      expect(answer.body.fields[0].field).toBe(field);
      expect((await k.api('GET', '/recipes')).body.recipes).toEqual([]);
    },
  );
  it('what is not there is said', async () => {
    expect((await k.api('PUT', '/recipes/none', { version: 1, recipe: mine() })).status).toBe(404);
    expect((await k.api('GET', '/recipes/none/versions')).status).toBe(404);
    expect((await k.api('DELETE', '/recipes/none?version=1')).status).toBe(404);
    expect((await k.api('POST', '/recipes', { recipe: mine({ id: BOOK[1]!.id }) })).status).toBe(409);
  });
});

describe('ingredients and stock of the kitchen', () => {
  const facts = { id: 'own-moon', name: 'Moon berries', role: 'fruit', dried: true };
  it('an own ingredient can be used in a recipe, and is pinned with a batch', async () => {
    expect((await k.api('PUT', '/ingredients/own-moon', facts)).status).toBe(200);
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    const lines = [...mine().lines, { ...BOOK[0]!.lines[0]!, id: 'moon', itemId: 'own-moon', massG: 50 }];
    expect((await k.api('POST', '/recipes', { recipe: mine({ lines }) })).status).toBe(201);
    await k.api('POST', '/batches', { id: 'b', plan: planOf('mine') });
    const started = await k.api('POST', '/batches/b/start', {
      version: 1,
      events: [
        {
          id: 'e',
          stream: { kind: 'batch', id: 'b' },
          v: 1,
          atMs: NOW,
          deviceId: 'd',
          deviceSeq: 1,
          kind: 'stepStarted',
          body: { stepId: 'pick' },
        },
      ],
    });
    expect(started.status).toBe(200);
    expect(started.body.pins.rows.ingredients).toContainEqual(
      expect.objectContaining({ id: 'own-moon', rate100PerMin: null, unknown: true }),
    );
  });
  it('bad facts and shipped ids are refused', async () => {
    expect((await k.api('PUT', '/ingredients/own-x', { ...facts, id: 'own-x', name: '' })).status).toBe(422);
    expect((await k.api('PUT', '/ingredients/other', facts)).status).toBe(422);
    expect(
      (await k.api('PUT', '/ingredients/hibiscus-dried', { ...facts, id: 'hibiscus-dried' })).status,
    ).toBe(409);
  });
  it('stock is kept by thing; absurd amounts are refused', async () => {
    await k.api('PUT', '/stock/hibiscus-dried', { inHouseG: 120, packG: 250, price: 3.5 });
    await k.api('PUT', '/stock/hibiscus-dried', { inHouseG: 90, packG: 250, price: 3.5 });
    expect((await k.api('GET', '/stock')).body.stock).toEqual([
      { itemId: 'hibiscus-dried', inHouseG: 90, packG: 250, price: 3.5, basketG: 0 },
    ]);
    expect((await k.api('PUT', '/stock/salt', { inHouseG: -1, packG: null, price: null })).status).toBe(422);
    expect((await k.api('PUT', '/stock/salt', { inHouseG: 1, packG: 0, price: null })).status).toBe(422);
  });
});

describe('a file of the first version', () => {
  it('is brought up to date with everything in it', async () => {
    const dir = mkdtempSync(path.join(tmpdir(), 'big-ladle-old-'));
    const old = await openDb(dir, MIGRATIONS.slice(0, 1));
    await old('setting').insert({ key: 'kitchenVersion', value: '3' });
    await old('setting').insert({ key: 'fridgeC', value: '6' });
    await old.destroy();
    const now = await openDb(dir);
    expect(await now('recipe').select()).toEqual([]);
    expect(await now('setting').where({ key: 'fridgeC' }).first()).toMatchObject({ value: '6' });
    await now.destroy();
    rmSync(dir, { recursive: true, force: true });
  });
});
