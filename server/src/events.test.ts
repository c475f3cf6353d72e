import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eventToRow } from './db/rows.ts';
import { rebuildAll } from './services/projections.ts';
import { CALYX_PLAN, NOW, ONE_POT, TestServer } from './testServer.ts';

let k: TestServer;
let seq = 0;
beforeEach(async () => {
  k = await new TestServer().open();
  seq = 0;
  await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
});
afterEach(() => k.dispose());

const event = (stream: LogEvent['stream'], said: EventBody, more: Partial<LogEvent> = {}): LogEvent => {
  seq++;
  const envelope = { v: 1, atMs: NOW + seq, deviceId: 'dev', deviceSeq: seq };
  return { id: `ev-${seq}`, stream, ...envelope, ...said, ...more } as LogEvent;
};
const send = (...events: LogEvent[]) => k.api('POST', '/events', { events });
const ofBatch = (id: string) => ({ kind: 'batch' as const, id });
const ofItem = (id: string) => ({ kind: 'item' as const, id });

async function begun(id: string): Promise<void> {
  await k.api('POST', '/batches', { id, plan: CALYX_PLAN });
  const events = [event(ofBatch(id), { kind: 'stepStarted', body: { stepId: 'pick' } })];
  expect((await k.api('POST', `/batches/${id}/start`, { version: 1, events })).status).toBe(200);
}
const filling = (id: string, ...itemIds: string[]): LogEvent =>
  event(ofBatch(id), {
    kind: 'bottled',
    body: {
      stepId: 'bottle',
      hygiene: 'clean',
      bottles: itemIds.map((itemId) => ({
        itemId,
        sizeId: 'b',
        name: 'Bottle',
        sizeMl: 750,
        volumeMl: 700,
        diameterCm: 8,
      })),
    },
  });
/** Ends all steps, so that what was bottled stands on the shelf. */
async function ended(id: string): Promise<void> {
  const { batch } = (await k.api('GET', `/batches/${id}`)).body;
  for (const step of batch.pins.program.steps)
    expect((await send(event(ofBatch(id), { kind: 'stepEnded', body: { stepId: step.id } }))).status).toBe(
      200,
    );
}
const owners = async () =>
  Object.fromEntries(
    (await k.db('item_now').orderBy('item_id').select('item_id', 'batch_id')).map((r) => [
      r.item_id,
      r.batch_id,
    ]),
  );

describe('what is refused, and nothing of the message is stored', () => {
  it('a kind in the stream of another', async () => {
    await begun('b1');
    for (const wrong of [
      event(ofBatch('b1'), { kind: 'poured', body: { volumeMl: 100 } }),
      event(ofItem('x'), { kind: 'noted', body: { text: 'sour' } }),
      event({ kind: 'kitchen', id: 'kitchen' }, { kind: 'undone', body: { target: 'ev-1' } }),
    ])
      expect(await send(wrong)).toMatchObject({
        status: 422,
        body: { fields: [{ message: 'wrongStream' }] },
      });
  });
  it('a step of another batch', async () => {
    await begun('b1');
    const wrong = event(ofBatch('b1'), { kind: 'stepEnded', body: { stepId: 'sour' } });
    expect((await send(wrong)).body.title).toBe('unknownStep');
  });
  it('the id of a bottle that another batch has, or that stands twice in one filling', async () => {
    await begun('b1');
    await begun('b2');
    expect((await send(filling('b1', 'one', 'one'))).body.title).toBe('idTaken');
    expect((await send(filling('b1', 'one'))).status).toBe(200);
    expect(await send(filling('b2', 'two', 'one'))).toMatchObject({
      status: 422,
      body: { title: 'idTaken' },
    });
    expect((await send(filling('b2', 'two'), filling('b2', 'two'))).body.title).toBe('idTaken');
    // Also of one that was taken back: it may come again.
    const back = filling('b2', 'three');
    await send(back, event(ofBatch('b2'), { kind: 'undone', body: { target: back.id } }));
    expect((await send(filling('b1', 'three'))).body.title).toBe('idTaken');
  });
  it('an undo of what was said of something else', async () => {
    await begun('b1');
    await begun('b2');
    const note = event(ofBatch('b1'), { kind: 'noted', body: { text: 'foam' } });
    await send(note);
    const wrong = event(ofBatch('b2'), { kind: 'undone', body: { target: note.id } });
    expect((await send(wrong)).body.title).toBe('otherStream');
    expect((await send({ ...wrong, stream: ofBatch('b1') })).status).toBe(200);
  });
});

describe('what is refused or forgotten leaves nothing behind', () => {
  it('a plan under an id that is taken is not answered as created', async () => {
    await begun('b1');
    const other = { ...CALYX_PLAN, question: { kind: 'litres', litres: 3 } };
    const answer = await k.api('POST', '/batches', { id: 'b1', plan: other });
    expect(answer).toMatchObject({ status: 409, body: { title: 'alreadyThere' } });
  });
  it('a rehearsal that is forgotten frees the ids of its bottles', async () => {
    const stream = { kind: 'rehearsal' as const, id: 'r1' };
    const first = event(stream, { kind: 'stepStarted', body: { stepId: 'pick' } });
    const sent = { id: 'r1', plan: CALYX_PLAN, speed: 60, seed: 1, events: [first] };
    expect((await k.api('POST', '/rehearsals', sent)).status).toBe(201);
    expect((await send({ ...filling('r1', 'practised'), stream })).status).toBe(200);
    expect((await k.api('DELETE', '/rehearsals/r1')).status).toBe(204);
    expect(await k.db('item_owner')).toEqual([]);
  });
});

describe('what was stored before that was refused', () => {
  const store = async (...events: LogEvent[]) => {
    for (const e of events) await k.db('event').insert(eventToRow(e, NOW));
  };
  it('a bottle of two batches is the first one’s, and a rebuild says the same', async () => {
    await begun('b1');
    await begun('b2');
    await store(filling('b2', 'shared', 'mine'), filling('b1', 'shared'));
    await rebuildAll(k.db);
    await ended('b1');
    await ended('b2');
    expect(await owners()).toEqual({ shared: 'b2', mine: 'b2' });
    await rebuildAll(k.db);
    expect(await owners()).toEqual({ shared: 'b2', mine: 'b2' });
  });
  it('an unknown kind, a broken body and a kind in the wrong stream are passed over', async () => {
    await begun('b1');
    const strange = { ...event(ofBatch('b1'), { kind: 'noted', body: { text: 'x' } }), kind: 'sung' };
    const broken = event(ofBatch('b1'), { kind: 'measured', body: { stepId: 3 } } as unknown as EventBody);
    const wrong = event(ofBatch('b1'), { kind: 'opened', body: {} });
    await store(strange as unknown as LogEvent, broken, wrong);
    await rebuildAll(k.db);
    const { events } = (await k.api('GET', '/batches/b1')).body;
    expect(events.map((e: LogEvent) => e.kind)).toEqual(['stepStarted', 'opened']);
    expect((await k.api('GET', '/batches')).body.batches).toHaveLength(1);
  });
});
