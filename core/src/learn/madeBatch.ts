import type { BatchLog } from '../log/batchLog.ts';
import type { OfPurchase } from './purchases.ts';
import type { MadeBatch } from './readings.ts';

/**
 * A batch as learning sees it; null where it was not made to its end. What was filled is known by the bottles: what was
 * left over when the last of them was full, less than another bottle, is told by nobody.
 */
export function madeBatchOf(id: string, log: BatchLog): MadeBatch | null {
  const { program, actuals, startedMs, endedMs, stopped } = log;
  if (startedMs === null || endedMs === null || stopped) return null;
  // A jug for the rest has no name, and what it holds is what the model says.
  const bottles = log.bottled.flatMap((b) => b.bottles.filter((x) => x.name !== undefined));
  const leastL = bottles.reduce((sum, b) => sum + b.volumeMl, 0) / 1000;
  const smallestL = Math.min(...bottles.map((b) => b.volumeMl)) / 1000;
  const filledL = bottles.length > 0 ? { least: leastL, most: leastL + smallestL } : null;
  const likedPct: Record<string, number> = {};
  for (const taste of log.tastes) {
    // The last word of a step counts: what was right at first may not have been in the end.
    if (taste.sweet === 0) likedPct[taste.stepId] = taste.atSweetnessPct;
    else if (taste.sweet !== undefined) delete likedPct[taste.stepId];
  }
  return { id, atMs: startedMs, program, actuals, filledL, likedPct, madeFrom: purchasesOf(log) };
}

/** What came from one purchase alone: of two of a thing nobody has said how much came from which. */
function purchasesOf({ purchases }: BatchLog): OfPurchase[] {
  const named = new Map<string, Set<string>>();
  for (const { body } of purchases)
    named.set(body.itemId, (named.get(body.itemId) ?? new Set()).add(body.purchase));
  return [...named].flatMap(([itemId, of]) => (of.size === 1 ? [{ itemId, purchase: [...of][0]! }] : []));
}
