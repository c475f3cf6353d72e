import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseFigure, typedFigure } from './typed.ts';
import { DEGREES, UNIT_SYSTEMS } from './units.ts';
import {
  fieldUnit,
  type Written,
  writtenLength,
  writtenMass,
  writtenTemp,
  writtenTempDifference,
  writtenVolume,
} from './written.ts';

const text = ({ value, decimals, symbol }: Written) => `${value.toFixed(decimals)} ${symbol}`;

describe('amounts as a kitchen writes them', () => {
  it('volumes in the unit that its hands know for so much', () => {
    // A US gallon is 231 cubic inches of 16.387 mL: 3785.4 mL, a quart a quarter, a fluid ounce a 128th of it.
    expect(text(writtenVolume(9, 100, 'us'))).toBe('9.5 qt');
    expect(text(writtenVolume(20, 100, 'us'))).toBe('5.28 gal');
    expect(text(writtenVolume(0.75, 10, 'us'))).toBe('25.4 fl oz');
    // An imperial gallon is 4.54609 L, a pint an eighth, a fluid ounce a 160th of it.
    expect(text(writtenVolume(9, 100, 'imperial'))).toBe('15.8 pt');
    expect(text(writtenVolume(20, 100, 'imperial'))).toBe('4.40 gal');
    expect(text(writtenVolume(0.25, 10, 'imperial'))).toBe('8.8 fl oz');
    expect(text(writtenVolume(9, 100, 'metric'))).toBe('9.0 L');
    expect(text(writtenVolume(0.257, 10, 'metric'))).toBe('260 mL');
  });
  it('weights in ounces, then in pounds and ounces that are never sixteen', () => {
    const mass = (massG: number) => writtenMass(massG, 'us').map(text).join(' ');
    expect(mass(5)).toBe('5.0 g');
    expect(mass(60)).toBe('2.12 oz');
    expect(mass(160)).toBe('5.6 oz');
    // 1 kg is 35.27 oz: two pounds are 32 of them.
    expect(mass(1000)).toBe('2 lb 3.3 oz');
    expect(mass(453.5)).toBe('1 lb');
    // 10 lb are 4536 g; 8 oz more are 227.
    expect(mass(4763)).toBe('10 lb 8 oz');
    expect(writtenMass(1500, 'metric').map(text)).toEqual(['1.50 kg']);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 50_000, noNaN: true }), (massG) => {
        const parts = writtenMass(massG, 'imperial');
        const oz = parts.reduce(
          (sum, p) =>
            sum +
            Number(p.value.toFixed(p.decimals)) *
              (p.symbol === 'lb' ? 16 : p.symbol === 'oz' ? 1 : 1 / 28.349523125),
          0,
        );
        // At the very end of what is allowed a sum may round either way.
        const allowedG = Math.max(0.15, massG * 0.007) + 1e-9;
        expect(Math.abs(oz * 28.349523125 - massG)).toBeLessThan(allowedG);
        if (parts.length === 2) expect(Number(parts[1]!.value.toFixed(parts[1]!.decimals))).toBeLessThan(16);
      }),
    );
  });
  it('heat, and by how much it differs', () => {
    expect(text(writtenTemp(60, 0, 'fahrenheit'))).toBe('140 °F');
    expect(text(writtenTemp(4.5, 1, 'fahrenheit'))).toBe('40.1 °F');
    expect(text(writtenTempDifference(1, 0, 'fahrenheit'))).toBe('2 °F');
    expect(text(writtenTemp(60, 0, 'celsius'))).toBe('60 °C');
  });
  it('lengths', () => {
    expect(text(writtenLength(24, 1, 'us'))).toBe('9.45 in');
    expect(text(writtenLength(24, 1, 'metric'))).toBe('24.0 cm');
  });
});

describe('a figure that is typed', () => {
  const typed = (input: string, held: string, system: (typeof UNIT_SYSTEMS)[number], decimals = 1) =>
    typedFigure(
      input,
      held,
      fieldUnit(held, decimals, system, system === 'us' ? 'fahrenheit' : 'celsius'),
      system,
    );

  it('reads commas and points alike, and says when it is none', () => {
    expect([parseFigure('8,5'), parseFigure(' 8.5 '), parseFigure('1 200')]).toEqual([8.5, 8.5, 1200]);
    for (const nothing of ['', 'a lot', '3-4', '8 bottles', '8 L 4', '4 min', '5 kg'])
      expect(typed(nothing, 'L', 'metric'), nothing).toBeNaN();
  });
  it('is in the unit that the field shows', () => {
    expect(typed('9.5', 'L', 'us')).toBeCloseTo(8.99, 2);
    expect(typed('16', 'L', 'imperial')).toBeCloseTo(9.092, 3);
    expect(typed('180', '°C', 'us')).toBeCloseTo(82.22, 2);
    expect(typed('12', 'cm', 'us')).toBeCloseTo(30.48, 9);
    expect(typed('9', 'L', 'metric')).toBe(9);
    expect(typed('12 min', 'min', 'us')).toBe(12);
  });
  it('or in the unit that is typed behind it, of this side of the sea', () => {
    expect(typed('2 gal', 'L', 'us')).toBeCloseTo(7.571, 3);
    expect(typed('2 gal', 'L', 'imperial')).toBeCloseTo(9.092, 3);
    // In a metric kitchen nobody can know which gallon.
    expect(typed('2 gal', 'L', 'metric')).toBeNaN();
    expect(typed('750 ml', 'L', 'us')).toBeCloseTo(0.75, 9);
    expect(typed('1 lb 4 oz', 'g', 'metric')).toBeCloseTo(566.99, 2);
    expect(typed('1.2 kg', 'g', 'us')).toBeCloseTo(1200, 9);
    expect(typed('40 fl oz', 'mL', 'us')).toBeCloseTo(1182.94, 2);
    expect(typed('80 °C', '°C', 'us')).toBe(80);
    expect(typed('10"', 'cm', 'metric')).toBeCloseTo(25.4, 9);
    expect(typed('1 C 2 F', '°C', 'metric')).toBeNaN();
  });
  it('comes back as it was shown, whatever the kitchen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('L', 'mL', 'g', 'kg', '°C', 'cm', 'm', '%', ''),
        fc.constantFrom(...UNIT_SYSTEMS),
        fc.constantFrom(...DEGREES),
        fc.integer({ min: 0, max: 2 }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (unit, system, degrees, decimals, value) => {
          const field = fieldUnit(unit, decimals, system, degrees);
          const shown = field.shown(value).toFixed(field.decimals);
          // As fine as the figure itself.
          expect(Math.abs(typedFigure(shown, unit, field, system) - value)).toBeLessThanOrEqual(
            Math.max(0.54 * 10 ** -decimals, field.held(0.0051) - field.held(0)),
          );
        },
      ),
    );
  });
});
