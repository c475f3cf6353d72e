import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endOfTomorrow, isoKeepDate, keepDate, lastWholeDay, notBefore, startOfToday } from './date.ts';

const HOUR_MS = 3_600_000;
const ZONES = [
  'UTC',
  'Pacific/Auckland',
  'America/Bogota',
  'Europe/Berlin',
  'America/St_Johns',
  'Australia/Lord_Howe',
  'Pacific/Apia',
];
/** From 2024 to 2031: many changes of the clock in every zone that has them. */
const FROM_MS = Date.UTC(2024, 0, 1);
const TO_MS = Date.UTC(2031, 0, 1);
const moments = fc.integer({ min: FROM_MS, max: TO_MS });
const zones = fc.constantFrom(...ZONES);

const iso = (deadlineMs: number, zone: string) =>
  isoKeepDate(keepDate({ deadlineMs, verdict: 'good' }, zone), deadlineMs, zone);

describe('the last whole day', () => {
  it.each([
    // Berlin goes back an hour on 25 October 2026 at 03:00: that day has 25 hours.
    ['Europe/Berlin', '2026-10-25T23:30:00+01:00', '2026-10-24'],
    ['Europe/Berlin', '2026-10-26T00:30:00+01:00', '2026-10-25'],
    // It goes on an hour on 29 March 2026: that day has 23 hours, and 24 h before 00:30 of the 30th is 23:30 of the 28th.
    ['Europe/Berlin', '2026-03-30T00:30:00+02:00', '2026-03-29'],
    ['Europe/Berlin', '2026-03-29T23:30:00+02:00', '2026-03-28'],
    ['Pacific/Auckland', '2026-09-28T00:10:00+13:00', '2026-09-27'],
    ['America/Bogota', '2026-03-01T00:00:00-05:00', '2026-02-28'],
  ])('%s, a deadline at %s: %s', (zone, deadline, day) => {
    expect(iso(Date.parse(deadline), zone)).toBe(day);
  });
  it('ends before the deadline, and by less than two days, in every zone across every change of the clock', () => {
    fc.assert(
      fc.property(moments, zones, (deadlineMs, zone) => {
        // The end of the day of that noon, by the zone's own calendar.
        const endMs = endOfTomorrow(lastWholeDay(deadlineMs, zone) - 24 * HOUR_MS, zone);
        expect(endMs).toBeLessThanOrEqual(deadlineMs);
        expect(deadlineMs - endMs).toBeLessThan(26 * HOUR_MS);
      }),
      { numRuns: 3000 },
    );
  });
  it('never lies before today where the verdict is good: that is told from the end of tomorrow', () => {
    fc.assert(
      fc.property(moments, zones, fc.integer({ min: 0, max: 90 * 24 }), (nowMs, zone, hours) => {
        const deadlineMs = endOfTomorrow(nowMs, zone) + hours * HOUR_MS;
        expect(lastWholeDay(deadlineMs, zone)).toBeGreaterThan(startOfToday(nowMs, zone) + 24 * HOUR_MS);
      }),
      { numRuns: 1000 },
    );
  });
});

describe('a date for documents', () => {
  const nowMs = Date.parse('2026-10-24T23:30:00+02:00');
  it('is today where today is the last day, and nothing where it is past or thrown out', () => {
    const of = (verdict: 'drinkToday' | 'past' | 'throwOut') =>
      isoKeepDate(
        keepDate({ deadlineMs: nowMs + HOUR_MS, verdict }, 'Europe/Berlin'),
        nowMs,
        'Europe/Berlin',
      );
    expect([of('drinkToday'), of('past'), of('throwOut')]).toEqual(['2026-10-24', null, null]);
  });
});

describe('a batch made too early for its day', () => {
  const zone = 'America/Bogota'; // five hours behind, all year
  const day = Date.UTC(2026, 11, 12, 23); // Saturday the 12th, 18:00 there
  const made = { startMs: Date.UTC(2026, 10, 28, 15), deadlineMs: Date.UTC(2026, 11, 4, 15) };
  it('is begun no earlier than its life before the end of that day', () => {
    // The end of Saturday is the 13th, 05:00 by universal time; six days before that is the 7th, 05:00.
    expect(notBefore(day, made, zone)).toBe(Date.UTC(2026, 11, 7, 5));
  });
  it('begun then, the day is the last whole one of its bottles', () => {
    fc.assert(
      fc.property(moments, zones, fc.integer({ min: 1, max: 90 * 24 }), (dayMs, where, hours) => {
        const startMs = notBefore(dayMs, { startMs: 0, deadlineMs: hours * HOUR_MS }, where);
        const last = lastWholeDay(startMs + hours * HOUR_MS, where);
        expect(Math.abs(last - dayMs)).toBeLessThan(14 * HOUR_MS);
        expect(lastWholeDay(startMs + hours * HOUR_MS - 1, where)).toBeLessThan(last);
      }),
    );
  });
});
