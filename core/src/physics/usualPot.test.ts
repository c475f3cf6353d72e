import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { potLitres, usualShape } from './usualPot.ts';

const volumeL = ({ diameterCm: d, heightCm: h }: { diameterCm: number; heightCm: number }) =>
  ((Math.PI / 4) * d * d * h) / 1000;

describe('a pot by its litres', () => {
  it('12 L: d³ = 12 000 · 4 / (0.75 π) = 20 372, so 27.3 cm wide and 20.5 cm high', () => {
    expect(usualShape(12)).toEqual({ diameterCm: 27.3, heightCm: 20.5 });
  });
  it('holds what was said, within 1.5 %', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 200, noNaN: true }), (litres) => {
        expect(Math.abs(volumeL(usualShape(litres)) / litres - 1)).toBeLessThan(0.015);
      }),
    );
  });
  it('quarts and gallons', () => {
    expect(potLitres(12, 'quart')).toBeCloseTo(11.36, 2);
    expect(potLitres(5, 'gallon')).toBeCloseTo(18.93, 2);
  });
});
