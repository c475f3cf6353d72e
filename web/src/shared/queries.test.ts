import type { LogEvent } from '@big-ladle/core';
import { afterEach, describe, expect, it } from 'vitest';
import { keys, queryClient, takeEvents } from './queries.ts';

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
