import type { OwnStepKind } from '../program/recipe.ts';
import type { TraceEntry } from '../program/types.ts';
import { USUAL_ROWS } from '../tables/kitchenFacts.ts';

/** An amount or a time far outside what is usual: asked about once, with the usual beside it. */
export type Slip =
  | { kind: 'much' | 'little'; itemId: string; massG: number; lowG: number; highG: number }
  | { kind: 'long' | 'short'; stepKind: OwnStepKind; minutes: number; lowMin: number; highMin: number }
  | { kind: 'lossUnexplained'; lostL: number; mostL: number };

/** Beyond its usual range by this factor an amount is asked about. */
const FAR = 1.5;

/**
 * Grams of a thing for so many litres against the usual range, or against what the recipe itself had.
 * @param recipeG what the recipe has for the same litres, where there is one: three times as much is asked about too.
 */
export function amountSlip(itemId: string, massG: number, litres: number, recipeG?: number): Slip | null {
  if (!(massG > 0 && litres > 0)) return null;
  const row = USUAL_ROWS.find((r) => r.itemId === itemId);
  const lowG = row ? row.lowGPerL * litres : recipeG ? recipeG / 3 : null;
  const highG = row ? row.highGPerL * litres : recipeG ? recipeG * 3 : null;
  if (highG !== null && massG > highG * (row ? FAR : 1))
    return { kind: 'much', itemId, massG, lowG: lowG ?? 0, highG };
  if (recipeG && massG > recipeG * 3)
    return { kind: 'much', itemId, massG, lowG: recipeG / 3, highG: recipeG * 3 };
  if (lowG !== null && massG < lowG / FAR / 2)
    return { kind: 'little', itemId, massG, lowG, highG: highG ?? 0 };
  return null;
}

/** Minutes in which a step is usually done. Source: the methods of the book, and half or twice of them. */
const USUAL_MINUTES: Partial<Record<OwnStepKind, readonly [low: number, high: number]>> = {
  boil: [1, 120],
  steep: [4, 3 * 24 * 60],
  soak: [5, 24 * 60],
  wash: [0.5, 45],
  strain: [1, 120],
  blend: [0.5, 60],
};

/** Seconds for minutes, minutes for hours. */
export function timeSlip(stepKind: OwnStepKind, minutes: number): Slip | null {
  const usual = USUAL_MINUTES[stepKind];
  if (!usual || !(minutes > 0)) return null;
  const [lowMin, highMin] = usual;
  if (minutes > highMin) return { kind: 'long', stepKind, minutes, lowMin, highMin };
  if (minutes < lowMin) return { kind: 'short', stepKind, minutes, lowMin, highMin };
  return null;
}

/** Pots lose up to this an hour and square metre of surface at a full boil, L. Source: twice the open rolling boil. */
const MOST_LOSS_L_PER_H_M2 = 72;

/** A loss that the time over the flame cannot explain: a slip of the jug, or a spill that nobody noted. */
export function lossSlip(lostL: number, heatedMin: number, surfaceM2: number): Slip | null {
  const mostL = (MOST_LOSS_L_PER_H_M2 * surfaceM2 * heatedMin) / 60 + 0.3;
  return lostL > mostL ? { kind: 'lossUnexplained', lostL, mostL } : null;
}

/**
 * The same for litres just measured, against what was in the vessel when it stood fullest before.
 * @param trace what has happened so far; only what boils loses litres.
 * @param heldL litres that solids hold back at this step.
 */
export function measuredLossSlip(
  trace: readonly TraceEntry[],
  measuredL: number,
  heldL: number,
  surfaceM2: number,
): Slip | null {
  const hadL = Math.max(0, ...trace.map((t) => t.now.volumeL));
  const boiledMin = trace.filter((t) => t.kind === 'boil').reduce((sum, t) => sum + t.endMin - t.startMin, 0);
  // What solids hold and a pot boils off is known to a tenth of what stood in it: less is no slip.
  return hadL > 0 ? lossSlip(0.9 * hadL - measuredL - heldL, boiledMin, surfaceM2) : null;
}
