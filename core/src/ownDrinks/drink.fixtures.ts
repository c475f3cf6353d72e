import * as v from 'valibot';
import {
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
  recipeSchema,
  type ScaleRule,
} from '../documents/recipe.ts';
import { recipeLine, TABLES } from '../testKitchen.ts';

/** An amount in grams, or how it is worked out; a lone number grows with the litres. */
type Amount = number | ScaleRule | { g: number; rule?: ScaleRule; cut?: string };
type Says = Partial<Omit<RecipeStep, 'id' | 'kind' | 'lineIds'>>;
export type StepSpec = [kind: OwnStepKind, lineIds?: string, says?: Says];

const kindOf = (itemId: string): RecipeLine['kind'] =>
  TABLES.liquids.has(itemId) ? 'liquid' : TABLES.sweeteners.has(itemId) ? 'sweetener' : 'solid';

function lineOf(id: string, itemId: string, amount: Amount): RecipeLine {
  const said =
    typeof amount === 'number' ? { g: amount } : 'kind' in amount ? { g: 0, rule: amount } : amount;
  return {
    ...recipeLine(id, itemId, said.g, kindOf(itemId)),
    rule: said.rule ?? { kind: 'linear' },
    prep: said.cut === undefined ? null : { code: said.cut, minutes: 5 },
  };
}

export const FILL: ScaleRule = { kind: 'toVolume' };
export const TASTE: ScaleRule = { kind: 'toTarget' };

/**
 * A drink as a cook writes it down, through the schema of recipes.
 * @param lines by their names in the steps: what it is and how much.
 * @param steps each with the names of what goes in, apart by spaces.
 */
export function drink(
  name: string,
  basisL: number,
  lines: Readonly<Record<string, [itemId: string, amount: Amount]>>,
  steps: readonly StepSpec[],
  change: Partial<Recipe> = {},
): Recipe {
  return v.parse(recipeSchema, {
    id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
    version: 1,
    name,
    family: 'own',
    serve: 'cold',
    lines: Object.entries(lines).map(([id, [itemId, amount]]) => lineOf(id, itemId, amount)),
    steps: steps.map(([kind, lineIds = '', says = {}], i) => ({
      id: `s${i + 1}`,
      kind,
      lineIds: lineIds.split(' ').filter(Boolean),
      ...says,
    })),
    basisL,
    methods: ['own'],
    press: 'press',
    cloth: false,
    targetSweetnessPct: 7,
    times: {},
    ...change,
  }) as Recipe;
}
