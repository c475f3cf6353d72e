import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Choices, Recipe } from '../documents/recipe.ts';
import { solvePlanDoc } from '../plan/planDoc.ts';
import { completeChoices } from '../program/book/recipe.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { STAGE_MIN } from '../program/simulate/exposure.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import type { Said } from '../units/result.ts';
import { plannedLife } from './bottled.ts';
import { warmLimitOf } from './limits.ts';

/** A plan that would end at "throw out": why, and at which step. */
export interface PlanRisk {
  reasons: readonly Said[];
  stepId: string | null;
}

/** Whether a plan, followed as it is, ends with something that must not be kept; null: it does not. */
export function planRisk(
  program: Program,
  sim: Simulation,
  kitchen: Kitchen,
  times: { startMs: number; nowMs: number },
): PlanRisk | null {
  const life = plannedLife(program, sim, kitchen, times);
  if (life?.verdict !== 'throwOut') return null;
  const at =
    sim.trace.find((entry) => {
      const step = program.steps.find((s) => s.id === entry.stepId);
      const limit = step ? warmLimitOf(entry, step, kitchen) : null;
      return limit !== null && limit.atMin < entry.endMin;
    }) ??
    // Acid as long as it stood there, and no more once something is poured in: the cooling then counts after all.
    sim.trace.find(
      ({ before, after }) =>
        before.liquor.cooling.from60To21Min <= STAGE_MIN.first &&
        after.liquor.cooling.from60To21Min > STAGE_MIN.first,
    );
  return { reasons: life.reasons, stepId: at?.stepId ?? null };
}

/** A change of a plan by which it can be kept. */
export interface SafeWay {
  kind:
    | 'steepCold'
    | 'soakCold'
    | 'shorterSteep'
    | 'shorterSoak'
    | 'ice'
    | 'coldAndIce'
    | 'acidFirst'
    | 'oneFill';
  plan: PlanDoc;
  /** The length it then has, minutes; what is poured in, g a litre. */
  minutes?: number;
  acid?: { itemId: string; gPerL: number };
}

/** Lengths and amounts that are tried, the nearest first. */
const SHORTER_MIN = [240, 180, 120, 90, 60, 30, 15];
const ACID_G_PER_L = [10, 20, 30, 40, 60];

/** The sourest of what this house adds, else of all juices. */
function acidOf(kitchen: Kitchen, tables: Tables): string | null {
  const sour = [...tables.liquids.values()]
    .filter((row) => row.treatment === 'rawJuice' || row.treatment === 'bought')
    .sort((a, b) => b.taGPerL - a.taGPerL);
  const allowed = sour.filter((row) => kitchen.house.allows.includes(row.id));
  return (allowed[0] ?? sour[0])?.id ?? null;
}

/** The nearest ways, each by one change, to make of a plan that ends at "throw out" one that can be kept. */
export function safeWays(
  plan: PlanDoc,
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
): SafeWay[] {
  const recipe = book.find((r) => r.id === plan.recipeId);
  if (!recipe) return [];
  const choices = completeChoices(recipe, plan.choices);
  const isSafe = (next: PlanDoc): boolean => {
    const solved = solvePlanDoc(next, book, kitchen, tables);
    if (!solved.ok) return false;
    const sim = simulateBatch(solved.value.program, kitchen, tables, { detail: 'lean' });
    const life = plannedLife(solved.value.program, sim, kitchen, { startMs: 0, nowMs: 0 });
    return life !== null && life.verdict !== 'throwOut';
  };
  const withChoices = (change: Partial<Choices>): PlanDoc => ({
    ...plan,
    choices: { ...choices, ...change },
  });
  const ways: SafeWay[] = [];
  /** The first of some changes that is safe. */
  const first = <T>(tries: readonly T[], make: (value: T) => SafeWay): void => {
    for (const value of tries) {
      const way = make(value);
      if (!isSafe(way.plan)) continue;
      ways.push(way);
      return;
    }
  };
  const one = (kind: SafeWay['kind'], change: Partial<Choices>) =>
    first([change], (c) => ({ kind, plan: withChoices(c) }));
  if (choices.steepPlace === 'counter') one('steepCold', { steepPlace: 'fridge' });
  if (choices.soakPlace === 'counter') one('soakCold', { soakPlace: 'fridge' });
  if (choices.coolBy !== 'iceBath') one('ice', { coolBy: 'iceBath' });
  if (ways.length === 0) one('coldAndIce', { steepPlace: 'fridge', soakPlace: 'fridge', coolBy: 'iceBath' });
  first(
    SHORTER_MIN.filter((m) => m < choices.steepMin),
    (minutes) => ({ kind: 'shorterSteep', minutes, plan: withChoices({ steepMin: minutes }) }),
  );
  first(
    SHORTER_MIN.filter((m) => m < choices.soakMin),
    (minutes) => ({ kind: 'shorterSoak', minutes, plan: withChoices({ soakMin: minutes }) }),
  );
  const itemId = acidOf(kitchen, tables);
  if (itemId)
    first(ACID_G_PER_L, (gPerL) => ({
      kind: 'acidFirst',
      acid: { itemId, gPerL },
      plan: withChoices({ acidFirst: { itemId, gPerL } }),
    }));
  if (plan.fills !== 1) first([1], () => ({ kind: 'oneFill', plan: { ...plan, fills: 1 } }));
  return ways;
}
