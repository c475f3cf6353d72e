import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  asHandMeasures,
  gramsOf,
  gramsPerMeasure,
  handFraction,
  type Measurable,
  type MeasuringKit,
} from './measures.ts';
import { celsiusOf, convert, fahrenheitOf, UNIT_ROWS } from './units.ts';

const calyx: Measurable = { id: 'calyx', bulkGPerMl: 0.15, piece: null };
const ginger: Measurable = { id: 'ginger', bulkGPerMl: 0.42, piece: { id: 'thumb', massG: 30 } };
const kit = (change: Partial<MeasuringKit> = {}): MeasuringKit => ({
  system: 'metric',
  measures: [],
  cupWeights: [],
  ...change,
});

describe('units', () => {
  it('have a source and a name of their own', () => {
    expect(new Set(UNIT_ROWS.map((r) => r.id)).size).toBe(UNIT_ROWS.length);
    for (const row of UNIT_ROWS) expect(row.source).not.toBe('');
  });
  it('US and metric cups, US and imperial gallons differ', () => {
    // 231 in³ / 16 = 236.59 mL
    expect(convert(1, 'usCup', 'mL')).toBeCloseTo(236.588, 2);
    expect(convert(1, 'metricCup', 'mL')).toBe(250);
    expect(convert(1, 'usGallon', 'L')).toBeCloseTo(3.7854, 4);
    expect(convert(1, 'imperialGallon', 'L')).toBeCloseTo(4.5461, 4);
    expect(convert(1, 'pound', 'g')).toBeCloseTo(453.592, 3);
  });
  it('there and back is the same, for every pair of one kind', () => {
    const row = fc.constantFrom(...UNIT_ROWS);
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e4, noNaN: true }), row, row, (value, a, b) => {
        fc.pre(a.dimension === b.dimension);
        expect(convert(convert(value, a.id, b.id), b.id, a.id) / value).toBeCloseTo(1, 12);
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: -40, max: 250, noNaN: true }), (c) => {
        expect(celsiusOf(fahrenheitOf(c))).toBeCloseTo(c, 9);
      }),
    );
  });
  it('refuses to turn cups into grams or to guess a unit', () => {
    expect(() => convert(1, 'usCup', 'g')).toThrow(RangeError);
    expect(() => convert(1, 'thimble', 'mL')).toThrow(/known: mL/);
  });
});

describe('amounts as a hand measures them', () => {
  it('300 g of calyx at 44 g a blue mug: 6 3/4 mugs', () => {
    // 300 / 44 = 6.82, nearest fraction 3/4
    const own = kit({
      measures: [{ id: 'mug', name: 'blue mug', volumeMl: 310 }],
      cupWeights: [{ ingredientId: 'calyx', measureId: 'mug', massG: 44 }],
      preferredMeasureId: 'mug',
    });
    expect(asHandMeasures(300, calyx, own)).toMatchObject({
      whole: 6,
      fraction: '3/4',
      unitId: 'mug',
      massG: 300,
    });
  });
  it('the kitchen’s own weighing is carried to another cup by volume', () => {
    const own = kit({
      measures: [{ id: 'mug', name: 'mug', volumeMl: 300 }],
      cupWeights: [{ ingredientId: 'calyx', measureId: 'mug', massG: 60 }],
    });
    // 60 g / 300 mL · 250 mL = 50 g instead of the table's 37.5
    expect(gramsPerMeasure(calyx, 'metricCup', own)).toBeCloseTo(50, 9);
    expect(gramsPerMeasure(calyx, 'metricCup', kit())).toBeCloseTo(37.5, 9);
    expect(gramsPerMeasure(calyx, 'nothing', kit())).toBeNull();
  });
  it('whole pieces where a thing comes in pieces', () => {
    expect(asHandMeasures(150, ginger, kit())).toMatchObject({
      whole: 5,
      fraction: '',
      unitId: 'thumb',
      kind: 'piece',
    });
  });
  it('spoons for little, named by the system', () => {
    // 4 g of clove at 0.42 g/mL: 9.5 mL, under a tablespoon: 1.9 teaspoons
    const clove: Measurable = { id: 'clove', bulkGPerMl: 0.42, piece: null };
    expect(asHandMeasures(4, clove, kit())).toMatchObject({ whole: 2, unitId: 'metricTeaspoon' });
    expect(asHandMeasures(4, clove, kit({ system: 'us' })).unitId).toBe('usTeaspoon');
  });
  it('is never further from the weight than half the gap between two marks', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 200, noNaN: true }), (amount) => {
        const near = handFraction(amount);
        const gap = amount >= 30 ? 1 : amount >= 10 ? 0.5 : 0.25;
        expect(Math.abs(near.value - amount)).toBeLessThanOrEqual(gap / 2 + 1e-9);
      }),
    );
  });
  it('reads an amount back in any unit', () => {
    expect(gramsOf(2, 'thumb', ginger, kit())).toBe(60);
    expect(gramsOf(2, 'metricCup', calyx, kit())).toBeCloseTo(75, 9);
    expect(gramsOf(1.5, 'kg', calyx, kit())).toBe(1500);
    expect(gramsOf(1, 'lightYear', calyx, kit())).toBeNull();
  });
});
