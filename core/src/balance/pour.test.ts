import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY, plus, sweetnessPct, water } from '../liquor/composition.ts';
import { ICE_MELTED_SHARE } from '../tables/constants.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { GARNISH_ROWS } from '../tables/garnish.ts';
import { garnishOf, pourTo, sweetForIce } from './pour.ts';

const syrup = (pct: number, grams: number) => ({
  ...EMPTY,
  waterG: grams * (1 - pct / 100),
  sugarG: (grams * pct) / 100,
  freeSugarG: (grams * pct) / 100,
  sweetG: (grams * pct) / 100,
});

describe('a glass or a jug to a strength', () => {
  it('half as strong, without ice: half of it is mixer', () => {
    expect(pourTo({ vesselMl: 250, iceG: 0, strengthShare: 0.5 })).toEqual({
      drinkMl: 125,
      mixerMl: 125,
      iceMl: 0,
      meltMl: 0,
      strengthShare: 0.5,
      most: 1,
    });
  });
  it('three cubes in a glass: by hand', () => {
    // 60 g of ice take 60 ÷ 0.917 = 65.4 mL of 250, 184.6 are left; 21 mL melt: 205.6 in all, six tenths are 123.3.
    const poured = pourTo({ vesselMl: 250, iceG: 60, strengthShare: 0.6 });
    expect(poured.drinkMl).toBeCloseTo(123.3, 1);
    expect(poured.mixerMl).toBeCloseTo(61.2, 1);
    expect(poured.most).toBeCloseTo(184.57 / 205.57, 3);
  });
  it('a jug of 1.5 L at two thirds over 300 g of ice', () => {
    // 1500 − 327.2 = 1172.8; 105 melt; two thirds of 1277.8 are 851.9.
    expect(pourTo({ vesselMl: 1500, iceG: 300, strengthShare: 2 / 3 }).drinkMl).toBeCloseTo(851.9, 0);
  });
  it('stronger than the ice leaves it cannot be: nothing but the drink, and it is said how strong', () => {
    const poured = pourTo({ vesselMl: 250, iceG: 120, strengthShare: 1 });
    expect(poured.mixerMl).toBe(0);
    expect(poured.strengthShare).toBe(poured.most);
    expect(poured.most).toBeLessThan(0.8);
  });
  it('fills the vessel, never over it, and is as strong as wished wherever that can be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 3000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (vesselMl, ice, strengthShare) => {
          const iceG = ice * vesselMl;
          const p = pourTo({ vesselMl, iceG, strengthShare });
          expect(p.drinkMl).toBeGreaterThanOrEqual(0);
          expect(p.mixerMl).toBeGreaterThanOrEqual(-1e-9);
          expect(p.drinkMl + p.mixerMl + iceG / 0.917).toBeLessThanOrEqual(
            Math.max(vesselMl, iceG / 0.917) + 1e-6,
          );
          expect(p.strengthShare).toBeCloseTo(Math.min(strengthShare, p.most), 6);
        },
      ),
    );
  });
});

describe('sweetened for ice', () => {
  it('9 g in 100 g over three cubes: by hand', () => {
    // A glass of 184.6 mL of 9 % weighs about 191 g; 21 g melt: 9 · (1 + 21 ÷ 191) = 9.99.
    const { sweetPct, moreG } = sweetForIce(syrup(9, 1000), 9, { drinkMl: 184.6, iceG: 60 });
    expect(sweetPct).toBeCloseTo(9.99, 1);
    // 90 g of sugar in a kilo; g more: (90 + g) ÷ (1000 + g) = 0.0999, g = 11.
    expect(moreG).toBeCloseTo(11, 0);
    // Not sweetened yet: a litre to 9 % wants 98.9 g, to 9.99 % 111 g; 12 g more.
    const plain = sweetForIce(syrup(0, 1000), 9, { drinkMl: 184.6, iceG: 60 });
    expect(plain.sweetPct).toBeCloseTo(10.03, 1);
    expect(plain.moreG).toBeCloseTo(12.5, 0);
  });
  it('thins back to where it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 150, noNaN: true }),
        (pct, iceG) => {
          const sweeter = sweetForIce(syrup(pct, 1000), pct, { drinkMl: 200, iceG }).sweetPct;
          // Two parts per hundred: a sweeter drink is a little denser.
          const glass = plus(syrup(sweeter, 200 * 1.04), water(iceG * ICE_MELTED_SHARE));
          expect(sweetnessPct(glass) / pct).toBeGreaterThan(0.98);
          expect(sweetnessPct(glass) / pct).toBeLessThan(1.02);
        },
      ),
    );
  });
});

describe('what lies on a glass', () => {
  it('is of what is in the drink, and suits how it is served', () => {
    const ids = new Set(['mint-leaf', 'pineapple-peel', 'cinnamon-stick', 'ginger-sliced']);
    expect(garnishOf(ids, false).map((g) => g.familyId)).toEqual(['mint', 'pineapple']);
    expect(garnishOf(ids, true).map((g) => g.familyId)).toEqual(['mint', 'cinnamon']);
    expect(garnishOf(new Set(['rooibos']), true)).toEqual([]);
  });
  it('every row is of a family that there is', () => {
    const families = new Set(FAMILY_ROWS.map((f) => f.id));
    expect(GARNISH_ROWS.filter((row) => !families.has(row.familyId))).toEqual([]);
  });
});
