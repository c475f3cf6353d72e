import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { outsideToday } from '../../contract/archive.ts';
import { programOf } from '../../testKitchen.ts';
import { foldBatch } from '../foldBatch.ts';
import { foldItem } from '../foldItem.ts';
import { STREAM_KINDS } from './row.ts';
import { type SAMPLES, sampleEvent } from './samples.fixtures.ts';
import { readStored, upcastBody } from './stored.ts';
import { EVENT_KINDS, EVENTS, eventSchema, type LogEvent, mayStandIn, touchedBy } from './table.ts';

/** Worked out by hand: what may be said of a batch, of a bottle, and of what was said. */
const OF_BOTTLES = 'moved vented looked gaveAway used opened poured finished discarded'.split(' ');
const OF_BOTH = ['retimed', 'undone'];

describe.each(STREAM_KINDS)('in the stream of a %s', (stream) => {
  it.each(EVENT_KINDS)('%s stands, or is refused', (kind) => {
    const belongs =
      stream === 'item'
        ? OF_BOTTLES.includes(kind) || OF_BOTH.includes(kind)
        : stream !== 'kitchen' && !OF_BOTTLES.includes(kind);
    expect(mayStandIn(kind, stream)).toBe(belongs);
    const read = v.safeParse(eventSchema, sampleEvent(kind, { kind: stream, id: 's' }));
    expect(read.success).toBe(belongs);
    if (!read.success) expect(read.issues[0].message).toBe('wrongStream');
  });
});

describe('every kind', () => {
  it.each(EVENT_KINDS)('%s says what it makes stale, and whether it is taken back or why not', (kind) => {
    const row = EVENTS[kind];
    const { undo } = row;
    expect(undo === 'takenBack' || undo.not.length > 10).toBe(true);
    // What the drink feels, and where a thing stands, shows in lists and on the shelf.
    if (row.of === 'item' || (row.of === 'stove' && row.drinkFeels)) expect(row.touches).toContain('items');
    expect([...touchedBy([{ kind }])]).toEqual([...row.touches]);
  });
  it('has one upcast for each older version', () => {
    for (const kind of EVENT_KINDS) expect(EVENTS[kind].upcasts).toHaveLength(EVENTS[kind].v - 1);
  });
});

describe('what was stored', () => {
  it('is read as it stands', () => {
    for (const kind of EVENT_KINDS) {
      const event = sampleEvent(kind, { kind: 'batch', id: 'b' });
      expect(readStored(JSON.parse(JSON.stringify(event)))).toEqual(event);
    }
  });
  it('is read outside of today’s bounds too, and what is outside is named', () => {
    const stream = { kind: 'batch', id: 'b' } as const;
    const long = sampleEvent('noted', stream, { body: { text: ' x'.repeat(5000) } } as Partial<LogEvent>);
    expect(readStored(long)).toEqual(long);
    expect(outsideToday(eventSchema, long)).toEqual({ field: 'body.text', code: 'name' });
    const much = sampleEvent('poured', { kind: 'item', id: 'i' }, {
      body: { volumeMl: 1e6 },
    } as Partial<LogEvent>);
    expect(readStored(much)).toEqual(much);
    expect(outsideToday(eventSchema, much)).toEqual({ field: 'body.volumeMl', code: 'between:0:30000' });
    const bell = sampleEvent('gaveAway', { kind: 'item', id: 'i' }, {
      body: { to: 'a\u0007b' },
    } as Partial<LogEvent>);
    expect(readStored(bell)).toEqual(bell);
    expect(outsideToday(eventSchema, bell)).toMatchObject({ field: 'body.to' });
    expect(outsideToday(eventSchema, sampleEvent('noted', stream))).toBeNull();
  });
  it('of another kind or another shape is passed over', () => {
    const event = sampleEvent('poured', { kind: 'item', id: 'i' });
    expect(readStored({ ...event, kind: 'sung' })).toBeNull();
    expect(readStored({ ...event, body: { volumeMl: 'much' } })).toBeNull();
    for (const value of [null, 3, 'x', [], {}]) expect(readStored(value)).toBeNull();
  });
  it('nothing makes the reading of it throw', () => {
    fc.assert(
      fc.property(fc.anything(), (value) => void readStored(value)),
      { numRuns: 300 },
    );
    fc.assert(
      fc.property(fc.constantFrom(...EVENT_KINDS), fc.anything(), (kind, body) => {
        readStored({ ...sampleEvent(kind, { kind: 'batch', id: 'b' }), body });
      }),
      { numRuns: 300 },
    );
  });
});

describe('a body of an older version', () => {
  // Version 2 counted in millilitres, version 3 gave it a place.
  const steps = [
    (b: unknown) => ({ ml: (b as { litres: number }).litres * 1000 }),
    (b: unknown) => ({ ...(b as object), place: 'fridge' }),
  ];
  it('goes through every step since, and no other', () => {
    expect(upcastBody(steps, 1, { litres: 2 })).toEqual({ ml: 2000, place: 'fridge' });
    expect(upcastBody(steps, 2, { ml: 500 })).toEqual({ ml: 500, place: 'fridge' });
    expect(upcastBody(steps, 3, { ml: 500, place: 'door' })).toEqual({ ml: 500, place: 'door' });
  });
});

describe('a kind in the stream of another, from before it was refused', () => {
  const program = programOf([], [{ kind: 'combine' }, { kind: 'bottle' }]);
  it('changes nothing of a batch', () => {
    const wrong = OF_BOTTLES.map((kind) =>
      sampleEvent(kind as keyof typeof SAMPLES, { kind: 'batch', id: 'b' }, { id: `w-${kind}` }),
    );
    expect(foldBatch(program, wrong)).toEqual(foldBatch(program, []));
  });
  it('changes nothing of a bottle', () => {
    const wrong = EVENT_KINDS.filter((k) => EVENTS[k].of === 'stove').map((kind) =>
      sampleEvent(kind, { kind: 'item', id: 'i' }, { id: `w-${kind}` }),
    );
    expect(foldItem(0, wrong)).toEqual(foldItem(0, []));
  });
});
