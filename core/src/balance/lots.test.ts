import { describe, expect, it } from 'vitest';
import { EMPTY, ofLiquid, ofSweetener, plus } from '../liquor/composition.ts';
import type { Liquor, Origin } from '../program/model/liquor.ts';
import { tagsOf } from '../program/model/tags.ts';
import { NO_COOLING } from '../program/simulate/exposure.ts';
import type { Tag } from '../tables/traits.ts';
import { TABLES } from '../testKitchen.ts';
import { audienceOf, cautionsOf } from './cautions.ts';
import { marksOf, scaleTrial } from './lots.ts';
import { strongGPerL, strongShares } from './strong.ts';

const told = (tags: Iterable<Tag>) => audienceOf(cautionsOf(new Set(tags)));

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

const of = (what: Liquor, ...itemIds: string[]) => tagsOf(what, new Set(itemIds), TABLES);

describe('marks of a lot', () => {
  it('a heated plain lot: without added sugar, and nothing else', () => {
    expect(marksOf(of(liquor(), 'hibiscus-dried'))).toEqual(['noAddedSugar']);
  });
  it('a splash of spirit is said as well as a measure', () => {
    const spirit = TABLES.liquids.get('spirit-40')!;
    // 20 mL in a litre: 0.8 %; 100 mL: 3.6 %.
    expect(marksOf(of(liquor(plus(liquor(), ofLiquid(spirit, 20)))))).toContain('littleAlcohol');
    const strong = of(liquor(plus(liquor(), ofLiquid(spirit, 100))));
    expect(marksOf(strong)).toContain('alcohol');
    expect(told(strong)).toEqual(expect.arrayContaining(['children', 'pregnancy', 'noAlcohol']));
  });
  it('honey is not for infants, raw juice not in pregnancy, grapefruit not with many medicines', () => {
    const honeyed = liquor(plus(liquor(), ofSweetener(TABLES.sweeteners.get('honey')!, 80)));
    const tags = of(
      { ...honeyed, origins: [...honeyed.origins, origin('rawJuice')] },
      'honey',
      'grapefruit-juice',
    );
    expect(marksOf(tags)).toEqual(['honey', 'raw', 'grapefruit']);
    expect(told(tags)).toEqual(expect.arrayContaining(['medicine', 'pregnancy', 'underOne', 'weakened']));
  });
  it('hot by its ginger; bought sweetened mixers end "no added sugar"', () => {
    expect(marksOf(of(liquor({ markerG: { ginger: 60 } })))).toContain('hot');
    expect(marksOf(of(liquor(ofLiquid(TABLES.liquids.get('ginger-beer')!, 500))))).not.toContain(
      'noAddedSugar',
    );
  });
});

describe('cautions by person', () => {
  it.each([
    [['hibiscus-dried'], ['medicine', 'pregnancy', 'kidney', 'stomach']],
    [['turmeric-grated'], ['bloodThinner', 'gallstones', 'diabetes', 'kidney', 'iron', 'stomach']],
    [['cranberry-juice'], ['bloodThinner']],
    [['grapefruit-juice'], ['medicine']],
    [['cinnamon-stick'], ['liver', 'bloodThinner', 'diabetes']],
    [['garlic-clove'], ['bloodThinner', 'stomach']],
    [['pineapple-peel'], ['bloodThinner']],
    [['beetroot'], ['kidney']],
    [['watermelon-juice'], ['kidney']],
    [['star-anise'], ['underOne']],
    [['erythritol'], ['stomach']],
  ])('%j: %j', (itemIds, who) => {
    expect(told(of(liquor(), ...itemIds))).toEqual(expect.arrayContaining(who));
  });
  it('sugar is told to who counts it, acid to a tender stomach, a live drink to the weakened', () => {
    expect(told(of(liquor({ addedSugarG: 80 })))).toContain('diabetes');
    expect(told(of(liquor()))).not.toContain('diabetes');
    expect(told(of(liquor({ acidG: 7 })))).toEqual(expect.arrayContaining(['stomach', 'teeth']));
    expect(told(['live', 'noAddedSugar'])).toEqual(
      expect.arrayContaining(['weakened', 'pregnancy', 'children']),
    );
  });
  it('a label carries few of them: what harms by one glass', () => {
    const rows = cautionsOf(new Set<Tag>(['alcohol', 'honey', ...of(liquor(), 'hibiscus-dried')]));
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
    const trial = scaleTrial(250, [{ itemId: 'lime-juice', massG: 5.15 }], 8000, liquor(), TABLES)!;
    expect(trial.factor).toBe(32);
    expect(trial.additions[0]!.massG).toBeCloseTo(164.8, 9);
    expect(trial.cautions).toEqual(['tasteAgain']);
    expect(scaleTrial(0, [], 8000, liquor(), TABLES)).toBeNull();
  });
  it('coconut in a sour drink curdles, clove grows faster than the pot', () => {
    const sour = liquor({ acidG: 6 });
    expect(
      scaleTrial(250, [{ itemId: 'coconut-milk-fresh', massG: 30 }], 1000, sour, TABLES)!.cautions,
    ).toEqual(['curdles']);
    expect(scaleTrial(250, [{ itemId: 'clove-whole', massG: 1 }], 4000, liquor(), TABLES)!.cautions).toEqual([
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
