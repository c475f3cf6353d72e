import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Composition,
  EMPTY,
  ofSweetener,
  plus,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
} from '../liquor/composition.ts';
import { SWEETENER_FACTS } from '../tables/sweetenerFacts.ts';
import { TABLES } from '../testKitchen.ts';
import { ratioFrom, trueRatio } from './ratio.ts';
import { swappedInDrink, swapSour, swapSweetener, sweetenWithFruit } from './swaps.ts';
import { waysBack } from './waysBack.ts';

const sweetener = (id: string) => TABLES.sweeteners.get(id)!;
const swap = (
  from: string,
  grams: number,
  to: string,
  keeps: 'sweetness' | 'sugar' = 'sweetness',
  inMl = 10_000,
) => swapSweetener(sweetener(from), grams, sweetener(to), keeps, inMl);
const brew = (litres: number, taGPerL = 6): Composition => ({
  ...EMPTY,
  waterG: litres * 985,
  otherSolublesG: litres * 15,
  acidG: litres * taGPerL,
});

describe('one sweetener for another', () => {
  it('900 g of white sugar as honey of the same sweetness: 1059 g, 746 mL, with 180 g of water', () => {
    const honey = swap('sugar-white', 900, 'honey')!;
    expect(honey.massG).toBeCloseTo(900 / 0.85, 6);
    expect(Math.round(honey.massG)).toBe(1059);
    expect(Math.round(honey.bulkMl)).toBe(746);
    expect(Math.round(honey.waterG)).toBe(180);
    // 1058.8 g × 82 % = 868.2 g of sugar, 31.8 g less.
    expect(honey.sugarMoreG).toBeCloseTo(868.2 - 900, 1);
    expect(honey.sweetMoreG).toBeCloseTo(0, 9);
    expect(honey.mostC).toBe(60);
  });
  it('and back: 1059 g of honey is 900 g of sugar again', () => {
    expect(swap('honey', 900 / 0.85, 'sugar-white')!.massG).toBeCloseTo(900, 9);
  });
  it('keeping the sugar instead: 900 g of sugar are in 1097.6 g of honey, sweeter by 33 g', () => {
    const honey = swap('sugar-white', 900, 'honey', 'sugar')!;
    expect(honey.massG).toBeCloseTo(900 / 0.82, 6);
    // 1097.6 × 0.85 = 932.9 g as sweet as sugar.
    expect(honey.sweetMoreG).toBeCloseTo(32.9, 1);
    expect(honey.sugarMoreG).toBeCloseTo(0, 9);
  });
  it('agave for sugar: less of it, fewer kcal; and 100 g of brown sugar in dates', () => {
    // 500/0.95 = 526.3 g; kcal 5.263 × 310 − 500 × 4 = 1631.6 − 2000.
    const agave = swap('sugar-white', 500, 'agave-syrup')!;
    expect(agave.massG).toBeCloseTo(526.3, 1);
    expect(agave.kcalMore).toBeCloseTo(-368.4, 1);
    // 97 g of sweetness at 0.5 a gram: 194 g, 40 % of it water.
    const dates = swap('sugar-brown', 100, 'date-paste')!;
    expect(dates.massG).toBeCloseTo(194, 9);
    expect(dates.waterG).toBeCloseTo(77.6, 9);
  });
  it('says where it would be too much: molasses above 10 g/L, stevia alone, erythritol above 90 g/L', () => {
    expect(swap('sugar-white', 900, 'molasses')!.overCap).toBe(true);
    expect(swap('sugar-white', 50, 'molasses')!.overCap).toBe(false);
    expect(swap('sugar-white', 900, 'stevia-pure')!.overCap).toBe(true);
    // 900/0.65 = 1385 g in 10 L: 138 g/L; 500 g would be 77 g/L.
    expect(swap('sugar-white', 900, 'erythritol')!.overCap).toBe(true);
    expect(swap('sugar-white', 500, 'erythritol')!.overCap).toBe(false);
    expect(swap('sugar-white', 500, 'erythritol', 'sugar')).toBeNull();
    for (const facts of SWEETENER_FACTS) expect(TABLES.sweeteners.has(facts.id), facts.id).toBe(true);
  });
  it('swapped at the same litres a drink stays as sweet within half a per cent, whichever way', () => {
    const sugars = [
      'sugar-white',
      'sugar-brown',
      'jaggery',
      'honey',
      'maple-syrup',
      'agave-syrup',
      'date-syrup',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...sugars),
        fc.constantFrom(...sugars),
        fc.double({ min: 2, max: 15, noNaN: true }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        (from, to, litres, gPerL) => {
          const grams = litres * gPerL;
          const other = swap(from, grams, to)!;
          const was = ofSweetener(sweetener(from), grams);
          const drink = plus(brew(litres), was);
          const swapped = swappedInDrink(drink, was, ofSweetener(sweetener(to), other.massG))!;
          expect(volumeMl(swapped.drink)).toBeCloseTo(volumeMl(drink), 3);
          const gPer = (c: Composition) => c.sweetG / volumeMl(c);
          expect(Math.abs(gPer(swapped.drink) / gPer(drink) - 1)).toBeLessThan(0.005);
          // There and back is where it was.
          expect(swap(to, other.massG, from)!.massG).toBeCloseTo(grams, 6);
        },
      ),
    );
  });
});

describe('one sour thing for another, by acid', () => {
  it('100 mL of lemon juice: 94.8 mL of lime, 114.6 bottled, 103.2 of vinegar, and tamarind by its acid', () => {
    expect(swapSour('lemon-juice', 100, 'lime-juice', TABLES)!.volumeMl).toBeCloseTo((100 * 55) / 58, 6);
    expect(swapSour('lemon-juice', 100, 'lemon-juice-bottled', TABLES)!.volumeMl).toBeCloseTo(5500 / 48, 6);
    const vinegar = swapSour('lemon-juice', 100, 'cider-vinegar', TABLES)!;
    // 5.5 g as citric; vinegar of 5 g/100 mL counts 1.066 × 0.05 = 0.0533 g/mL.
    expect(vinegar.volumeMl).toBeCloseTo(5.5 / 0.0533, 1);
    expect(vinegar.acetic).toBe(true);
    const tamarind = [...TABLES.ingredients.values()].find((r) => r.marker === 'tamarind')!;
    expect(swapSour('lemon-juice', 100, tamarind.id, TABLES)!.massG).toBeCloseTo(
      5.5 / (tamarind.acidPct / 100),
      6,
    );
  });
  it('limes for lemons are counted whole, and fresh is raw where bottled is not', () => {
    const lime = swapSour('lemon-juice', 300, 'lime-juice', TABLES)!;
    const row = TABLES.ingredients.get('lime-whole')!;
    const perLime = (row.piece!.massG / 1000) * row.juiceMlPerKg.hand!;
    expect(lime.fruit!.pieces).toBe(Math.ceil(lime.volumeMl! / perLime));
    expect(lime.raw).toBe(true);
    expect(swapSour('lemon-juice', 300, 'lime-juice-bottled', TABLES)!.raw).toBe(false);
    expect(swapSour('water', 300, 'lime-juice', TABLES)).toBeNull();
    expect(swapSour('lemon-juice', 300, 'sugar-white', TABLES)).toBeNull();
  });
  it('there and back again, and never by the count of fruit', () => {
    const sours = [
      'lemon-juice',
      'lime-juice',
      'cider-vinegar',
      'rice-vinegar',
      'cranberry-juice',
      'lemon-juice-bottled',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...sours),
        fc.constantFrom(...sours),
        fc.double({ min: 1, max: 2000, noNaN: true }),
        (a, b, ml) => {
          const there = swapSour(a, ml, b, TABLES)!;
          expect(swapSour(b, there.volumeMl!, a, TABLES)!.volumeMl).toBeCloseTo(ml, 6);
        },
      ),
    );
  });
});

describe('fruit in the place of sugar', () => {
  it('pineapple juice to 5 %: litres by hand, whole fruit, thinner', () => {
    // 4000 g of brew, juice of 11 %: x = 0.05·4000/(0.11 − 0.05) = 3333 g, 3175 mL.
    const sweet = sweetenWithFruit({ ...brew(4), waterG: 3940 }, 5, 'pineapple-juice', TABLES)!;
    expect(sweet.massG).toBeCloseTo(3333.3, 0);
    expect(sweet.volumeMl).toBeCloseTo(3333.3 / 1.05, 0);
    expect(sweet.body).toBe('thinner');
    expect(sweet.raw).toBe(true);
    expect(sweet.fruit!.pieces).toBeGreaterThanOrEqual(3);
    expect(sweet.litresMore).toBeGreaterThan(2.9);
    expect(sweetenWithFruit(brew(4), 12, 'pineapple-juice', TABLES)).toBeNull();
  });
  it('dates thicken and take less room', () => {
    // 0.05·4000/(0.5 − 0.05) = 444.4 g.
    const dates = sweetenWithFruit({ ...brew(4), waterG: 3940 }, 5, 'date-paste', TABLES)!;
    expect(dates.massG).toBeCloseTo(444.4, 1);
    expect(dates.body).toBe('thicker');
    expect(dates.raw).toBe(false);
  });
});

describe('drinks in parts', () => {
  const legs = [
    { id: 'pineapple-juice', parts: 1 },
    { id: 'honey', parts: 1 },
    { id: 'cider-vinegar', parts: 1 },
  ];
  it('1 : 1 : 1 from any leg, in mL and g', () => {
    for (const measured of [
      { id: 'pineapple-juice', volumeMl: 400 },
      { id: 'honey', massG: 568 },
      { id: 'cider-vinegar', volumeMl: 400 },
    ] as const) {
      const amounts = ratioFrom(legs, measured, TABLES)!;
      for (const a of amounts) expect(a.volumeMl).toBeCloseTo(400, 6);
      // Honey of 1.42, juice of 1.05, vinegar of 1.01 g/mL.
      expect(amounts.map((a) => Math.round(a.massG))).toEqual([420, 568, 404]);
    }
  });
  it('2 : 1 : 1 from 300 mL of vinegar', () => {
    const amounts = ratioFrom(
      [{ id: 'pineapple-juice', parts: 2 }, legs[1]!, legs[2]!],
      { id: 'cider-vinegar', volumeMl: 300 },
      TABLES,
    )!;
    expect(amounts.map((a) => Math.round(a.volumeMl))).toEqual([600, 300, 300]);
    expect(ratioFrom(legs, { id: 'water', volumeMl: 3 }, TABLES)).toBeNull();
  });
  it('a jar ran short: 500 juice, 500 vinegar and 426 g of honey are 1 : 0.6 : 1', () => {
    const truth = trueRatio(
      legs,
      [
        { id: 'pineapple-juice', volumeMl: 500 },
        { id: 'honey', massG: 426 },
        { id: 'cider-vinegar', volumeMl: 500 },
      ],
      TABLES,
    )!;
    expect(truth.legs.map((l) => l.parts)).toEqual([1, 0.6, 1]);
    // By weight 525 : 426 : 505.
    expect(truth.legs.map((l) => l.massParts)).toEqual([1, 0.81, 0.96]);
    expect(truth.off).toBeCloseTo(0.4, 9);
    expect(truth.toTopUp.map((t) => [t.id, Math.round(t.volumeMl), Math.round(t.massG)])).toEqual([
      ['honey', 200, 284],
    ]);
    expect(truth.asShortest.map((t) => Math.round(t.volumeMl))).toEqual([300, 300, 300]);
    // Acetic: 25 g in 1300 mL, 1.92 g in 100 mL: enough to keep by vinegar.
    expect((100 * truth.drink.aceticG) / volumeMl(truth.drink)).toBeCloseTo(1.92, 1);
  });
  it('whatever was measured, all legs give the same drink', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 1, max: 4 }),
          fc.integer({ min: 1, max: 4 }),
          fc.integer({ min: 1, max: 4 }),
        ),
        fc.double({ min: 20, max: 3000, noNaN: true }),
        ([a, b, c], ml) => {
          const own = [
            { id: 'pineapple-juice', parts: a },
            { id: 'honey', parts: b },
            { id: 'rice-vinegar', parts: c },
          ];
          const first = ratioFrom(own, { id: 'pineapple-juice', volumeMl: ml }, TABLES)!;
          for (const leg of first) {
            const again = ratioFrom(own, { id: leg.id, massG: leg.massG }, TABLES)!;
            for (const [i, x] of again.entries()) expect(x.volumeMl).toBeCloseTo(first[i]!.volumeMl, 6);
          }
          const poured = trueRatio(own, first, TABLES)!;
          expect(poured.off).toBeLessThan(1e-9);
          expect(poured.toTopUp).toEqual([]);
        },
      ),
    );
  });
});

describe('too sweet', () => {
  const sweet = plus(brew(6), ofSweetener(sweetener('sugar-white'), 700));
  it('thinned, soured or split, each with what it costs', () => {
    const wanted = 8;
    const [thin, sour, split] = waysBack(sweet, wanted, 12_000, 'lime-juice', TABLES);
    if (thin?.kind !== 'dilute' || sour?.kind !== 'sour' || split?.kind !== 'split') throw new Error('ways');
    // 700/0.08 = 8750 g in all; there are 6700 and the acids: 2050 g of water.
    expect(thin.waterMl).toBeCloseTo((8750 - 6700) / 0.9982, 0);
    expect(thin.strengthShare).toBeCloseTo(volumeMl(sweet) / 1000 / thin.litres, 9);
    expect(sour.sourGPerL).toBeCloseTo((sournessGPerL(sweet) * sweetnessPct(sweet)) / wanted, 1);
    // Out and filled up again: the litres stay, and the rest is as sweet as wanted.
    expect(split.litres).toBeCloseTo(volumeMl(sweet) / 1000, 9);
    const kept = 1 - split.takenMl / volumeMl(sweet);
    expect((100 * sweet.sweetG * kept) / (6700 * kept + split.waterMl * 0.9982)).toBeCloseTo(wanted, 2);
    expect(waysBack(sweet, 12, 12_000, 'lime-juice', TABLES)).toEqual([]);
    expect(waysBack(sweet, wanted, 6500, 'lime-juice', TABLES)[0]).toMatchObject({ fits: false });
  });
});
