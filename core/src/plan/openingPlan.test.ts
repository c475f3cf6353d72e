import { describe, expect, it } from 'vitest';
import { EMPTY_KITCHEN, type Kitchen } from '../documents/kitchen.ts';
import { usualShape } from '../physics/usualPot.ts';
import { BOOK } from '../program/book/book.ts';
import { SHIPPED_TABLES } from '../tables/index.ts';
import { openingPlan } from './openingPlan.ts';

const kitchenOf = (litres: number): Kitchen => ({
  ...EMPTY_KITCHEN,
  pots: [
    {
      id: 'pot',
      name: 'Pot',
      ...usualShape(litres),
      material: 'stainless',
      lid: true,
      massG: null,
      shapeGuessed: true,
    },
  ],
  burners: [{ id: 'ring', name: 'Ring', kind: 'gas', powerW: 2500 }],
});

describe('the plan a drink begins with', () => {
  it('fits the pot, whatever the pot, for every drink of the book that can be made in it', () => {
    for (const litres of [5, 8, 12, 20])
      for (const recipe of BOOK) {
        const opening = openingPlan(recipe, kitchenOf(litres), BOOK, SHIPPED_TABLES)!;
        expect(opening.solution, `${recipe.id} in ${litres} L`).not.toBeNull();
        expect(opening.solution!.fills, `${recipe.id} in ${litres} L`).toBe(1);
      }
  });
  it('keeps the amount of the recipe where there is room, and takes what there is where not', () => {
    const recipe = BOOK[0]!;
    expect(openingPlan(recipe, kitchenOf(30), BOOK, SHIPPED_TABLES)!.plan.question).toEqual({
      kind: 'litres',
      litres: recipe.basisL,
    });
    const small = openingPlan(recipe, kitchenOf(6), BOOK, SHIPPED_TABLES)!;
    expect(small.plan.question).toEqual({ kind: 'potFull' });
    expect(small.solution!.litres).toBeLessThan(6);
  });
  it('says nothing where there is no pot', () => {
    expect(openingPlan(BOOK[0]!, EMPTY_KITCHEN, BOOK, SHIPPED_TABLES)).toBeNull();
  });
});
