import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Recipe } from '../documents/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS } from '../units/time.ts';
import { solvePlanDoc } from './planDoc.ts';
import { latestStart } from './schedule.ts';
import { startBy } from './startBy.ts';
import { awayWindows, timelineOf } from './timeline.ts';

/** What a plan makes, and when it must begin. */
export interface PlanStart {
  /** Null: it does not work out in this kitchen any more. */
  litres: number | null;
  /** Null where no hour is asked for, or it does not work out. */
  startMs: number | null;
}

/** Hours away are looked at so far back from when it is to be ready. */
const LOOK_BACK_MS = 8 * DAY_MS;

/** What a plan makes, and the last moment to begin it: outside of the hours away where that goes. */
export function planStart(
  plan: PlanDoc,
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
): PlanStart {
  const solved = solvePlanDoc(plan, book, kitchen, tables);
  if (!solved.ok) return { litres: null, startMs: null };
  const { program, litres } = solved.value;
  const { readyAtMs } = plan;
  if (readyAtMs === null) return { litres, startMs: null };
  const sim = simulateBatch(program, kitchen, tables);
  const away = awayWindows(kitchen.away, kitchen.zone, readyAtMs - LOOK_BACK_MS, readyAtMs);
  const placed = latestStart(timelineOf(program, sim), readyAtMs, away);
  const { startMs } = placed.ok ? placed.schedule : startBy(program, sim, readyAtMs);
  return { litres, startMs };
}
