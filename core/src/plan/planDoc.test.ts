import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { kitchenSchema } from '../documents/kitchen.ts';
import { type PlanDoc, planSchema } from '../documents/plan.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { solvePlanDoc } from './planDoc.ts';

const plan: PlanDoc = {
  recipeId: BOOK[0]!.id,
  choices: defaultChoices(BOOK[0]!, 'straightBoil'),
  potId: 'blue',
  burnerId: 'gas',
  question: { kind: 'litres', litres: 6 },
  fills: 1,
  readyAtMs: null,
};
const messageOf = (schema: v.GenericSchema, value: unknown): string | undefined => {
  const result = v.safeParse(schema, value);
  return result.success ? undefined : result.issues[0].message;
};

describe('plans at the edge', () => {
  it('takes each question', () => {
    for (const question of [
      { kind: 'litres', litres: 9 },
      { kind: 'servings', servings: 40, servingMl: 200 },
      { kind: 'potFull' },
      { kind: 'useUp', lineId: 'calyx', massG: 120 },
    ])
      expect(messageOf(planSchema, { ...plan, question })).toBeUndefined();
  });
  it.each([
    [{ question: { kind: 'litres', litres: -1 } }, 'between:0.2:400'],
    [{ question: { kind: 'litres', litres: 1e6 } }, 'between:0.2:400'],
    [{ question: { kind: 'servings', servings: 2.5, servingMl: 200 } }, 'whole'],
    [{ fills: 7 }, undefined],
    [{ choices: { ...plan.choices, boilMin: 0 } }, 'between:1:180'],
    [{ choices: { ...plan.choices, steepMin: Number.NaN } }, undefined],
    [{ choices: { ...plan.choices, lid: 'glued' } }, undefined],
    [{ surprise: true }, undefined],
  ])('refuses %o', (change, message) => {
    const said = messageOf(planSchema, { ...plan, ...change });
    expect(said).toBeDefined();
    if (message) expect(said).toBe(message);
  });
  it('names the part that a kitchen does not have, and a method that does not suit', () => {
    const kindOf = (change: Partial<PlanDoc>) => {
      const result = solvePlanDoc({ ...plan, ...change }, BOOK, KITCHEN, TABLES);
      return result.ok ? 'ok' : result.problem.kind;
    };
    expect(kindOf({})).toBe('ok');
    expect(kindOf({ recipeId: 'nectar' })).toBe('unknownRecipe');
    expect(kindOf({ potId: 'cauldron' })).toBe('unknownPot');
    expect(kindOf({ burnerId: 'sun' })).toBe('unknownBurner');
    const only = BOOK.map((r) => ({ ...r, methods: ['shortBoilLongSteep' as const] }));
    expect(solvePlanDoc(plan, only, KITCHEN, TABLES)).toMatchObject({
      ok: false,
      problem: { kind: 'unsuitableMethod' },
    });
  });
});

describe('kitchens at the edge', () => {
  it('takes the one of the tests, and refuses what cannot be', () => {
    expect(messageOf(kitchenSchema, KITCHEN)).toBeUndefined();
    expect(messageOf(kitchenSchema, { ...KITCHEN, fridgeC: 60 })).toBe('between:-1:15');
    expect(messageOf(kitchenSchema, { ...KITCHEN, zone: 'Atlantis/Deep' })).toBe('zone');
    expect(messageOf(kitchenSchema, { ...KITCHEN, pots: [{ ...KITCHEN.pots[0], name: '  ' }] })).toBe('name');
    expect(messageOf(kitchenSchema, { ...KITCHEN, burners: [KITCHEN.burners[0], KITCHEN.burners[0]] })).toBe(
      'unique',
    );
    expect(
      messageOf(kitchenSchema, {
        ...KITCHEN,
        cupWeights: [{ ingredientId: 'x', measureId: 'y', massG: -1 }],
      }),
    ).toBe('between:0.1:10000');
  });
});
