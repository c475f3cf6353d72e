import {
  type Kitchen,
  type MethodId,
  type Program,
  type Recipe,
  type Simulation,
  simulateBatch,
  solvePlanDoc,
  type Tables,
} from '@big-ladle/core';
import { useMemo } from 'react';
import { firstPlan } from '../../shared/batch/firstPlan.ts';

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
    const plan = firstPlan(recipe, kitchen, methodId);
    if (!plan) return null;
    const solved = solvePlanDoc({ ...plan, fills: 'asNeeded' }, [recipe], kitchen, tables);
    if (!solved.ok) return null;
    return { program: solved.value.program, sim: simulateBatch(solved.value.program, kitchen, tables) };
  }, [recipe, kitchen, tables, methodId]);
}
