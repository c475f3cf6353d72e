import { readdirSync } from 'node:fs';
import { BOOK } from '@big-ladle/core/book';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { seedDemo } from '../demo/seed.ts';
import { SUPPER } from '../gatherings.fixtures.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from '../testServer.ts';
import { apart, archiveOf, sectionsOf } from './testArchive.ts';

const MINUTE = 60_000;
const RECIPE = { ...BOOK[0]!, id: 'mine', name: 'Porch red', base: { id: BOOK[0]!.id, version: 1 } };

let k: TestServer;
let other: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
  other = await new TestServer().open();
});
afterEach(async () => {
  expect([...k.reports, ...other.reports]).toEqual([]);
  await k.dispose();
  await other.dispose();
});

/** A section that no version of this program has written. */
const FOREIGN = ['{"section":"almanac","v":3,  "note":"as it came"}', '{"guests": 12.50,"of":[1,2 ]}', '[]'];

/** A kitchen with everything in it that an archive may hold. */
async function fill(server: TestServer): Promise<void> {
  await seedDemo(server.db, NOW);
  await server.api('POST', '/recipes', { recipe: RECIPE });
  await server.api('PUT', '/recipes/mine', { version: 1, recipe: { ...RECIPE, name: 'Second' } });
  await server.api('POST', '/recipes', { recipe: { ...RECIPE, id: 'gone', name: 'Gone' } });
  expect((await server.api('DELETE', '/recipes/gone?version=1')).status).toBe(204);
  await server.api('PUT', '/stock/salt', { inHouseG: 5, packG: null, price: 1 });
  await server.api('PUT', '/gatherings/supper', { version: 0, gathering: SUPPER });
  const instrument = { kind: 'fridgeLogger', batchId: null, lost: false, tareKg: 0, failing: null };
  expect((await server.api('PUT', '/instruments/logger', { name: 'Fridge', ...instrument })).status).toBe(
    200,
  );
  await server.db('reading_chunk').insert({
    instrument_id: 'logger',
    batch_id: null,
    from_ms: NOW - 60 * MINUTE,
    to_ms: NOW - 59 * MINUTE,
    readings: JSON.stringify([
      { atMs: NOW - 60 * MINUTE, tempC: 6 },
      { atMs: NOW - 59 * MINUTE, tempC: 6.5 },
    ]),
  });
  const say = eventWriter('practised');
  const { kitchen } = (await server.api('GET', '/kitchen')).body;
  const plan = { ...CALYX_PLAN, potId: kitchen.pots[0].id, burnerId: kitchen.burners[0].id };
  for (const [id, kept] of [
    ['practised', true],
    ['forgotten', false],
  ] as const) {
    const begun = await server.api('POST', '/rehearsals', {
      id,
      plan,
      speed: 60,
      seed: 7,
      events: [say({ kind: 'rehearsal', id }, 'stepStarted', { stepId: 'pick' }, NOW)],
    });
    expect(begun.status, JSON.stringify(begun.body)).toBe(201);
    if (kept) await server.api('PUT', `/rehearsals/${id}`, { kept: true });
  }
  const lines = [JSON.stringify({ format: 'big-ladle-archive', v: 2 }), ...FOREIGN];
  const text = [...lines, JSON.stringify({ end: true, lines: lines.length }), ''].join('\n');
  expect(await server.takeIn(text)).toMatchObject({
    stage: 'done',
    report: { keptSections: ['almanac'] },
  });
}

describe('everything in one file', () => {
  it('goes out, comes in and goes out again the same; every bottle keeps its date', async () => {
    await fill(k);
    const text = await k.archive();
    const sections = sectionsOf(text);
    expect(sections.recipes).toHaveLength(3);
    expect(sections.recipes).toContainEqual(expect.objectContaining({ recipeId: 'gone', retired: true }));
    expect(sections.instruments).toContainEqual(expect.objectContaining({ id: 'logger' }));
    expect(sections.readings).toContainEqual(expect.objectContaining({ instrumentId: 'logger' }));
    expect(sections.gatherings).toContainEqual(expect.objectContaining({ id: 'supper', version: 1 }));
    const ids = (sections.batches as { id: string }[]).map((b) => b.id);
    expect(ids).toContain('practised');
    expect(ids).not.toContain('forgotten');
    expect(text).toContain(`${FOREIGN.join('\n')}\n`);

    const taken = await other.takeIn(text);
    expect(taken).toMatchObject({
      stage: 'done',
      mode: 'merge',
      report: { kitchen: true, passedOver: 0, here: { batches: 0 }, added: { recipes: 2 } },
    });
    expect(taken.report!.added).toEqual(taken.report!.holds);
    expect(apart(await other.archive(), text)).toEqual([]);
    for (const url of ['/gatherings', '/recipes', '/items', '/gifts', '/fridge', '/batches/demo-planned'])
      expect((await other.api('GET', url)).body, url).toEqual((await k.api('GET', url)).body);
    expect((await other.api('GET', '/kitchen')).body.kitchen).toEqual(
      (await k.api('GET', '/kitchen')).body.kitchen,
    );
    expect(readdirSync(other.dir)).not.toContain('importing');

    // Once more: everything is there, nothing is overwritten.
    expect((await other.takeIn(text)).report!.added).toEqual({
      recipes: 0,
      ingredients: 0,
      batches: 0,
      events: 0,
      instruments: 0,
      readings: 0,
      photos: 0,
      gatherings: 0,
    });
    expect(apart(await other.archive(), text)).toEqual([]);
  });

  it('is added to what is here: a batch that both know has the log of both, what was said here stays', async () => {
    const say = eventWriter('here', 'here');
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/batches', { id: 'b', plan: CALYX_PLAN });
    const stream = { kind: 'batch', id: 'b' };
    await k.api('POST', '/batches/b/start', {
      version: 1,
      events: [say(stream, 'stepStarted', { stepId: 'pick' }, NOW - 9 * MINUTE)],
    });
    await other.takeIn(await k.archive());
    await k.api('POST', '/events', { events: [say(stream, 'noted', { text: 'there' }, NOW - 5 * MINUTE)] });
    await other.api('POST', '/events', {
      events: [say(stream, 'noted', { text: 'here' }, NOW - 4 * MINUTE)],
    });
    const taken = await other.takeIn(await k.archive());
    expect(taken.report).toMatchObject({ kitchen: false, added: { batches: 0, events: 1 } });
    const { events } = (await other.api('GET', '/batches/b')).body;
    expect(events.map((e: { body: { text?: string } }) => e.body.text).sort()).toEqual([
      'here',
      'there',
      undefined,
    ]);
  });

  it('readings that a known instrument took since are new, and told as that', async () => {
    await fill(k);
    await other.takeIn(await k.archive());
    await k.db('reading_chunk').insert({
      instrument_id: 'logger',
      batch_id: null,
      from_ms: NOW - 59 * MINUTE,
      to_ms: NOW - 58 * MINUTE,
      readings: JSON.stringify([
        { atMs: NOW - 59 * MINUTE, tempC: 6.5 },
        { atMs: NOW - 58 * MINUTE, tempC: 7 },
      ]),
    });
    expect(await other.takeIn(await k.archive())).toMatchObject({
      stage: 'done',
      report: { added: { instruments: 0, readings: 1 } },
    });
  });

  it('called off while it is made ready, nothing has changed; while it is copied it is too late', async () => {
    await fill(k);
    const text = await k.archive();
    await other.upload(text);
    const before = await other.archive();
    await other.api('POST', '/archive/import', { mode: 'merge' });
    const { status } = await other.api('DELETE', '/archive/import');
    if (status === 204) {
      expect((await other.api('GET', '/archive/import')).body).toEqual({ state: null });
      expect(apart(await other.archive(), before)).toEqual([]);
      expect(readdirSync(other.dir)).not.toContain('importing');
    } else {
      expect(status).toBe(409);
      expect((await other.importAt(['done', 'failed'])).stage).toBe('done');
      expect(apart(await other.archive(), text)).toEqual([]);
    }
  });

  it('takes the place of what is here when it is told to: what was here is a backup, who was let in stays', async () => {
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/batches', { id: 'theirs', plan: CALYX_PLAN });
    await other.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await other.api('POST', '/batches', { id: 'mine', plan: CALYX_PLAN });
    await other
      .db('device')
      .insert({ id: 'phone', name: 'Phone', token_hash: 'x', created_ms: 1, seen_ms: 1 });
    const text = await k.archive();
    expect(await other.upload(text)).toMatchObject({
      report: { here: { batches: 1 }, added: { batches: 1 }, holds: { batches: 1 } },
    });
    await other.api('POST', '/archive/import', { mode: 'replace' });
    while (other.restarts === 0) await new Promise((resolve) => setImmediate(resolve));
    // Whatever is said now would be lost with the file: it waits in the window.
    expect(await other.api('PUT', '/stock/salt', { inHouseG: 1, packG: null, price: null })).toMatchObject({
      status: 503,
      body: { title: 'beginningAnew' },
    });
    await other.stop();
    await other.open();
    expect(apart(await other.archive(), text)).toEqual([]);
    expect(await other.db('device').pluck('id')).toEqual(['phone']);
    const { backups } = (await other.api('GET', '/backups')).body;
    expect(backups.map((b: { kind: string }) => b.kind)).toContain('before-import');
  });
});

describe('an archive is looked over as a whole before anything is changed', () => {
  const row = { itemId: 'salt', inHouseG: 1, packG: null, price: null };
  const head = '{"format":"big-ladle-archive","v":2}';
  const cut = archiveOf({ stock: [row] })
    .split('\n')
    .slice(0, -2)
    .join('\n');
  it.each<[string, string | object, object]>([
    ['something else', { format: 'other' }, { title: 'notAnArchive' }],
    ['a list', [], { title: 'notAnArchive' }],
    ['nothing at all', '', { title: 'notAnArchive' }],
    ['broken JSON', '{"format": "big-ladle-archive", ', { title: 'notAnArchive' }],
    ['one of the future', { format: 'big-ladle-archive', v: 9 }, { title: 'archiveNewer' }],
    [
      'one of old that is cut short',
      { format: 'big-ladle-archive', v: 1, recipes: [] },
      { title: 'invalid' },
    ],
    [
      'one of old with a wrong field',
      {
        format: 'big-ladle-archive',
        v: 1,
        recipes: [],
        ingredients: [],
        stock: [row, { ...row, itemId: 3 }],
        batches: [],
        events: [],
      },
      { title: 'invalid', fields: [{ field: 'stock.1.itemId' }] },
    ],
    ['one cut short', cut, { title: 'archiveCutShort' }],
    [
      'one whose lines are too few',
      archiveOf({ stock: [row] }).replace(`${JSON.stringify(row)}\n`, ''),
      { title: 'archiveCutShort' },
    ],
    [
      'a row before any section',
      `${head}\n{}\n`,
      { title: 'archiveLine', params: { line: 2, why: 'noSection' } },
    ],
    [
      'a line that is no JSON',
      `${head}\nnope\n`,
      { title: 'archiveLine', params: { line: 2, why: 'noJson' } },
    ],
    [
      'more after its end',
      `${archiveOf({})}{}\n`,
      { title: 'archiveLine', params: { line: 3, why: 'afterEnd' } },
    ],
    [
      'a wrong field',
      archiveOf({ stock: [row, { ...row, inHouseG: 'much' }] }),
      { title: 'archiveLine', params: { line: 4, section: 'stock' }, fields: [{ field: 'inHouseG' }] },
    ],
    [
      'a batch that is on and was never begun',
      archiveOf({
        batches: [
          { id: 'x', status: 'on', plan: CALYX_PLAN, version: 1, pins: null, createdMs: 0, updatedMs: 0 },
        ],
      }),
      { title: 'archiveLine', params: { section: 'batches' } },
    ],
  ])('%s is refused, and nothing is taken in', async (_, sent, problem) => {
    const failed = await k.upload(sent);
    expect(failed).toMatchObject({ stage: 'failed', problem });
    expect(await k.api('POST', '/archive/import', { mode: 'merge' })).toMatchObject({ status: 409 });
    expect((await k.api('GET', '/stock')).body.stock).toEqual([]);
    expect(readdirSync(k.dir)).not.toContain('importing');
  });

  it('entries of batches that are nowhere, and of kinds that nobody knows, are left out and counted', async () => {
    const say = eventWriter('stray');
    const events = [
      say({ kind: 'batch', id: 'nowhere' }, 'noted', { text: 'x' }, NOW),
      say({ kind: 'item', id: 'nothing' }, 'opened', {}, NOW),
      { ...say({ kind: 'batch', id: 'nowhere' }, 'sung', {}, NOW) },
    ].map((event) => ({ receivedMs: NOW, event }));
    const taken = await k.takeIn(archiveOf({ events }));
    expect(taken).toMatchObject({ stage: 'done', report: { passedOver: 3 } });
    expect(await k.db('event')).toEqual([]);
  });

  it('can be called off while nothing has changed; only one is taken at a time', async () => {
    expect(await k.upload(archiveOf({ stock: [row] }))).toMatchObject({
      stage: 'checked',
      report: { passedOver: 0 },
    });
    expect((await k.api('DELETE', '/archive/import')).status).toBe(204);
    expect((await k.api('GET', '/archive/import')).body).toEqual({ state: null });
    expect((await k.api('POST', '/archive/import', { mode: 'merge' })).body.title).toBe('nothingToTake');
    expect((await k.api('GET', '/stock')).body.stock).toEqual([]);
    // A form of another page can send text, and no archive.
    const form = await k.api('POST', '/archive', archiveOf({}), { 'Content-Type': 'text/plain' });
    expect(form.body.title).toBe('notAnArchive');
  });
});

/** Pins thousands of levels deep, as text. */
