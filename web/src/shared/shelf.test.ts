import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { endOfTomorrow, startOfToday } from '@big-ladle/core/keeping';
import { foldItem, type LogEvent } from '@big-ladle/core/log';
import { describe, expect, it } from 'vitest';
import { placeName, placesOf } from './house.ts';
import { moveToStored, saidSince, storedSoFar, useOutbox } from './outboxStore.ts';
import { ownDaysOf, withWaiting } from './shelf.ts';
import { undoOf } from './undo.ts';

const T0 = 1_800_000_000_000;
let seq = 0;
const event = (kind: string, body: object, change: Partial<LogEvent> = {}): LogEvent =>
  ({
    id: `e${++seq}`,
    stream: { kind: 'item', id: 'a' },
    v: 1,
    atMs: T0 + seq * 1000,
    deviceId: 'd',
    deviceSeq: seq * 10,
    kind,
    body,
    ...change,
  }) as LogEvent;

describe('what waits in this browser is shown at once', () => {
  const log = foldItem(T0, []);
  it('on top of what the server has: opened, poured, moved', () => {
    const after = withWaiting(
      log,
      [event('poured', { volumeMl: 200 }), event('moved', { place: 'counter' })],
      'a',
    );
    expect(after.pouredMl).toBe(200);
    expect(after.openedMs).not.toBeNull();
    expect(after.places.at(-1)!.place).toBe('counter');
    expect(log.pouredMl).toBe(0);
  });
  it('only what is of this bottle, and not what was taken back', () => {
    const poured = event('poured', { volumeMl: 200 });
    const other = event('poured', { volumeMl: 300 }, { stream: { kind: 'item', id: 'b' } });
    const back = event('undone', { target: poured.id });
    expect(withWaiting(log, [poured, other, back], 'a')).toEqual(log);
  });
});

describe('what the server has stored stays in sight until it is told back', () => {
  it('an answer asked for before it was stored is not the last word; one asked for afterwards is', () => {
    const frozen = event('moved', { place: 'freezer' });
    const thawed = event('moved', { place: 'fridge' });
    useOutbox.setState({ pending: [frozen, thawed], stored: [] });
    const askedBefore = storedSoFar();
    moveToStored([frozen]);
    const askedBetween = storedSoFar();
    const placeIn = (heardOf: number, told: readonly LogEvent[]) =>
      withWaiting(foldItem(T0, told), saidSince(useOutbox.getState(), heardOf), 'a').places.map(
        (p) => p.place,
      );
    expect(placeIn(askedBefore, [])).toEqual(['fridge', 'freezer', 'fridge']);
    expect(placeIn(askedBetween, [frozen])).toEqual(['fridge', 'freezer', 'fridge']);
    moveToStored([thawed]);
    expect(useOutbox.getState().pending).toEqual([]);
    expect(placeIn(askedBefore, [])).toEqual(['fridge', 'freezer', 'fridge']);
    expect(placeIn(askedBetween, [frozen])).toEqual(['fridge', 'freezer', 'fridge']);
    expect(placeIn(storedSoFar(), [frozen, thawed])).toEqual(['fridge', 'freezer', 'fridge']);
  });
});

describe('one tap back', () => {
  it('takes back all that was said with one tap, told by what it was about', () => {
    const bottled = event('bottled', {}, { atMs: T0, deviceSeq: 901 });
    const ended = event('stepEnded', { stepId: 's' }, { atMs: T0 + 1, deviceSeq: 902 });
    const undo = undoOf([bottled, ended])!;
    expect(undo.told.id).toBe(bottled.id);
    expect(undo.deeds.map((d) => d.kind === 'undone' && d.body.target)).toEqual([ended.id, bottled.id]);
    expect(undoOf([])).toBeNull();
  });
  it('two taps are two', () => {
    const first = event('opened', {}, { atMs: T0, deviceSeq: 911 });
    const second = event('poured', { volumeMl: 1 }, { atMs: T0 + 400, deviceSeq: 912 });
    expect(undoOf([first, second])!.deeds).toHaveLength(1);
  });
});

describe('the kitchen as the shelf asks for it', () => {
  it('an older kitchen without places has the usual ones; an unknown place shows its id', () => {
    const { places: _, ...old } = EMPTY_KITCHEN;
    expect(placesOf(old as never).map((p) => p.kind)).toEqual(['fridge', 'door', 'freezer', 'counter']);
    expect(placeName(EMPTY_KITCHEN, 'freezer')).toBe('Freezer');
    expect(placeName(EMPTY_KITCHEN, 'attic')).toBe('attic');
  });
  it("a rule of one's own is found by its drink", () => {
    const kitchen = { ...EMPTY_KITCHEN, ownRules: [{ recipeId: 'a', sealedDays: 3 }] };
    expect(ownDaysOf(kitchen, 'a')).toBe(3);
    expect(ownDaysOf(kitchen, 'b')).toBeNull();
  });
  it("today began, and tomorrow ends, by the kitchen's own clock", () => {
    const noon = Date.UTC(2026, 10, 25, 12);
    expect(new Date(startOfToday(noon, 'UTC')).toISOString()).toBe('2026-11-25T00:00:00.000Z');
    expect(new Date(startOfToday(noon, 'America/New_York')).toISOString()).toBe('2026-11-25T05:00:00.000Z');
    expect(endOfTomorrow(noon, 'UTC') - startOfToday(noon, 'UTC')).toBe(2 * 86_400_000);
    // The day the clocks go back has twenty-five hours.
    const long = Date.UTC(2026, 9, 25, 12);
    expect(endOfTomorrow(long, 'Europe/London') - startOfToday(long, 'Europe/London')).toBe(49 * 3_600_000);
  });
});
