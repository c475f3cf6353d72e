import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { type Recipe, recipeSchema, type StoredChoices } from '../../../documents/recipe.ts';
import { solvePlanDoc } from '../../../plan/planDoc.ts';
import { KITCHEN, TABLES } from '../../../testKitchen.ts';
import { unwrap } from '../../../units/result.ts';
import { simulateBatch } from '../../simulate/simulate.ts';
import { BOOK } from '../book.ts';
import { checkRecipe } from '../checkRecipe.ts';
import { choicesUnder, defaultChoices } from '../recipe.ts';
import { expand } from './methods.ts';

type Row = [
  stepId: string,
  endMin: number,
  volumeL: number,
  tempC: number,
  sweetnessPct: number,
  taGPerL: number,
];

function rowsOf(recipe: Recipe, choices: StoredChoices, litres: number, fills: number): Row[] {
  const [pot] = KITCHEN.pots;
  const plan = {
    recipeId: recipe.id,
    choices,
    potId: pot!.id,
    burnerId: KITCHEN.burners[0]!.id,
    question: { kind: 'litres' as const, litres },
    fills,
    readyAtMs: null,
  };
  const { program } = unwrap(solvePlanDoc(plan, [recipe], KITCHEN, TABLES));
  return simulateBatch(program, KITCHEN, TABLES).trace.map((t) => [
    t.stepId,
    t.endMin,
    t.now.volumeL,
    t.now.tempC,
    t.now.sweetnessPct,
    t.now.taGPerL,
  ]);
}

function expectSame(got: Row[], wanted: Row[]): void {
  expect(got.map(([id]) => id)).toEqual(wanted.map(([id]) => id));
  for (const [i, [, ...figures]] of wanted.entries())
    for (const [k, figure] of figures.entries())
      expect(Math.abs((got[i]![k + 1] as number) - figure), `${wanted[i]![0]}, figure ${k}`).toBeLessThan(
        1e-9 * Math.max(1, Math.abs(figure)),
      );
}

const WAYS = BOOK.flatMap((recipe) => recipe.methods.map((methodId) => ({ recipe, methodId })));

/** A shipped drink with the steps of a method written out, through the editor's document and its JSON. */
function written(recipe: Recipe, choices: ReturnType<typeof defaultChoices>): Recipe {
  const steps = expand(recipe, choices, TABLES);
  const document = { ...recipe, name: recipe.id, steps, methods: ['own'] };
  return v.parse(recipeSchema, JSON.parse(JSON.stringify(document)));
}

describe('a method is a template of ordinary steps', () => {
  // What the methods did before they were templates, 6 L at one filling of the pot.
  const before: Record<string, Row[]> = JSON.parse(
    readFileSync(path.join(import.meta.dirname, 'traces.json'), 'utf8'),
  );
  it('there is a trace for each drink by each of its methods', () => {
    expect(WAYS.map((w) => `${w.recipe.id} ${w.methodId}`)).toEqual(Object.keys(before));
  });
  it.each(WAYS)('$recipe.id by $methodId goes as it went', ({ recipe, methodId }) => {
    expectSame(rowsOf(recipe, defaultChoices(recipe, methodId), 6, 1), before[`${recipe.id} ${methodId}`]!);
  });
  it.each(WAYS)(
    'the steps of $recipe.id by $methodId are nothing to find fault with',
    ({ recipe, methodId }) => {
      const own = written(recipe, defaultChoices(recipe, methodId));
      expect(checkRecipe(own, TABLES).filter((p) => p.severity === 'error')).toEqual([]);
    },
  );
  it('law: its steps written out are the same drink, whatever the size, the pot loads and what is chosen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...WAYS),
        fc.double({ min: 2, max: 7, noNaN: true }),
        fc.constantFrom(1, 2),
        fc.record({
          press: fc.constantFrom('drain', 'press', 'wring'),
          lid: fc.constantFrom('on', 'ajar', 'off'),
          coolBy: fc.constantFrom('iceBath', 'counter', 'bottles'),
          hygiene: fc.constantFrom('clean', 'sterilised'),
          targetSweetnessPct: fc.constantFrom(0, 6),
        } as const),
        ({ recipe, methodId }, litres, fills, chosen) => {
          const choices = { ...defaultChoices(recipe, methodId), ...chosen };
          const own = written(recipe, choices);
          expectSame(
            rowsOf(own, { ...choicesUnder(own, 'own', choices), rinses: choices.rinses }, litres, fills),
            rowsOf(recipe, choices, litres, fills),
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});
