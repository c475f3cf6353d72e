import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { archiveOf, sectionsOf } from './archive/testArchive.ts';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

const HOUR = 3_600_000;
let server: TestServer;
const event = eventWriter('unreadable');
const of = (id: string, kind: string, body: object, atMs: number) =>
  event({ kind: 'batch', id }, kind, body, atMs);

interface Archived {
  batches: { id: string; pins: Parts }[];
  events: { receivedMs: number; event: { id: string; stream: { id: string } } }[];
}
const archived = async () => sectionsOf(await server.archive()) as unknown as Archived;

type Parts = Record<string, Record<string, unknown>>;
/** What an archive of another making, or a bad disk, may do to what a batch pinned. */
const POISONS: Readonly<Record<string, (pins: Parts) => Parts>> = {
  'its steps are a number': (pins) => ({ ...pins, program: { ...pins.program, steps: 7 } }),
  'its steps are empty objects': (pins) => ({ ...pins, program: { ...pins.program, steps: [{}, {}] } }),
  'it has no program': ({ program: _, ...pins }) => pins,
  'it has no recipe': ({ recipe: _, ...pins }) => pins,
  'its lines are gone': (pins) => ({ ...pins, program: { ...pins.program, lines: null } }),
  'its kitchen has no pot': (pins) => ({ ...pins, kitchen: { ...pins.kitchen, pots: [] } }),
  'its pot has no size': (pins) => ({
    ...pins,
    kitchen: { ...pins.kitchen, pots: ONE_POT.pots.map((pot) => ({ ...pot, diameterCm: 'wide' })) },
  }),
};

beforeEach(async () => {
  server = await new TestServer().open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
  await server.api('POST', '/batches', { id: 'good', plan: CALYX_PLAN });
  await server.api('POST', '/batches/good/start', {
    version: 1,
    events: [of('good', 'stepStarted', { stepId: 'pick' }, NOW - HOUR)],
  });
});
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

/** The good batch once more under another id, spoilt. */
async function withPoison(poison: (pins: Parts) => Parts): Promise<void> {
  const { batches, events } = await archived();
  const batch = batches[0]!;
  const [entry] = events;
  const taken = await server.takeIn(
    archiveOf({
      batches: [{ ...batch, id: 'poison', pins: poison(batch.pins) }],
      events: [
        { ...entry, event: { ...entry!.event, id: 'poison-1', stream: { kind: 'batch', id: 'poison' } } },
      ],
    }),
  );
  expect(taken.stage).toBe('done');
}

describe('a batch that cannot be read', () => {
  for (const [what, poison] of Object.entries(POISONS))
    it(`hurts only itself: ${what}`, async () => {
      await withPoison(poison);
      const { batches } = (await server.api('GET', '/batches')).body;
      const at = (id: string) => batches.find((b: { batch: { id: string } }) => b.batch.id === id);
      expect(at('poison').now.unreadable).toEqual(expect.any(String));
      expect(at('good').now).toMatchObject({ currentStepId: 'pick', startedMs: NOW - HOUR });
      expect((await server.api('GET', '/batches/poison')).status).toBe(200);
      expect((await server.api('GET', '/items')).status).toBe(200);
      expect((await archived()).batches).toHaveLength(2);

      // The one takes no entries, the other does; a start that folds anew comes up.
      const send = (id: string) =>
        server.api('POST', '/events', { events: [of(id, 'noted', { text: 'a word' }, NOW)] });
      expect(await send('poison')).toMatchObject({ status: 409, body: { title: 'unreadable' } });
      expect((await send('good')).status).toBe(200);
      expect(await server.db.transaction((trx) => rebuildAll(trx))).toBe(2);
    });

  it('is put out of sight and back, and stays in the archive', async () => {
    await withPoison(POISONS['its steps are a number']!);
    const seen = async (query = '') =>
      ((await server.api('GET', `/batches${query}`)).body.batches as { batch: { id: string } }[]).map(
        (b) => b.batch.id,
      );
    expect((await server.api('PUT', '/batches/poison/away', { away: true })).body.awayMs).toBe(NOW);
    expect(await seen()).toEqual(['good']);
    expect(await seen('?away=1')).toEqual(['poison']);
    expect((await archived()).batches.map((b) => b.id).sort()).toEqual(['good', 'poison']);
    await server.api('PUT', '/batches/poison/away', { away: false });
    expect((await seen()).sort()).toEqual(['good', 'poison']);
  });

  it('is backed up like the others: one that is known to be unreadable is no fault of the copy', async () => {
    await withPoison(POISONS['its steps are a number']!);
    expect(await server.api('POST', '/backups')).toMatchObject({ status: 200, body: { kind: 'asked' } });
    // One that was readable and is no longer is a fault.
    await server.db('batch').where({ id: 'good' }).update({ pins: '{"program":{"steps":7}}' });
    expect((await server.api('POST', '/backups')).body).toMatchObject({ title: 'backupFailed' });
  });

  it('only what cannot be read is out of sight: a batch that is on stays, and one that can be read again is back', async () => {
    await server.api('PUT', '/batches/good/away', { away: true });
    const { batches } = (await server.api('GET', '/batches')).body;
    expect(batches).toHaveLength(1);
    expect((await server.api('GET', '/batches?away=1')).body.batches).toEqual([]);
  });
});
