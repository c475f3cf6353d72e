import { endOfTomorrow, keepDate } from '@big-ladle/core/keeping';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { moment, sayDate } from '../words/say.ts';
import { fromLocalField, toLocalField } from './zone.ts';

const ZONE = 'Europe/Berlin';

describe('the kitchen’s own time', () => {
  it('noon stays noon across the night when the clocks go back', () => {
    // On 25 October 2026 at 3:00 summer time (UTC+2) it becomes 2:00 winter time (UTC+1).
    const before = fromLocalField('2026-10-24T12:00', ZONE)!;
    const after = fromLocalField('2026-10-25T12:00', ZONE)!;
    expect(before).toBe(Date.UTC(2026, 9, 24, 10));
    expect(after).toBe(Date.UTC(2026, 9, 25, 11));
    // A steep of 14 h that is to be done at noon begins at 23:00 summer time, not at 22:00.
    expect(toLocalField(after - 14 * 3_600_000, ZONE)).toBe('2026-10-24T23:00');
    expect(endOfTomorrow(before, ZONE)).toBe(Date.UTC(2026, 9, 25, 23));
  });
  it('a moment that no such field can hold leaves it empty', () => {
    expect(toLocalField(8_640_000_000_000_000, ZONE)).toBe('');
    expect(toLocalField(Date.UTC(12026, 0), ZONE)).toBe('');
  });
  it('there and back is the same minute, wherever the kitchen stands', () => {
    const zone = fc.constantFrom('UTC', ZONE, 'America/New_York', 'Asia/Kolkata', 'Australia/Lord_Howe');
    fc.assert(
      fc.property(fc.integer({ min: Date.UTC(2025, 0, 1), max: Date.UTC(2030, 0, 1) }), zone, (ms, z) => {
        const minute = Math.floor(ms / 60_000) * 60_000;
        const field = toLocalField(minute, z);
        expect(toLocalField(fromLocalField(field, z)!, z)).toBe(field);
      }),
    );
  });
  it('half a date is no date', () => {
    expect(fromLocalField('2026-10-2', ZONE)).toBeNull();
    expect(fromLocalField('', ZONE)).toBeNull();
  });
});

describe('deadlines as dates', () => {
  const now = Date.UTC(2026, 10, 24, 21, 12);
  it('are rounded down to the last whole day, in the words of their verdict', () => {
    const word = (deadlineMs: number, verdict: 'good' | 'drinkToday' | 'past' | 'throwOut' = 'good') =>
      sayDate(keepDate({ deadlineMs, verdict }, 'UTC'), 'UTC');
    // Until Thursday 15:00: Wednesday is the last day that may be written on the bottle.
    expect(word(Date.UTC(2026, 10, 26, 15))).toMatch(/Wed.*25/);
    expect(word(Date.UTC(2026, 10, 27, 0))).toMatch(/Thu.*26/);
    expect(word(Date.UTC(2026, 10, 25, 15), 'drinkToday')).toBe('drink today');
    expect(word(Date.UTC(2026, 10, 23, 15), 'past')).toBe('past 22 Nov');
    expect(word(now, 'throwOut')).toBe('throw out');
  });
  it('moments are as near as a cook needs them', () => {
    expect(moment(now + 3_600_000, now, 'UTC')).toBe('22:12');
    expect(moment(now + 6 * 3_600_000, now, 'UTC')).toMatch(/Wed.* 03:12/);
  });
});
