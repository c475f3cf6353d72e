import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AwayHours } from '../documents/kitchen.ts';
import { startAwake } from './awake.ts';

const H = 3_600_000;
const MIN = 60_000;
/** Needed for an hour at the start, and for two hours after a steep of twelve. */
const OVER_NIGHT = [
  { startMin: 0, endMin: 60 },
  { startMin: 780, endMin: 900 },
];

describe('a way that lies on two days begins so that nobody is called out of bed', () => {
  it('at half past nine in the morning it waits for six in the evening', () => {
    // Thirteen hours after the start she is needed: not before seven, so not before 18:00.
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake(OVER_NIGHT, [], 'UTC', now)).toBe(Date.UTC(2026, 10, 25, 18, 0));
  });
  it('in the evening it begins now', () => {
    const now = Date.UTC(2026, 10, 25, 18, 40);
    expect(startAwake(OVER_NIGHT, [], 'UTC', now)).toBe(now);
  });
  it('hours that the kitchen gives count in place of the usual night', () => {
    const early: AwayHours = {
      kind: 'asleep',
      days: [0, 1, 2, 3, 4, 5, 6],
      fromMin: 21 * 60,
      toMin: 4 * 60,
    };
    // Needed from 04:00 on: begun thirteen hours before, at 15:00.
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake(OVER_NIGHT, [early], 'UTC', now)).toBe(Date.UTC(2026, 10, 25, 15, 0));
  });
  it('by the hours of the kitchen: in Oslo six in the evening is five of the clock in UTC', () => {
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake(OVER_NIGHT, [], 'Europe/Oslo', now)).toBe(Date.UTC(2026, 10, 25, 17, 0));
  });
  it('where no start is free of the night it is now', () => {
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake([{ startMin: 0, endMin: 30 * 60 }], [], 'UTC', now)).toBe(now);
  });

  it('law: no call falls into the night unless every start of the day would have one', () => {
    const inNight = (ms: number) => {
      const hour = (ms % (24 * H)) / H;
      return hour >= 22 || hour < 7;
    };
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 1, max: 120 })), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.integer({ min: 0, max: 24 * 60 - 1 }),
        (pairs, minute) => {
          const calls = pairs.map(([startMin, min]) => ({ startMin, endMin: startMin + min }));
          const now = Date.UTC(2026, 10, 25) + minute * MIN;
          const start = startAwake(calls, [], 'UTC', now);
          const disturbed = (from: number) =>
            calls.some((c) =>
              Array.from({ length: c.endMin - c.startMin }, (_, i) => from + (c.startMin + i) * MIN).some(
                inNight,
              ),
            );
          expect(start).toBeGreaterThanOrEqual(now);
          if (disturbed(start)) {
            expect(start).toBe(now);
            for (let at = Math.ceil(now / (15 * MIN)) * 15 * MIN; at < now + 24 * H; at += 15 * MIN)
              expect(disturbed(at)).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
