import { describe, expect, it } from 'vitest';
import { amountWarning } from '../compare/plausibility.ts';
import { abvPct, EMPTY, kcalOf, ofLiquid, plus, scaled, volumeMl, water } from '../liquor/composition.ts';
import { estimatePh } from '../liquor/ph.ts';
import { BOOK } from '../program/book/book.ts';
import { withServing } from '../program/model/kitchen.ts';
import { ledgerOf } from '../program/simulate/ledger.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { burnerEfficiency } from '../tables/constants.ts';
import { KITCHEN, programOf, TABLES } from '../testKitchen.ts';
import { glassFacts } from './served.ts';

/** Figures on the screens, each worked by hand. */
const pressed = () => {
  const program = programOf(
    [
      { id: 'water', kind: 'liquid', itemId: 'water', massG: 998.2 },
      { id: 'flesh', itemId: 'pineapple-flesh', massG: 1000 },
    ],
    [
      { kind: 'juice', from: ['bowl'], to: ['tub'], tool: 'juicer', lines: ['flesh'] },
      { kind: 'mix', from: ['pot'], to: ['tub'], lines: ['water'] },
      { kind: 'bottle', from: ['tub'], to: ['bottles'], hygiene: 'clean' },
    ],
  );
  return simulateBatch(program, KITCHEN, TABLES);
};

describe('free sugar', () => {
  it('of a pressed pineapple drink: 79.7 g in 1.75 L, 11.4 g in a quarter litre', () => {
    const sim = pressed();
    expect(sim.problem).toBeNull();
    const { liquor } = sim.vessels.bottles!;
    // A kilogram holds 860 g of water and 128 g that dissolves, 100 g of it sugar: 988 g at 12.96 °Bx, 1.0524 · 0.9982 g/mL,
    // 940.5 mL. The juicer gives 750 mL of them: 79.7 g of sugar. With a litre of water 1.75 L.
    expect(liquor.sugarG).toBeCloseTo(79.7, 0);
    expect(liquor.freeSugarG).toBeCloseTo(liquor.sugarG, 9);
    expect(volumeMl(liquor)).toBeCloseTo(1750, -1);
    const glass = glassFacts(liquor, 250);
    expect(glass.freeSugarG).toBeCloseTo(11.4, 1);
    // No sugar was added, and it is not free of sugar: 11.4 of 50 g.
    expect(glass.noAddedSugar).toBe(true);
    expect(glass.shareOfCeiling).toBeCloseTo(0.228, 2);
  });
  it('the juice is a row of its own in the ledger, raw, with its name', () => {
    const ledger = ledgerOf(pressed());
    const juice = ledger.in.find((r) => r.code === 'juice')!;
    expect(juice).toMatchObject({ lineId: 'flesh', state: 'raw' });
    expect(juice.litres).toBeCloseTo(0.75, 2);
    expect(ledger.in.find((r) => r.code === 'poured')).toMatchObject({ itemId: 'water' });
    expect(ledger.inL - ledger.outL).toBeCloseTo(ledger.finishedL, 6);
  });
});

describe('kcal', () => {
  it('of coconut milk: 21 g of fat at 9 and 3 g of sugar at 4 are 201 in 100 mL', () => {
    const milk = ofLiquid(TABLES.liquids.get('coconut-milk-fresh')!, 100);
    expect(kcalOf(milk)).toBeCloseTo(201, 0);
    expect(volumeMl(milk)).toBeCloseTo(100, 6);
  });
  it('of a drink that is one fifth coconut milk: 50 mL in a glass of 250, 100', () => {
    const drink = plus(ofLiquid(TABLES.liquids.get('coconut-milk-fresh')!, 200), water(800 * 0.9982));
    expect(glassFacts(drink, 250).kcal).toBeCloseTo(100.5, 0);
  });
});

describe('strength by volume after a boil', () => {
  it('of 250 mL of spirit in 2 L, boiled open for half an hour: of its 4.4 % some 0.2 are left', () => {
    const start = plus(water(2000 * 0.9982), ofLiquid(TABLES.liquids.get('spirit-40')!, 250));
    // 100 mL of alcohol in 2.25 L.
    expect(abvPct(start)).toBeCloseTo(4.4, 1);
    const program = programOf(
      [
        { id: 'water', kind: 'liquid', itemId: 'water', massG: 1996.4 },
        { id: 'spirit', kind: 'liquid', itemId: 'spirit-40', massG: 237.25 },
      ],
      [
        { kind: 'combine', from: ['bowl'], lines: ['water', 'spirit'] },
        { kind: 'heat', burnerId: 'gas', lid: 'on', until: { kind: 'temp', targetC: null } },
        {
          kind: 'boil',
          burnerId: 'gas',
          level: 'gentle',
          lid: 'off',
          until: { kind: 'duration', minutes: 30 },
        },
      ],
    );
    const { liquor } = simulateBatch(program, KITCHEN, TABLES).vessels.pot!;
    // 22 L an hour and square metre over 0.071 m² are 0.78 L in half an hour, 0.35 of all there is. The vapour is eight to ten
    // times as strong as the liquor: e^(−8 · 0.35) = 0.06 to e^(−10 · 0.35) = 0.03 of the alcohol stays, in 0.65 of the
    // liquor: 0.20 to 0.41 %, and a little less, since some goes while it heats up.
    expect(abvPct(liquor)).toBeGreaterThan(0.12);
    expect(abvPct(liquor)).toBeLessThan(0.41);
  });
});

describe('a gas ring', () => {
  const arrivesW = (powerW: number) => powerW * burnerEfficiency('gas', powerW, 0.3);
  it('of 2.9, 3.0 and 3.1 kW: 1305, 1350 and 1365 W arrive', () => {
    expect(arrivesW(2900)).toBeCloseTo(1305, 6);
    expect(arrivesW(3000)).toBeCloseTo(1350, 6);
    // Of every watt above 3000 0.15 still arrive.
    expect(arrivesW(3100)).toBeCloseTo(1365, 6);
    expect(arrivesW(5000)).toBeCloseTo(1650, 6);
  });
  it('a stronger flame never heats more slowly, nor does a wider pot', () => {
    for (let powerW = 500; powerW < 9000; powerW += 50) {
      expect(arrivesW(powerW + 50)).toBeGreaterThanOrEqual(arrivesW(powerW));
      for (let d = 0.15; d < 0.4; d += 0.01)
        expect(burnerEfficiency('gas', powerW, d + 0.01)).toBeGreaterThanOrEqual(
          burnerEfficiency('gas', powerW, d),
        );
    }
  });
});

describe('what is not told', () => {
  it('no pH where nothing titrates, or where alkali is all there is', () => {
    expect(estimatePh(-0.1, 2)).toEqual({ kind: 'tooLittleAcid' });
    expect(estimatePh(0, 8)).toEqual({ kind: 'tooLittleAcid' });
    expect(estimatePh(0.02, 8)).toEqual({ kind: 'tooLittleAcid' });
    expect(estimatePh(5, 20).kind).toBe('estimate');
  });
  it('a shot is counted by its own glass, everything else by the house’s', () => {
    const shots = BOOK.find((r) => r.id === 'root-lemon-shots')!;
    expect(withServing(KITCHEN, shots).servingMl).toBe(60);
    expect(withServing(KITCHEN, BOOK[0]!)).toBe(KITCHEN);
    const drink = scaled({ ...EMPTY, waterG: 1000, markerG: { ginger: 90 } }, 1);
    expect(glassFacts(drink, 60).servingMl).toBe(60);
  });
});

describe('weights and measures that were looked at again', () => {
  const solid = (id: string) => TABLES.ingredients.get(id)!;
  it('a large date displaces 0.74 mL/g, without its air', () => {
    expect(solid('date-medjool').displaceMlPerG).toBe(0.74);
  });
  it('powders lie loose: cayenne 0.36 g/mL, ground ginger 0.35', () => {
    expect(solid('cayenne-ground').bulkGPerMl).toBe(0.36);
    expect(solid('ginger-ground').bulkGPerMl).toBe(0.35);
  });
  it('a spoon of brown sugar is 0.6 g/mL loose and 0.93 pressed down', () => {
    const row = TABLES.sweeteners.get('sugar-brown')!;
    expect([row.bulkGPerMl, row.packedGPerMl]).toEqual([0.6, 0.93]);
  });
  it('an allspice berry weighs 65 mg: fifteen of them a gram', () => {
    expect(Math.round(1 / solid('allspice-whole').piece!.massG)).toBe(15);
  });
  it('of cayenne 0.4 g in a litre is the usual top: three times that is asked about', () => {
    expect(amountWarning('cayenne-ground', 0.4, 1, TABLES)).toBeNull();
    expect(amountWarning('cayenne-ground', 1.2, 1, TABLES)).toMatchObject({ kind: 'much', highG: 0.4 });
  });
});
