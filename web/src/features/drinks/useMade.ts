import type { Kitchen, MethodId, Recipe } from '@big-ladle/core/documents';
import { openingPlan } from '@big-ladle/core/plan';
import { type Program, type Simulation, simulateBatch } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import { useMemo } from 'react';

export interface Made {
  program: Program;
  sim: Simulation;
}

/** A recipe as this kitchen would make it in its own size; null where it does not work out. */
export function useMade(
  recipe: Recipe | undefined,
  kitchen: Kitchen | undefined,
  tables: Tables,
  methodId?: MethodId,
): Made | null {
  return useMemo(() => {
    if (!recipe || !kitchen) return null;
    const solution = openingPlan(recipe, kitchen, [recipe], tables, methodId)?.solution;
    if (!solution) return null;
    return { program: solution.program, sim: simulateBatch(solution.program, kitchen, tables) };
  }, [recipe, kitchen, tables, methodId]);
}
