import { EVENT_KINDS, EVENTS, type LogEvent } from '@big-ladle/core/log';
import { afterEach, describe, expect, it } from 'vitest';
import { keys, queryClient, staleAfter, takeEvents } from './queries.ts';

const event = (kind: LogEvent['kind'], stream: LogEvent['stream'] = { kind: 'batch', id: 'b' }): LogEvent =>
  ({ id: 'e', stream, v: 1, atMs: 0, deviceId: 'd', deviceSeq: 0, kind, body: {} }) as unknown as LogEvent;

describe('what is fetched anew', () => {
  it('after a score the lists, after an early straining the batch, the lists and the shelf', () => {
    expect(staleAfter([event('scored')])).toEqual([keys.batches, keys.rehearsals, keys.lookedBack]);
    expect(staleAfter([event('strainedEarly')])).toEqual([
      keys.batch('b'),
      keys.batches,
      keys.rehearsals,
      keys.lookedBack,
      keys.items,
    ]);
  });
  it('after a note nothing: it stands in the log that was just added to', () => {
    expect(staleAfter([event('noted')])).toEqual([]);
  });
  it('after an undo everything that what was undone may have changed', () => {
    const all = new Set(EVENT_KINDS.flatMap((kind) => EVENTS[kind].touches));
    expect(new Set(EVENTS.undone.touches)).toEqual(all);
  });
  it.each(EVENT_KINDS)('%s: as its row says, and of its own batch', (kind) => {
    const stale = staleAfter([event(kind)]);
    expect(stale.some((key) => key[0] === 'batch')).toBe(EVENTS[kind].touches.some((t) => t === 'batch'));
    expect(stale.flat()).not.toContain('other');
  });
});

const moved = (id: string, place: string): LogEvent => ({
  id,
  stream: { kind: 'item', id: 'bottle' },
  v: 1,
  atMs: 1_795_500_000_000,
  deviceId: 'd',
  deviceSeq: 1,
  kind: 'moved',
  body: { place },
});

afterEach(() => queryClient.clear());

describe('an entry that the server has stored', () => {
  it('stands in the history of its bottle at once: what is taken back is the newest, not the one before it', () => {
    queryClient.setQueryData(keys.thingEvents('bottle'), { events: [moved('a', 'freezer')] });
    takeEvents([moved('b', 'fridge')]);
    takeEvents([moved('b', 'fridge')]);
    const told = queryClient.getQueryData<{ events: LogEvent[] }>(keys.thingEvents('bottle'));
    expect(told?.events.map((e) => e.id)).toEqual(['a', 'b']);
  });

  it('makes no history of a thing that nobody has looked at', () => {
    takeEvents([moved('a', 'freezer')]);
    expect(queryClient.getQueryData(keys.thingEvents('bottle'))).toBeUndefined();
  });
});
