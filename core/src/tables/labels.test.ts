import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { brix, ofLiquid, ofSweetener, volumeMl } from '../liquor/composition.ts';
import { TABLES } from '../testKitchen.ts';
import { type Label, withLabels } from './labels.ts';

const label = (change: Partial<Label>): Label => ({
  id: 'apple-juice',
  name: 'Apple juice',
  like: 'apple-juice',
  sugarPer100: null,
  brix: null,
  taGPerL: null,
  abvPct: null,
  sweetened: false,
  ...change,
});

describe('a packet’s label', () => {
  it('11 g of sugar per 100 mL: that much is in 100 mL', () => {
    const row = withLabels(TABLES, [label({ sugarPer100: 11 })]).liquids.get('apple-juice')!;
    expect(ofLiquid(row, 100).sugarG).toBeCloseTo(11, 3);
    // The table's apple juice has 10.3 g in 100 g, 10.8 in 100 mL: °Bx rises with the sugar, by 0.2.
    expect(row.brix).toBeGreaterThan(12);
    expect(row.brix).toBeLessThan(12.4);
    expect(volumeMl(ofLiquid(row, 500))).toBeCloseTo(500, 6);
  });
  it('a refractometer says 13.5: all of the difference is sugar', () => {
    const row = withLabels(TABLES, [label({ brix: 13.5 })]).liquids.get('apple-juice')!;
    expect(brix(ofLiquid(row, 1000))).toBeCloseTo(13.5, 6);
    expect(row.sugarGPer100g).toBeCloseTo(10.3 + 1.5, 9);
  });
  it('one more beside the tables, sold sweetened', () => {
    const tables = withLabels(TABLES, [
      label({ id: 'own-nectar', name: 'Pear nectar', sugarPer100: 13, sweetened: true }),
    ]);
    expect(tables.liquids.get('apple-juice')).toEqual(TABLES.liquids.get('apple-juice'));
    expect(ofLiquid(tables.liquids.get('own-nectar')!, 100).addedSugarG).toBeCloseTo(13, 3);
  });
  it('a runnier honey: less sugar, more water, less sweet by the same share', () => {
    const row = withLabels(TABLES, [
      label({ id: 'honey', name: 'Honey', like: 'honey', sugarPer100: 73.8 }),
    ]).sweeteners.get('honey')!;
    // Nine tenths of 82 %.
    expect(row.relativeSweetness).toBeCloseTo(0.85 * 0.9, 9);
    expect(row.waterPct).toBeCloseTo(17 + 8.2, 9);
    expect(ofSweetener(row, 100).sugarG).toBeCloseTo(73.8, 9);
  });
  it('no label changes nothing; one like nothing known is passed over', () => {
    expect(withLabels(TABLES, [])).toBe(TABLES);
    expect(withLabels(TABLES, undefined)).toBe(TABLES);
    expect(withLabels(TABLES, [label({ id: 'x', like: 'gravel' })]).liquids.has('x')).toBe(false);
  });
  it('whatever the label, no more sugar than is dissolved, and grams add up', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('apple-juice', 'orange-juice', 'cranberry-juice', 'water', 'ginger-beer'),
        fc.option(fc.double({ min: 0, max: 40, noNaN: true })),
        fc.option(fc.double({ min: 0, max: 45, noNaN: true })),
        (like, sugarPer100, brixPct) => {
          const row = withLabels(TABLES, [
            label({ id: 'own', like, sugarPer100, brix: brixPct }),
          ]).liquids.get('own')!;
          expect(row.sugarGPer100g).toBeLessThanOrEqual(row.brix + 1e-9);
          const c = ofLiquid(row, 1000);
          expect(c.waterG).toBeGreaterThan(0);
          expect(c.sugarG + c.otherSolublesG + c.waterG + c.ethanolG + c.aceticG).toBeCloseTo(
            1000 * row.densityGPerMl,
            5,
          );
        },
      ),
    );
  });
});
