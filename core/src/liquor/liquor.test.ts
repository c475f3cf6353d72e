import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TABLES } from '../testKitchen.ts';
import { colourOf, redShareAtPh, SPOON_PATH_CM } from './colour.ts';
import {
  abvPct,
  brix,
  EMPTY,
  massG,
  ofLiquid,
  ofSweetener,
  plus,
  scaled,
  specificGravity,
  sweetnessToComeG,
  titratableGPerL,
  volumeMl,
  water,
  withBrix,
  withWaterFor,
} from './composition.ts';
import { estimatePh, phOf, withPh } from './ph.ts';
import { coldVolume, expansion, saturationKPa, waterDensityGPerMl } from './water.ts';

const within = (value: number, wanted: number, share = 0.01) =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);
const liquid = (id: string, ml: number) => ofLiquid(TABLES.liquids.get(id)!, ml);
const sweet = (id: string, g: number) => ofSweetener(TABLES.sweeteners.get(id)!, g);
const pH = (ta: number, k: number, acetic = 0) => {
  const estimate = estimatePh(ta, k, acetic);
  return estimate.kind === 'estimate' ? estimate.pH : Number.NaN;
};

describe('°Bx, gravity and volume', () => {
  it('10.0 L of water and 1 kg of sugar: 9.11 °Bx, SG 1.0363, 10.62 L', () => {
    // 1000 / (9982 + 1000) = 9.106 %; SG = 1 + 9.106/(258.6 − 227.1·9.106/258.2) = 1 + 9.106/250.59 = 1.03634;
    // 10982 g / (1.03634 · 0.9982) = 10616 mL
    const c = plus(water(9982), sweet('sugar-white', 1000));
    expect(brix(c)).toBeCloseTo(9.11, 2);
    expect(specificGravity(brix(c))).toBeCloseTo(1.0363, 4);
    within(volumeMl(c), 10620, 0.001);
  });

  it('6 L at 1.2 °Bx and TA 6 with 1 L at 12.8 °Bx and TA 7: 2.92 °Bx, 7.00 L, TA 6.14', () => {
    const liquorOf = (ml: number, degBx: number, ta: number) => {
      const grams = ml * specificGravity(degBx) * 0.9982;
      return {
        ...EMPTY,
        waterG: grams * (1 - degBx / 100),
        sugarG: (grams * degBx) / 100,
        acidG: (ta * ml) / 1000,
      };
    };
    // (6018 · 1.2 + 1050 · 12.8)/(6018 + 1050) = 2.92; TA (6·6 + 1·7)/7 = 6.14
    const c = plus(liquorOf(6000, 1.2, 6), liquorOf(1000, 12.8, 7));
    within(brix(c), 2.92);
    within(volumeMl(c), 7000);
    within(titratableGPerL(c), 6.14);
  });

  it('250 mL at 14 °Bx over 120 g of ice, 35 % melted: 12.1 °Bx', () => {
    // mass 250 · 1.0568 · 0.9982 = 263.7 g, sugar 36.9 g; 36.9 / (263.7 + 42) = 12.1 %
    const grams = 250 * specificGravity(14) * 0.9982;
    const c = plus({ ...EMPTY, waterG: grams * 0.86, sugarG: grams * 0.14 }, water(120 * 0.35));
    expect(brix(c)).toBeCloseTo(12.1, 1);
  });

  it('5 L and 250 mL of 40 % spirit: 1.90 % by volume', () => {
    // 250 · 0.40 = 100 mL in 5250 mL
    const c = plus(water(5000 * 0.9982), liquid('spirit-40', 250));
    within(volumeMl(c), 5250, 0.0005);
    expect(abvPct(c)).toBeCloseTo(1.9, 2);
  });

  it('900 g of white sugar as honey, same sweetness: 1059 g, 746 mL, brings 180 g of water', () => {
    // 900 / 0.85 = 1058.8 g; / 1.42 = 745.6 mL; 17 % of it water
    const row = TABLES.sweeteners.get('honey')!;
    const grams = 900 / row.relativeSweetness;
    expect(grams).toBeCloseTo(1059, 0);
    expect(grams / row.bulkGPerMl).toBeCloseTo(746, 0);
    const honey = ofSweetener(row, grams);
    expect(honey.waterG).toBeCloseTo(180, 0);
    expect(honey.sweetG).toBeCloseTo(900, 6);
  });

  it('every liquid of the table has the volume it was poured by', () => {
    for (const row of TABLES.liquids.values()) within(volumeMl(ofLiquid(row, 500)), 500, 1e-9);
  });

  it('mixing keeps every figure, whatever is mixed', () => {
    const part = fc.record({
      id: fc.constantFrom(...TABLES.liquids.keys()),
      ml: fc.double({ min: 1, max: 20_000, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 6 }), (parts) => {
        const all = parts.map((p) => liquid(p.id, p.ml));
        const mixed = all.reduce((sum, c) => plus(sum, c), EMPTY);
        expect(massG(mixed)).toBeCloseTo(
          all.reduce((sum, c) => sum + massG(c), 0),
          6,
        );
        expect(mixed.acidG).toBeCloseTo(
          all.reduce((sum, c) => sum + c.acidG, 0),
          6,
        );
        const halves = plus(scaled(mixed, 0.3), scaled(mixed, 0.7));
        expect(volumeMl(halves)).toBeCloseTo(volumeMl(mixed), 6);
      }),
    );
  });

  it('water changed to reach a volume leaves the solutes alone', () => {
    const c = plus(water(5000), sweet('sugar-white', 400));
    const next = withWaterFor(c, 4000)!;
    expect(volumeMl(next)).toBeCloseTo(4000, 6);
    expect(next.sugarG).toBe(400);
    expect(withWaterFor(c, 100)).toBeNull();
  });

  it('a refractometer reading corrects sugar only above the other solubles', () => {
    // 1000 g with 15 g of others and 20 g of sugar read as 5 °Bx: 50 g dissolved, of which 35 g sugar.
    const c = { ...EMPTY, waterG: 965, sugarG: 20, sweetG: 20, freeSugarG: 20, otherSolublesG: 15 };
    const read = withBrix(c, 5);
    expect(massG(read)).toBeCloseTo(1000, 9);
    expect(read.sugarG).toBeCloseTo(35, 9);
    expect(read.otherSolublesG).toBe(15);
    expect(read.sweetG).toBeCloseTo(35, 9);
    // Read as 1 °Bx there is no sugar left and fewer others.
    expect(withBrix(c, 1)).toMatchObject({ sugarG: 0, otherSolublesG: 10 });
  });
});

describe('pH by charge balance', () => {
  it.each([
    { ta: 6.6, k: 7.7, acetic: 0, wanted: 2.68 },
    { ta: 55, k: 28, acetic: 0, wanted: 2.24 },
    { ta: 9, k: 57, acetic: 0, wanted: 3.7 },
    { ta: 7, k: 36, acetic: 0, wanted: 3.5 },
    { ta: 1.0, k: 27, acetic: 0, wanted: 5.4 },
    { ta: 6.34, k: 11.7, acetic: 0, wanted: 2.86 },
    { ta: 0, k: 18, acetic: 50, wanted: 3.05 },
    { ta: 3.09, k: 24.2, acetic: 16.7, wanted: 3.31 },
  ])('TA $ta g/L, alkali $k meq/L, acetic $acetic g/L: pH $wanted', ({ ta, k, acetic, wanted }) => {
    expect(pH(ta, k, acetic)).toBeCloseTo(wanted, 1);
    expect(Math.abs(pH(ta, k, acetic) - wanted)).toBeLessThan(0.012);
  });

  it('tap water of 4 meq/L turns the first into the sixth', () => {
    // alkali 7.7 + 4 = 11.7; TA 6.6 − 0.064 · 4 = 6.34
    const c = plus(ofLiquid(TABLES.liquids.get('water')!, 1000, 4), { ...EMPTY, acidG: 6.6, alkaliMeq: 7.7 });
    expect(c.alkaliMeq).toBeCloseTo(11.7, 6);
    expect(c.acidG).toBeCloseTo(6.344, 6);
    const read = phOf(c);
    expect(read.kind === 'estimate' && read.pH).toBeCloseTo(2.86, 1);
  });

  it('says nothing of water', () => {
    expect(estimatePh(0, 0.5).kind).toBe('tooLittleAcid');
  });

  it('falls as acid is added and rises with alkali', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (ta, k) => {
          expect(pH(ta + 1, k)).toBeLessThan(pH(ta, k) + 1e-9);
          expect(pH(ta, k + 1)).toBeGreaterThan(pH(ta, k) - 1e-9);
        },
      ),
    );
  });

  it('a reading taken over gives itself back, and later additions start from it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 2.3, max: 5.5, noNaN: true }),
        (ta, wanted) => {
          const c = withPh({ ...EMPTY, waterG: 998.2, acidG: ta, alkaliMeq: 10 }, wanted);
          const back = phOf(c);
          expect(back.kind === 'estimate' && back.pH).toBeCloseTo(wanted, 5);
        },
      ),
    );
  });
});

describe('water along temperature', () => {
  it('12.0 L at 20 °C stand as 12.50 L at 100 °C', () => {
    within(12 * expansion(100), 12.5, 0.001);
    // at 95 °C a litre is 3.8 % more
    within(expansion(95), 1.038, 0.001);
    expect(coldVolume(12 * expansion(60), 60)).toBeCloseTo(12, 9);
  });
  it('has the densities and vapour pressures of the tables', () => {
    expect(waterDensityGPerMl(4)).toBeCloseTo(0.99997, 4);
    expect(waterDensityGPerMl(20)).toBeCloseTo(0.9982, 4);
    within(saturationKPa(20), 2.339, 0.006);
    within(saturationKPa(60), 19.95, 0.006);
    within(saturationKPa(100), 101.33, 0.006);
  });
});

describe('colour', () => {
  it('red shows less as the drink is less sour', () => {
    expect(redShareAtPh(2.5)).toBe(1);
    expect(redShareAtPh(3.0)).toBeCloseTo(0.85, 9);
    expect(redShareAtPh(3.6)).toBeCloseTo(0.45, 9);
    expect(redShareAtPh(5)).toBe(0.3);
  });
  it('a calyx brew of 10 g/L in a spoon: green light down to 0.95 · 10^−2.24, red nearly through', () => {
    // path 1.6 cm: red 10·0.004·1.6 = 0.064, green 10·0.14·1.6 = 2.24, blue 10·0.055·1.6 = 0.88
    // linear 0.95·10^−A: 0.820, 0.0055, 0.125; as sRGB 0.9162, 0.0654, 0.3889 of 255
    const c = { ...EMPTY, waterG: 998.2, acidG: 7, alkaliMeq: 5, markerG: { red: 10 } };
    expect(colourOf(c, SPOON_PATH_CM)).toBe('#ea1163');
  });
  it('water is nearly white', () => {
    // 0.95 linear is 0.9774 in sRGB: 249
    expect(colourOf(water(1000), SPOON_PATH_CM)).toBe('#f9f9f9');
  });
});

describe('sweetness that is to come', () => {
  it('counts what the sweetener itself adds to the mass', () => {
    // Sugar into a kilogram of water for 10 %: s = 0.1 · 1000 / (1 − 0.1) = 111.1 g, and 111.1 of 1111.1 is a tenth.
    expect(sweetnessToComeG({ sweetG: 0, massG: 1000 }, 0.1, 1)).toBeCloseTo(111.11, 2);
    // A syrup half as sweet, two grams for one: (100 − 20) / (1 − 0.2) = 100, in 200 g; 120 of 1200 is a tenth.
    expect(sweetnessToComeG({ sweetG: 20, massG: 1000 }, 0.1, 2)).toBeCloseTo(100, 9);
  });

  it('is nothing where it is sweet enough, or where the sweetener is no sweeter than the target', () => {
    expect(sweetnessToComeG({ sweetG: 150, massG: 1000 }, 0.1, 1)).toBe(0);
    expect(sweetnessToComeG({ sweetG: 0, massG: 1000 }, 0.5, 2)).toBe(0);
  });

  it('reaches the target with whatever brings it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (target, gramsPerSweet, share) => {
          const liquor = { sweetG: share * target * 2000, massG: 2000 };
          const s = sweetnessToComeG(liquor, target, gramsPerSweet);
          expect((liquor.sweetG + s) / (liquor.massG + s * gramsPerSweet)).toBeCloseTo(target, 9);
        },
      ),
    );
  });
});
