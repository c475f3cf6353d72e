import { beforeEach, describe, expect, it, vi } from 'vitest';
import { begunDoc, kitchenServer, said } from '../testing/kitchen.ts';
import { useNotices } from './notices.ts';
import { useOutbox } from './outboxStore.ts';
import { keys, queryClient } from './queries.ts';
import { startStream } from './stream.ts';
import { serverNow } from './time.ts';

/** The browser's end of an event stream, told what to hear. */
class FakeSource extends EventTarget {
  static readonly CLOSED = 2;
  static opened: FakeSource[] = [];
  readyState = 1;
  constructor(readonly url: string) {
    super();
    FakeSource.opened.push(this);
  }
  hear(name: string, data: unknown): void {
    this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) }));
  }
}

describe('what the server tells', () => {
  let source: FakeSource;
  beforeEach(() => {
    vi.stubGlobal('EventSource', FakeSource);
    FakeSource.opened = [];
    queryClient.clear();
    kitchenServer([begunDoc('one', 'boil')]);
    startStream();
    source = FakeSource.opened[0]!;
  });

  it('what was said elsewhere stands in the batch that is shown, once', () => {
    const doc = begunDoc('one', 'boil');
    queryClient.setQueryData(keys.batch('one'), doc);
    const event = said('one', 5, { kind: 'noted', body: { text: 'from the other room' } });
    source.hear('log', event);
    source.hear('log', event);
    const { events } = queryClient.getQueryData<typeof doc>(keys.batch('one'))!;
    expect(events.filter((e) => e.id === event.id)).toHaveLength(1);
  });
  it('a document that was changed is fetched anew, and nothing else', async () => {
    for (const key of [keys.kitchen, keys.stock, keys.recipes, keys.batches])
      queryClient.setQueryData(key, {});
    source.hear('doc', { doc: 'stock', id: 'calyx', version: 2 });
    const isStale = (key: readonly string[]) => queryClient.getQueryState(key)!.isInvalidated;
    await vi.waitFor(() => expect(isStale(keys.stock)).toBe(true));
    expect([keys.kitchen, keys.recipes, keys.batches].map(isStale)).toEqual([false, false, false]);
  });
  it('its time is the time, and a clock that was set is told', () => {
    const ahead = Date.now() + 3_600_000;
    source.hear('time', { nowMs: ahead, jumpMs: 3_600_000 });
    expect(Math.abs(serverNow() - ahead)).toBeLessThan(1000);
    expect(useNotices.getState().notices.at(-1)?.text).toMatch(/1 h/);
    source.hear('time', { nowMs: Date.now() });
  });
  it('what makes no sense is passed over', () => {
    source.hear('time', { nowMs: 'noon' });
    source.hear('log', { kind: 'unheardOf' });
    source.hear('doc', { doc: 'nothing' });
    expect(Math.abs(serverNow() - Date.now())).toBeLessThan(1000);
  });
  it('a stream that is lost is told as such, and all that was missed is fetched when it is back', () => {
    queryClient.setQueryData(keys.kitchen, {});
    source.dispatchEvent(new Event('error'));
    expect(useOutbox.getState().offline).toBe(true);
    source.dispatchEvent(new Event('open'));
    expect(useOutbox.getState().offline).toBe(false);
    expect(queryClient.getQueryState(keys.kitchen)!.isInvalidated).toBe(true);
  });
});
