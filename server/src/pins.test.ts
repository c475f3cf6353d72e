import { USUAL_PLACES } from '@big-ladle/core/documents';
import { type Keeping, lifeOf, surroundingsOf } from '@big-ladle/core/keeping';
import { FIRST_PLACE, freshItem } from '@big-ladle/core/log';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { DAY_MS } from '@big-ladle/core/units';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

const HOUR = 3_600_000;
let server: TestServer;
const say = eventWriter('pin');
const event = (kind: string, body: object, atMs: number, batch = 'b1') =>
  say({ kind: 'batch', id: batch }, kind, body, atMs);

/** A batch begun five hours ago, and ended at its bottling where that is asked for. */
async function made(id: string, toTheEnd: boolean): Promise<string[]> {
  await server.api('POST', '/batches', { id, plan: CALYX_PLAN });
  const began = NOW - 5 * HOUR;
  const started = await server.api('POST', `/batches/${id}/start`, {
    version: 1,
    events: [event('stepStarted', { stepId: 'pick' }, began, id)],
  });
  const { steps, lines } = started.body.pins.program as {
    steps: { id: string; kind: string }[];
    lines: { itemId: string }[];
  };
  const said = steps.flatMap((s, i) => {
    const endMs = began + ((i + 1) * 4 * HOUR) / steps.length;
    const bottle = {
      itemId: `${id}-1`,
      sizeId: 's',
      name: 'Tall',
      sizeMl: 750,
      volumeMl: 720,
      diameterCm: 8,
    };
    return [
      ...(s.kind === 'bottle'
        ? [event('bottled', { stepId: s.id, hygiene: 'sterilised', bottles: [bottle] }, endMs - 1, id)]
        : []),
      event('stepEnded', { stepId: s.id }, endMs, id),
    ];
  });
  const boiled = said.findIndex(
    (e) => e.kind === 'stepEnded' && 'stepId' in e.body && e.body.stepId === 'boil',
  );
  const answer = await server.api('POST', '/events', {
    events: toTheEnd ? said : said.slice(0, Math.max(3, boiled + 1)),
  });
  expect(answer.status).toBe(200);
  return [...new Set(lines.map((l) => l.itemId))];
}

const shelf = async (): Promise<unknown> => {
  const { items } = (await server.api('GET', '/items')).body as {
    items: { facts: { bottle: { keeping: Keeping; newer?: object }; longer: object } }[];
  };
  return items.map(({ facts: { bottle, longer } }) => ({ bottle, longer }));
};
/** What the server makes of a running batch. */
const running = async (): Promise<unknown> =>
  JSON.parse((await server.db('batch_now').where({ batch_id: 'b2' }).first('state')).state);

beforeEach(async () => {
  server = await new TestServer().open();
  await server.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
});
afterEach(async () => {
  expect(server.reports).toEqual([]);
  await server.dispose();
});

/** A row with everything worse that keeping and drawing look at. */
const worse = <T extends object>(row: T): T => ({
  ...row,
  treatment: 'rawJuice',
  unknown: true,
  traits: ['milk', 'garlic', 'live', 'lowAcid', 'honey', 'nut'],
  ...('acidPct' in row ? { acidPct: 0, alkaliMeqPerKg: 500, waterPct: 1 } : {}),
  ...('taGPerL' in row ? { taGPerL: 0, alkaliMeqPerL: 50 } : {}),
});

describe('another version of the tables', () => {
  it('leaves bottles and running batches as they are, whichever row it changes', async () => {
    const used = await made('b1', true);
    await made('b2', false);
    const before = [await shelf(), await running()];
    expect(used.length).toBeGreaterThan(3);
    for (const table of [SHIPPED_TABLES.ingredients, SHIPPED_TABLES.liquids, SHIPPED_TABLES.sweeteners])
      for (const id of used) {
        const rows = table as Map<string, object>;
        const row = rows.get(id);
        if (!row) continue;
        rows.set(id, worse(row));
        try {
          await rebuildAll(server.db);
          expect([await shelf(), await running()], id).toEqual(before);
        } finally {
          rows.set(id, row);
        }
      }
  });
});

describe('other rules of keeping', () => {
  const around = surroundingsOf({ ...ONE_POT, places: USUAL_PLACES }, null);
  const log = freshItem(NOW - HOUR, FIRST_PLACE);
  type Bottle = Parameters<typeof lifeOf>[0];
  const only = async (): Promise<Bottle> => ((await shelf()) as { bottle: Bottle }[])[0]!.bottle;

  /** As if the rules of the day it was filled had given it so many days more. */
  const filledWith = async (days: number): Promise<void> => {
    const { id, kept } = await server.db('event').where({ kind: 'bottled' }).first('id', 'kept');
    const frozen = JSON.parse(kept);
    frozen.keeping.sealedDays += days;
    frozen.keeping.uncutDays += days;
    await server
      .db('event')
      .where({ id })
      .update({ kept: JSON.stringify(frozen) });
    await rebuildAll(server.db);
  };

  it('that give a bottle less: the earlier counts, and both are told', async () => {
    await made('b1', true);
    const before = lifeOf(await only(), log, around, NOW);
    await filledWith(2);
    const now = lifeOf(await only(), log, around, NOW);
    expect(now.deadlineMs).toBe(before.deadlineMs);
    expect(now.older!.deadlineMs - now.deadlineMs).toBeCloseTo(2 * DAY_MS, -5);
    expect(now.reasons[0]!.code).toBe('keep.rules.newer');
  });
  it('that would give it more change nothing', async () => {
    await made('b1', true);
    const before = lifeOf(await only(), log, around, NOW);
    await filledWith(-2);
    const now = lifeOf(await only(), log, around, NOW);
    expect(before.deadlineMs - now.deadlineMs).toBeCloseTo(2 * DAY_MS, -5);
    expect(now.older).toBeNull();
  });
});
