import { describe, expect, it } from 'vitest';
import { EMPTY, ofLiquid, ofSweetener, plus } from '../liquor/composition.ts';
import { NO_COOLING } from '../program/exposure.ts';
import type { Liquor, Origin } from '../program/types.ts';
import { TABLES } from '../testKitchen.ts';
import { audienceOf, cautionsOf, cautionTags, marksOfLines } from './cautions.ts';
import { type LotMark, marksOf, scaleTrial } from './lots.ts';
import { strongGPerL, strongShares } from './strong.ts';

const told = (marks: readonly LotMark[], itemIds: readonly string[] = [], sourGPerL = 0) =>
  audienceOf(cautionsOf(cautionTags({ marks, itemIds, sourGPerL, tables: TABLES })));

const origin = (kind: Origin['kind'], heatedMin = 0): Origin => ({
  lineId: kind,
  kind,
  sinceMin: 0,
  heatedMin,
  below60Min: null,
});
const liquor = (change: Partial<Liquor> = {}): Liquor => ({
  ...EMPTY,
  waterG: 1000,
  tempC: 4,
  origins: [origin('water', 20), origin('solid', 20)],
  cooling: NO_COOLING,
  read: null,
  ...change,
});

describe('marks of a lot', () => {
  it('a heated plain lot: without added sugar, and nothing else', () => {
    expect(marksOf(liquor(), new Set(['hibiscus-dried']))).toEqual(['noAddedSugar']);
  });
  it('a splash of spirit is said as well as a measure', () => {
    const spirit = TABLES.liquids.get('spirit-40')!;
    // 20 mL in a litre: 0.8 %; 100 mL: 3.6 %.
    expect(marksOf(liquor(plus(liquor(), ofLiquid(spirit, 20))), new Set())).toContain('littleAlcohol');
    const strong = marksOf(liquor(plus(liquor(), ofLiquid(spirit, 100))), new Set());
    expect(strong).toContain('alcohol');
    expect(told(strong)).toEqual(expect.arrayContaining(['children', 'pregnancy', 'noAlcohol']));
  });
  it('honey is not for infants, raw juice not in pregnancy, grapefruit not with many medicines', () => {
    const honeyed = liquor(plus(liquor(), ofSweetener(TABLES.sweeteners.get('honey')!, 80)));
    const marks = marksOf(
      { ...honeyed, origins: [...honeyed.origins, origin('rawJuice')] },
      new Set(['honey', 'grapefruit-juice']),
    );
    expect(marks).toEqual(['honey', 'raw', 'grapefruit']);
    expect(told(marks)).toEqual(expect.arrayContaining(['medicine', 'pregnancy', 'underOne', 'weakened']));
  });
  it('hot by its ginger; bought sweetened mixers end "no added sugar"', () => {
    expect(marksOf(liquor({ markerG: { ginger: 60 } }), new Set())).toContain('hot');
    expect(marksOf(liquor(ofLiquid(TABLES.liquids.get('ginger-beer')!, 500)), new Set())).not.toContain(
      'noAddedSugar',
    );
  });
});

describe('cautions by person', () => {
  const plain: LotMark[] = ['noAddedSugar'];
  it.each([
    [['hibiscus-dried'], ['medicine', 'pregnancy', 'kidney', 'stomach']],
    [['turmeric-grated'], ['bloodThinner', 'gallstones', 'diabetes', 'kidney']],
    [['cranberry-juice'], ['bloodThinner']],
    [['grapefruit-juice'], ['medicine']],
    [['cinnamon-stick'], ['medicine']],
    [['erythritol'], ['stomach']],
  ])('%j: %j', (itemIds, who) => {
    expect(told(plain, itemIds)).toEqual(expect.arrayContaining(who));
  });
  it('sugar is told to who counts it, acid to a tender stomach, a live drink to the weakened', () => {
    expect(told([])).toContain('diabetes');
    expect(told(plain)).not.toContain('diabetes');
    expect(told(plain, [], 7)).toContain('stomach');
    expect(told(['live', 'noAddedSugar'])).toEqual(
      expect.arrayContaining(['weakened', 'pregnancy', 'children']),
    );
  });
  it('a recipe is told by its lines: raw juice stirred in, spirit, honey, coconut', () => {
    const line = (kind: string, itemId: string, stream = 'after') => ({ kind, itemId, stream });
    expect(
      marksOfLines([line('solid', 'hibiscus-dried', 'pot'), line('sweetener', 'honey')], TABLES),
    ).toEqual(['honey']);
    expect(marksOfLines([line('liquid', 'lime-juice'), line('liquid', 'spirit-40')], TABLES).sort()).toEqual([
      'alcohol',
      'noAddedSugar',
      'raw',
    ]);
    // Boiled with the rest it is not raw.
    expect(marksOfLines([line('liquid', 'lime-juice', 'pot')], TABLES)).toEqual(['noAddedSugar']);
    expect(marksOfLines([line('liquid', 'live-starter')], TABLES)).toContain('live');
  });
  it('a label carries few of them: what harms by one glass', () => {
    const rows = cautionsOf(
      cautionTags({ marks: ['alcohol', 'honey'], itemIds: ['hibiscus-dried'], tables: TABLES }),
    );
    expect(audienceOf(rows.filter((r) => r.onLabel))).toEqual([
      'underOne',
      'children',
      'pregnancy',
      'drivers',
    ]);
  });
});

describe('a trial on a cup', () => {
  it('5 mL on 250 mL is 160 mL on 8 L', () => {
    const trial = scaleTrial(250, [{ itemId: 'lime-juice', massG: 5.15 }], 8000, liquor())!;
    expect(trial.factor).toBe(32);
    expect(trial.additions[0]!.massG).toBeCloseTo(164.8, 9);
    expect(trial.cautions).toEqual(['tasteAgain']);
    expect(scaleTrial(0, [], 8000, liquor())).toBeNull();
  });
  it('coconut in a sour drink curdles, clove grows faster than the pot', () => {
    const sour = liquor({ acidG: 6 });
    expect(scaleTrial(250, [{ itemId: 'coconut-milk-fresh', massG: 30 }], 1000, sour)!.cautions).toEqual([
      'curdles',
    ]);
    expect(scaleTrial(250, [{ itemId: 'clove-whole', massG: 1 }], 4000, liquor())!.cautions).toEqual([
      'spiceGrows',
      'tasteAgain',
    ]);
  });
});

describe('herbs that are counted by the day', () => {
  it('a quarter litre with 60 g of ginger in the litre: 15 g, three quarters of a moderate day', () => {
    const drink = liquor({ markerG: { ginger: 60, turmeric: 6 } });
    const perL = strongGPerL(drink);
    expect(perL.ginger).toBeCloseTo(60, 0);
    const glass = Object.fromEntries(Object.entries(perL).map(([m, g]) => [m, g / 4]));
    const [first, second] = strongShares(glass);
    expect(first).toMatchObject({ marker: 'ginger' });
    expect(first!.share).toBeCloseTo(15 / 20, 2);
    expect(second!.share).toBeCloseTo(1.5 / 15, 2);
    expect(strongShares({})).toEqual([]);
    expect(strongGPerL(liquor())).toEqual({});
  });
});
