import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { markerGPerL } from '../liquor/composition.ts';
import { choicesUnder } from '../program/book/recipe.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { MarkerId, Tables } from '../tables/types.ts';
import { solvePlanDoc } from './planDoc.ts';
import { earliestReady } from './schedule.ts';
import { timetableFrom } from './startBy.ts';
import { type AwayWindow, timelineOf } from './timeline.ts';

/** A way out where "ready by" cannot be met, with its price. */
export interface WayOut {
  kind: 'fasterMethod' | 'splitPots' | 'laterServing';
  methodId: MethodId;
  readyMs: number;
  /** In time for the wish. */
  meets: boolean;
  /** Strength in the bottle against the plan as it is, by its strongest marker; 1: the same. */
  strength: number;
  handsOnMin: number;
  /** Another pot is wanted than the kitchen has. */
  wantsPot: boolean;
}

function strongestOf(sim: Simulation): { marker: MarkerId; gPerL: number } | null {
  const end = finishedLiquor(sim);
  if (!end) return null;
  const all = (Object.keys(end.markerG) as MarkerId[])
    .filter((m) => m !== 'red')
    .map((marker) => ({ marker, gPerL: markerGPerL(end, marker) }));
  return all.sort((a, b) => b.gPerL - a.gPerL)[0] ?? null;
}

/** A faster method, two pots, or a later hour: what each gives and costs. The fastest of the methods stands for all. */
export function findAlternatives(
  plan: PlanDoc,
  readyAtMs: number,
  nowMs: number,
  away: readonly AwayWindow[],
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
): WayOut[] {
  const recipe = book.find((r) => r.id === plan.recipeId);
  if (!recipe) return [];
  const simOf = (p: PlanDoc) => {
    const solved = solvePlanDoc(p, book, kitchen, tables);
    return solved.ok
      ? {
          program: solved.value.program,
          litres: solved.value.litres,
          sim: simulateBatch(solved.value.program, kitchen, tables),
        }
      : null;
  };
  const own = simOf(plan);
  if (!own) return [];
  const main = strongestOf(own.sim);
  const way = (
    kind: WayOut['kind'],
    methodId: MethodId,
    made: NonNullable<typeof own>,
    wantsPot = false,
  ): WayOut | null => {
    const placed = earliestReady(timelineOf(made.program, made.sim), nowMs, away);
    if (!placed.ok) return null;
    const end = finishedLiquor(made.sim);
    const strength = main && end ? markerGPerL(end, main.marker) / main.gPerL : 1;
    const { readyMs } = placed.schedule;
    return {
      kind,
      methodId,
      readyMs,
      meets: readyMs <= readyAtMs,
      strength,
      handsOnMin: timetableFrom(made.program, made.sim, 0).handsOnMin,
      wantsPot,
    };
  };
  const { methodId } = plan.choices;
  const faster = recipe.methods
    .filter((m) => m !== methodId)
    .flatMap((m) => {
      const made = simOf({ ...plan, choices: choicesUnder(recipe, m, plan.choices) });
      return made ? [way('fasterMethod', m, made)] : [];
    })
    .filter((w) => w !== null)
    .sort((a, b) => a.readyMs - b.readyMs)[0];
  const half = simOf({ ...plan, question: { kind: 'litres', litres: own.litres / 2 } });
  const later = way('laterServing', methodId, own);
  const split = half ? way('splitPots', methodId, half, kitchen.pots.length < 2) : null;
  return [
    ...(faster && (!later || faster.readyMs < later.readyMs) ? [faster] : []),
    ...(split && (!later || split.readyMs < later.readyMs) ? [split] : []),
    ...(later ? [later] : []),
  ];
}
