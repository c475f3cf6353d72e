import '../../../words/places/pages.ts';
import { type BalanceBinding, candidateOf, LESS_WATER } from '@big-ladle/core/balance';
import { EMPTY_KITCHEN, type Kitchen } from '@big-ladle/core/documents';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { describe, expect, it } from 'vitest';
import { alcoholUnitOf, houseOf } from '../../../shared/house.ts';
import { limitsOf } from './place.ts';
import { amountOf, amountWords, bindingWords, candidateName } from './Ways.tsx';

const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [{ id: 'p', name: 'Pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: null }],
};
const of = (id: string) => candidateOf(id, SHIPPED_TABLES, KITCHEN)!;

describe('amounts as a cook measures them', () => {
  it('fruit in pieces, liquids by volume, sweeteners in grams and cups', () => {
    expect(amountWords(of('lime'), 3, KITCHEN, SHIPPED_TABLES)).toBe('3');
    // 103 g of lime juice of 1.03 g/mL.
    expect(amountWords(of('lime-juice'), 103, KITCHEN, SHIPPED_TABLES)).toBe('100 mL');
    // A cup of 250 mL holds 211 g of white sugar.
    expect(amountWords(of('sugar-white'), 422.5, KITCHEN, SHIPPED_TABLES)).toBe('423 g, 2 cups');
    expect(amountWords(of('sugar-white'), 0, KITCHEN, SHIPPED_TABLES)).toMatch(/^0/);
  });
  it('less water is told by volume', () => {
    expect(
      amountOf(
        { id: LESS_WATER, kind: 'lessWater', massG: 998.2, volumeMl: 1000, pieces: null },
        KITCHEN,
        SHIPPED_TABLES,
      ),
    ).toBe('1.0 L');
    expect(candidateName(LESS_WATER)).toBe('Less water');
    expect(candidateName('lime')).toBe('Lime');
    expect(candidateName('sugar-white')).toBe('White sugar');
  });
});

describe('what binds, in words', () => {
  const BINDINGS: readonly [BalanceBinding, RegExp][] = [
    [{ kind: 'room' }, /no room/],
    [{ kind: 'sugar' }, /limit of sugar/],
    [{ kind: 'strength' }, /thinner/],
    [{ kind: 'whole' }, /part of a fruit/],
    [{ kind: 'onHand', id: 'honey' }, /no more honey in the house/],
    [{ kind: 'cap', id: 'molasses' }, /more molasses/],
    [{ kind: 'nothing', lacks: 'sweeter' }, /sweet enough/],
    [{ kind: 'nothing', lacks: 'lessSweet' }, /less sweet/],
    [{ kind: 'nothing', lacks: 'sourer' }, /sour enough/],
    [{ kind: 'nothing', lacks: 'lessSour' }, /less sour/],
  ];
  it.each(BINDINGS)('%j', (binding, words) => {
    expect(bindingWords(binding)).toMatch(words);
  });
});

describe('what the house has settled', () => {
  it('bounds what may be added; what an older kitchen lacks is the usual', () => {
    const strict = { ...KITCHEN, house: { ...KITCHEN.house, freeSugarGPerGlass: 12, alcoholUnitId: 'g14' } };
    expect(limitsOf(strict)).toMatchObject({ freeSugarGPerGlass: 12, servingMl: 250 });
    expect(alcoholUnitOf(strict).ethanolG).toBe(14);
    const { house, ...old } = KITCHEN;
    expect(houseOf(old as Kitchen)).toEqual(house);
    // The larger of what can receive it: a pot of 17 L against 15 L of vessels.
    expect(limitsOf(KITCHEN).roomMl).toBeCloseTo(Math.PI * 15 ** 2 * 24, 0);
  });
});
