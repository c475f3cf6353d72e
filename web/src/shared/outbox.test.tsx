import type { LogEvent } from '@big-ladle/core/log';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refusal } from '../testing/fakeServer.ts';
import { begunDoc, kitchenServer } from '../testing/kitchen.ts';
import { discard, flush, record, startOutbox } from './outbox.ts';
import { useOutbox } from './outboxStore.ts';
import { keys, queryClient } from './queries.ts';

const BATCH = { kind: 'batch', id: 'one' } as const;
const note = (text: string) => ({ kind: 'noted' as const, body: { text } });
const waiting = () => useOutbox.getState().pending.map((e) => (e.body as { text: string }).text);

/** What was sent in each request, by its text. */
const sent = (server: ReturnType<typeof kitchenServer>): string[][] =>
  server
    .askedOf('events')
    .map((a) => (a.body as { events: LogEvent[] }).events.map((e) => (e.body as { text: string }).text));

describe('what is entered', () => {
  beforeEach(async () => {
    for (const { id } of useOutbox.getState().pending) await discard(id);
    useOutbox.setState({ pending: [], stored: [], held: {}, offline: false });
    queryClient.clear();
  });

  it('is sent at once, is told as stored, and stands in the batch that is shown', async () => {
    const doc = begunDoc('one', 'boil');
    const server = kitchenServer([doc]);
    queryClient.setQueryData(keys.batch('one'), { ...doc, events: [...doc.events] });
    const stored = vi.fn();
    await record(BATCH, [note('smells of cloves')], { onStored: stored });
    await vi.waitFor(() => expect(stored).toHaveBeenCalledOnce());
    expect(sent(server)).toEqual([['smells of cloves']]);
    expect(waiting()).toEqual([]);
    const shown = queryClient.getQueryData<{ events: LogEvent[] }>(keys.batch('one'))!.events;
    expect(shown.at(-1)!.body).toEqual({ text: 'smells of cloves' });
  });

  it('waits in order while nobody answers, outlives the page, and is sent once when somebody does', async () => {
    const server = kitchenServer([begunDoc('one', 'boil')]);
    server.down = true;
    await record(BATCH, [note('first')]);
    await record(BATCH, [note('second')]);
    await vi.waitFor(() => expect(useOutbox.getState().offline).toBe(true));
    expect(waiting()).toEqual(['first', 'second']);
    // The page is opened anew: what this browser has kept is there again.
    useOutbox.setState({ pending: [] });
    await startOutbox();
    expect(waiting()).toEqual(['first', 'second']);
    server.down = false;
    await flush();
    await vi.waitFor(() => expect(waiting()).toEqual([]), 10_000);
    expect(sent(server)).toEqual([['first', 'second']]);
    await startOutbox();
    expect(sent(server)).toHaveLength(1);
  });

  it('goes with its reason where our server refuses it for what it is, and lets the others through', async () => {
    const server = kitchenServer([begunDoc('one', 'boil')]);
    const take = server.answers.events!;
    server.answers.events = (asked) => {
      const { events } = asked.body as { events: LogEvent[] };
      if (events.some((e) => (e.body as { text: string }).text === 'bad')) throw new Refusal(422, 'invalid');
      return take(asked);
    };
    server.down = true;
    const refused = vi.fn();
    await record(BATCH, [note('good')]);
    await record(BATCH, [note('bad')], { onRefused: refused });
    await record(BATCH, [note('as good')]);
    server.down = false;
    // Whether at once or at the next try.
    await flush();
    await vi.waitFor(() => expect(waiting()).toEqual([]), 10_000);
    expect(refused).toHaveBeenCalledOnce();
    expect(sent(server)).toEqual([['good', 'bad', 'as good'], ['good'], ['bad'], ['as good']]);
  });

  it('waits with its reason where our server does not take it for now', async () => {
    const server = kitchenServer([begunDoc('one', 'boil')]);
    server.answers.events = () => {
      throw new Refusal(409, 'unreadable');
    };
    await record(BATCH, [note('later')]);
    await vi.waitFor(() => expect(Object.keys(useOutbox.getState().held)).toHaveLength(1));
    expect(waiting()).toEqual(['later']);
    expect(useOutbox.getState().offline).toBe(false);
  });

  it('waits where something else answers in our place', async () => {
    const server = kitchenServer([begunDoc('one', 'boil')]);
    server.answers.events = () => ({ hello: 'sign in first' });
    await record(BATCH, [note('kept')]);
    await vi.waitFor(() => expect(useOutbox.getState().because).toBe('foreign'));
    expect(waiting()).toEqual(['kept']);
  });
});
