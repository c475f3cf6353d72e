import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startAwake } from './firstStart.ts';

const H = 3_600_000;
const MIN = 60_000;
/** Needed for an hour at the start, and for two hours after a steep of twelve. */
const OVER_NIGHT = [
  { startMs: 0, endMs: H },
  { startMs: 13 * H, endMs: 15 * H },
];

describe('a way that lies on two days begins so that nobody is called out of bed', () => {
  it('at half past nine in the morning it waits for six in the evening', () => {
    // Thirteen hours after the start she is needed: not before seven, so not before 18:00.
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake(OVER_NIGHT, 'UTC', now)).toBe(Date.UTC(2026, 10, 25, 18, 0));
  });
  it('in the evening it begins now', () => {
    const now = Date.UTC(2026, 10, 25, 18, 40);
    expect(startAwake(OVER_NIGHT, 'UTC', now)).toBe(now);
  });
  it('by the hours of the kitchen: in Oslo six in the evening is five of the clock in UTC', () => {
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake(OVER_NIGHT, 'Europe/Oslo', now)).toBe(Date.UTC(2026, 10, 25, 17, 0));
  });
  it('where no start is free of the night it is now', () => {
    const now = Date.UTC(2026, 10, 25, 9, 30);
    expect(startAwake([{ startMs: 0, endMs: 30 * H }], 'UTC', now)).toBe(now);
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
          const calls = pairs.map(([startMin, min]) => ({
            startMs: startMin * MIN,
            endMs: (startMin + min) * MIN,
          }));
          const now = Date.UTC(2026, 10, 25) + minute * MIN;
          const start = startAwake(calls, 'UTC', now);
          const disturbed = (from: number) =>
            calls.some((c) =>
              Array.from({ length: (c.endMs - c.startMs) / MIN }, (_, i) => from + c.startMs + i * MIN).some(
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
