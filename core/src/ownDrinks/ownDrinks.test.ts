import { describe, expect, it } from 'vitest';
import { OWN_STEP_KINDS, type Recipe } from '../documents/recipe.ts';
import { cookThrough } from '../instruments/cook.fixtures.ts';
import { plannedLife } from '../keeping/bottled.ts';
import { massG } from '../liquor/composition.ts';
import { foldBatch } from '../log/foldBatch.ts';
import { solvePlan } from '../plan/solve.ts';
import { checkRecipe } from '../program/book/checkRecipe.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { STEP_TABLE, type StepField, saysOf } from '../program/book/stepTable.ts';
import { booksOf } from '../program/simulate/conserved.fixtures.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { NO_FACTORS } from '../program/simulate/state.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { LONG_DRINKS } from './long.fixtures.ts';
import { SHORT_DRINKS } from './short.fixtures.ts';

const DRINKS = [...LONG_DRINKS, ...SHORT_DRINKS];
const KITCHEN_WITH_BOTTLES = {
  ...KITCHEN,
  bottles: [
    { id: 'litre', name: 'Litre', volumeMl: 1000, diameterCm: 8, material: 'glass' as const, count: 40 },
  ],
};
const T0 = Date.UTC(2026, 10, 24, 8);

function planned(recipe: Recipe, litres: number, pot: number) {
  const solved = solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'own'),
    kitchen: KITCHEN_WITH_BOTTLES,
    tables: TABLES,
    pot: POTS[pot]!,
    burner: BURNERS[0]!,
    wish: { question: { kind: 'litres', litres }, fills: 'asNeeded' },
  });
  if (!solved.ok) throw new Error(`${recipe.name}: ${JSON.stringify(solved.problem)}`);
  return solved.value;
}

describe('thirty drinks of cooks’ own', () => {
  it('between them say everything that a step may say; twelve have fifteen steps and more', () => {
    const steps = DRINKS.flatMap((d) => d.steps ?? []);
    expect(DRINKS).toHaveLength(30);
    expect(LONG_DRINKS.filter((d) => (d.steps?.length ?? 0) >= 15)).toHaveLength(12);
    expect(new Set(steps.map((s) => s.kind))).toEqual(new Set(OWN_STEP_KINDS));
    const fields = new Set(Object.values(STEP_TABLE).flatMap((row) => [...row.first, ...row.more]));
    const unsaid = [...fields].filter((field: StepField) => !steps.some((s) => saysOf(s, field)));
    expect(unsaid).toEqual([]);
  });

  describe.each(DRINKS.map((d) => [d.name!, d] as const))('%s', (_, recipe) => {
    it('has nothing wrong in it', () => {
      expect(checkRecipe(recipe, TABLES).filter((p) => p.severity === 'error')).toEqual([]);
    });
    it.each([
      [1, 0],
      [1, 1],
      [0.5, 0],
      [0.5, 1],
    ] as const)('made by %f of itself in pot %i: what came in stands somewhere', (share, pot) => {
      const litres = recipe.basisL * share;
      const { program } = planned(recipe, litres, pot);
      const sim = simulateBatch(program, KITCHEN_WITH_BOTTLES, TABLES);
      expect(sim.problem).toBeNull();
      expect(Math.abs(finishedL(sim) - litres)).toBeLessThan(litres * 0.02);
      for (const { key, flowed, stands } of booksOf(sim)) {
        expect(Math.abs(stands - flowed), key).toBeLessThan(1e-6 * Math.max(1, flowed));
      }
      // What comes into bottles has a date.
      expect(plannedLife(program, sim, KITCHEN_WITH_BOTTLES, { startMs: T0, nowMs: T0 })).not.toBeNull();
    });
    it('goes with the simulated cook from the first step to dated bottles', () => {
      const { program } = planned(recipe, recipe.basisL, 0);
      const { events, truth } = cookThrough(program, KITCHEN_WITH_BOTTLES, NO_FACTORS, T0);
      const log = foldBatch(program, events);
      const ends = program.steps.filter((s) => s.kind === 'bottle').length;
      expect(log.bottled).toHaveLength(ends);
      expect(log.bottled.every((b) => b.bottles.length > 0)).toBe(true);
      // Nothing that was stated is dropped or doubled: it came in once, as much as the plan has of it.
      for (const line of program.lines) {
        const rule = line.rule.kind;
        if (line.kind === 'solid' || rule === 'toTarget' || rule === 'byResult' || line.massG === 0) continue;
        const inG = truth.forecast.flows
          .filter((f) => f.lineId === line.id && f.direction === 'in')
          .reduce((sum, f) => sum + massG(f.comp), 0);
        expect(Math.abs(inG - line.massG), line.id).toBeLessThan(Math.max(2, line.massG * 0.03));
      }
    });
  });
});
