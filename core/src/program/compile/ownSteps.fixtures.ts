import { expect } from 'vitest';
import type { Kitchen } from '../../documents/kitchen.ts';
import type { Recipe, RecipeLine, RecipeStep } from '../../documents/recipe.ts';
import { BURNERS, KITCHEN, POTS, programLine, recipeLine, TABLES } from '../../testKitchen.ts';
import { defaultChoices } from '../book/recipe.ts';
import type { Simulation, SimulationOptions } from '../model/simulation.ts';
import { booksOf } from '../simulate/conserved.fixtures.ts';
import { finishedL } from '../simulate/finished.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { buildProgram } from './build.ts';

export const line = recipeLine;
export const WATER_4L = line('water', 'water', 4000 * 0.9982, 'liquid');
export const CALYX = line('calyx', 'hibiscus-dried', 100);
export const step = (kind: RecipeStep['kind'], lineIds: string[] = [], says: Partial<RecipeStep> = {}) => ({
  kind,
  lineIds,
  ...says,
});

/** A drink of so many litres as a cook wrote it, made as it is written in the blue pot on the gas. */
export function made(
  lines: RecipeLine[],
  steps: Omit<RecipeStep, 'id'>[],
  change: Partial<Recipe> = {},
  options: SimulationOptions = {},
  litres?: number,
  kitchen: Kitchen = KITCHEN,
) {
  const recipe: Recipe = {
    id: 'mine',
    version: 1,
    name: 'Mine',
    family: 'own',
    serve: 'cold',
    lines,
    steps: steps.map((s, i) => ({ ...s, id: `s${i}` })),
    basisL: 4,
    methods: ['own'],
    press: 'press',
    cloth: false,
    targetSweetnessPct: 6,
    times: {},
    ...change,
  };
  const program = buildProgram({
    recipe,
    choices: defaultChoices(recipe, 'own'),
    kitchen,
    tables: TABLES,
    pot: POTS[1]!,
    burner: BURNERS[0]!,
    lines: lines.map(programLine),
    fills: 1,
    litres: litres ?? recipe.basisL,
  });
  const sim = simulateBatch(program, kitchen, TABLES, options);
  expect(sim.problem).toBeNull();
  return {
    program,
    sim,
    entries: (kind: string) => sim.trace.filter((t) => t.kind === kind),
    bottledL: finishedL(sim),
  };
}

/** Everything that came in, less what left, is what stands somewhere. */
export function expectConserved(sim: Simulation): void {
  for (const { key, flowed, stands } of booksOf(sim)) expect(stands, key).toBeCloseTo(flowed, 6);
}
