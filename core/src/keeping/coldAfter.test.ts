import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coldAfterMs } from './follower.ts';

const BOTTLE = { volumeMl: 750, diameterCm: 8 };
const hours = (fromC: number, placeC: number) => coldAfterMs(BOTTLE, fromC, placeC)! / 3_600_000;

describe('until it is cold enough to serve', () => {
  it('from 20 to 8 °C at 4 °C: ln(16 / 4) = 1.39 lags; from 12 °C ln(8 / 4) = 0.69, half of that', () => {
    expect(hours(20, 4) / hours(12, 4)).toBeCloseTo(2, 6);
    expect(hours(20, 4)).toBeGreaterThan(2);
    expect(hours(20, 4)).toBeLessThan(8);
  });
  it('is there already, or never', () => {
    expect(coldAfterMs(BOTTLE, 6, 4)).toBe(0);
    expect(coldAfterMs(BOTTLE, 20, 9)).toBeNull();
  });
  it('a warmer start and a warmer fridge take longer, a larger bottle too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 9, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 7, noNaN: true }),
        (from, place) => {
          expect(hours(from + 1, place)).toBeGreaterThan(hours(from, place));
          expect(hours(from, place + 0.5)).toBeGreaterThan(hours(from, place));
          expect(coldAfterMs({ volumeMl: 1500, diameterCm: 10 }, from, place)!).toBeGreaterThan(
            coldAfterMs(BOTTLE, from, place)!,
          );
        },
      ),
    );
  });
});
