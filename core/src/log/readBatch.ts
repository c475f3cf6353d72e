import type { Kitchen } from '../documents/kitchen.ts';
import type { Recipe } from '../documents/recipe.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Tables } from '../tables/types.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { type BatchNow, batchAt } from './batchAt.ts';
import type { LogEvent } from './events/table.ts';

/** Why a batch cannot be read, for a report: what the fold met, not made for cooks. */
export type Unreadable = string;

/** What of its pins is read. */
export interface BatchToRead {
  recipe: Recipe;
  program: PlannedProgram;
  kitchen: Kitchen;
}

/**
 * A batch at a moment (`batchAt`), where it can be read. One whose pins or entries are not what they should be (an
 * archive of another making, a file that was damaged) is a failure of its own, and no exception that takes the page of
 * all the others with it.
 */
export function readBatch(
  pins: BatchToRead,
  tablesOf: () => Tables,
  events: readonly LogEvent[],
  nowMs: number,
): Result<BatchNow, Unreadable> {
  try {
    const now = batchAt(pins.program, pins.kitchen, tablesOf(), events, nowMs);
    const fault = faultOf(now, pins);
    return fault === null ? ok(now) : fail(fault);
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

/** What no screen can draw. */
function faultOf({ log, forecast, moment }: BatchNow, { kitchen, recipe }: BatchToRead): Unreadable | null {
  if (typeof recipe.id !== 'string') return 'its recipe has no id';
  const { potId } = log.program;
  const pot = kitchen.pots.find((p) => p.id === potId);
  if (!pot) return `its kitchen has no pot "${potId}"`;
  if (!(pot.diameterCm > 0 && pot.heightCm > 0)) return `its pot "${potId}" has no size`;
  for (const { stepId, now, startMin, endMin } of [...forecast.trace, ...(moment?.trace ?? [])]) {
    const figures = [now.volumeL, now.tempC, startMin, endMin];
    if (!figures.every(Number.isFinite)) return `step "${stepId}" has no litres, degrees or minutes`;
  }
  return null;
}
