import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { abvPct, brix, EMPTY, ofLiquid, ofSweetener, plus, volumeMl, water } from '../liquor/composition.ts';
import { wishAfterTastes } from '../program/model/taste.ts';
import { ALCOHOL_UNIT_ROWS } from '../tables/alcoholUnits.ts';
import { TABLES } from '../testKitchen.ts';
import { likedRegion } from './liked.ts';
import { glassDoseG, glassFacts, HOT_C, servedFacts, smallServings } from './served.ts';

const liquid = (id: string, ml: number) => ofLiquid(TABLES.liquids.get(id)!, ml);
const syrup = (brixPct: number, grams: number) => ({
  ...EMPTY,
  waterG: grams * (1 - brixPct / 100),
  sugarG: (grams * brixPct) / 100,
  freeSugarG: (grams * brixPct) / 100,
  sweetG: (grams * brixPct) / 100,
});

describe('served', () => {
  it('250 mL at 14 °Bx over 120 g of ice, 35 % melted: 12.1 °Bx', () => {
    const served = servedFacts(syrup(14, 5000), { drinkMl: 250, iceG: 120, mixer: null });
    expect(served.brix).toBeCloseTo(12.1, 1);
    expect(served.brix).toBeCloseTo(brix(served.comp), 9);
    expect(served.strengthShare).toBeCloseTo(250 / (250 + 42), 2);
  });
  it('hot, a glass holds less: water at 70 °C is 0.9778 against 0.9982 g/mL, 2.05 % less of it', () => {
    const drink = syrup(14, 5000);
    const cold = servedFacts(drink, { drinkMl: 250, iceG: 0, mixer: null });
    const hot = servedFacts(drink, { drinkMl: 250, iceG: 0, mixer: null, tempC: HOT_C });
    expect(hot.sugarG / cold.sugarG).toBeCloseTo(0.9778 / 0.9982, 3);
    expect(hot.brix).toBeCloseTo(cold.brix, 9);
  });
  it('5 L and 250 mL of a 40 % spirit: 1.90 % alcohol, and units of a glass by hand', () => {
    const punch = plus(water(5000 * 0.9982), liquid('spirit-40', 250));
    expect(abvPct(punch)).toBeCloseTo(1.9, 1);
    // 250 mL of it: 4.75 mL of alcohol, 3.76 g.
    const glass = glassFacts(punch, 250);
    expect(glass.ethanolG).toBeCloseTo(3.76, 1);
    const uk = ALCOHOL_UNIT_ROWS.find((r) => r.id === 'g8')!;
    expect(glass.ethanolG / uk.ethanolG).toBeCloseTo(0.47, 2);
    for (const row of ALCOHOL_UNIT_ROWS) expect(row.source.length).toBeGreaterThan(10);
  });
  it('half soda, half cordial: half the sugar, half the strength', () => {
    const cordial = syrup(40, 1000);
    const alone = servedFacts(cordial, { drinkMl: 100, iceG: 0, mixer: null });
    const mixed = servedFacts(cordial, {
      drinkMl: 100,
      iceG: 0,
      mixer: { row: TABLES.liquids.get('soda-water')!, ml: 100 },
    });
    expect(mixed.sugarG).toBeCloseTo(alone.sugarG, 9);
    expect(mixed.strengthShare).toBeCloseTo(0.5, 2);
    expect(mixed.freeSugarG).toBeCloseTo(alone.freeSugarG, 9);
  });
  it('a jar of 500 mL by 30 mL twice a day: sixteen glasses, eight days', () => {
    expect(smallServings(500, 30, 2)).toEqual({ servings: 16, days: 8 });
    expect(smallServings(0, 30, 2)).toBeNull();
  });
  it('a plain base sweetened in the glass: grams by hand', () => {
    // 250 mL of plain water of 249.55 g to 8 %: 0.08·249.55/0.92 = 21.7 g.
    expect(glassDoseG(water(5000), 250, 8, 1)).toBeCloseTo(21.7, 1);
  });
  it('no added sugar is said only where it is true', () => {
    const fruit = liquid('pineapple-juice', 2000);
    expect(glassFacts(fruit, 250)).toMatchObject({ noAddedSugar: true, addedSugarG: 0 });
    expect(glassFacts(fruit, 250).freeSugarG).toBeGreaterThan(20);
    for (const id of ['honey', 'date-paste', 'sugar-white']) {
      const sweetened = plus(fruit, ofSweetener(TABLES.sweeteners.get(id)!, 20));
      expect(glassFacts(sweetened, 250).noAddedSugar, id).toBe(false);
    }
    expect(glassFacts(plus(fruit, liquid('ginger-beer', 200)), 250).noAddedSugar).toBe(false);
  });
  it('whatever is poured to it, grams in the glass are those that were poured', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (drinkMl, iceG, ml) => {
          const served = servedFacts(syrup(20, 3000), {
            drinkMl,
            iceG,
            mixer: { row: TABLES.liquids.get('water')!, ml },
          });
          const alone = servedFacts(syrup(20, 3000), { drinkMl, iceG: 0, mixer: null });
          expect(served.sugarG).toBeCloseTo(alone.sugarG, 9);
          expect(served.volumeMl).toBeGreaterThanOrEqual(alone.volumeMl - 1e-9);
          expect(served.volumeMl).toBeCloseTo(volumeMl(served.comp), 9);
        },
      ),
    );
  });
});

describe('what a household likes', () => {
  it('nothing is invented before three verdicts', () => {
    const p = { sweetPct: 9, sourGPerL: 6 };
    expect(likedRegion([])).toBeNull();
    expect(likedRegion([p, p])).toBeNull();
    expect(likedRegion([p, p, p])).toMatchObject({ sweetPct: 9, sourGPerL: 6, batches: 3 });
  });
  it('its middle and width by hand', () => {
    const region = likedRegion([
      { sweetPct: 8, sourGPerL: 5 },
      { sweetPct: 9, sourGPerL: 6 },
      { sweetPct: 10, sourGPerL: 7 },
    ])!;
    // Mean 9 and 6; deviation 1 each, twice that.
    expect(region.sweetPct).toBeCloseTo(9, 9);
    expect(region.sweetSpread).toBeCloseTo(2, 9);
    expect(region.sourSpread).toBeCloseTo(2, 9);
  });
});

describe('tastes on several axes', () => {
  const wish = { sweetPct: 9, sourGPerL: 6, strengthShare: 1 };
  it('each axis moves its own part of the wish', () => {
    expect(wishAfterTastes(wish, [{ sweet: 1, atSweetnessPct: 8 }]).sweetPct).toBeCloseTo(7.52, 9);
    const tart = wishAfterTastes(wish, [{ sour: 1, atSweetnessPct: 8, atSourGPerL: 6 }]);
    expect(tart.sourGPerL).toBeCloseTo(5.64, 9);
    expect(tart.sweetPct).toBe(9);
    expect(wishAfterTastes(wish, [{ sour: -1, atSweetnessPct: 8, atSourGPerL: 6 }]).sourGPerL).toBeCloseTo(
      6.36,
      9,
    );
    expect(wishAfterTastes(wish, [{ strong: 1, atSweetnessPct: 8 }]).strengthShare).toBeCloseTo(0.94, 9);
    expect(wishAfterTastes(wish, [{ hot: 1, atSweetnessPct: 8 }]).strengthShare).toBeCloseTo(0.94, 9);
  });
  it('changes of mind: the last "right" stops there', () => {
    const after = wishAfterTastes(wish, [
      { sour: 1, atSweetnessPct: 8, atSourGPerL: 6 },
      { strong: 1, atSweetnessPct: 8 },
      { sour: 0, sweet: 0, strong: 0, atSweetnessPct: 7, atSourGPerL: 5.5 },
    ]);
    expect(after).toEqual({ sweetPct: 7, sourGPerL: 5.5, strengthShare: 1 });
  });
});
