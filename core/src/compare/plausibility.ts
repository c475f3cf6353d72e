import type { OwnStepKind } from '../documents/recipe.ts';
import type { TraceEntry } from '../program/model/simulation.ts';
import { traitsOf } from '../program/model/tags.ts';
import { USUAL_OF_TRAITS, USUAL_ROWS } from '../tables/kitchenFacts.ts';
import type { Tables } from '../tables/types.ts';

/** An amount or a time far outside what is usual: asked about once, with the usual beside it. */
export type PlausibilityWarning =
  | { kind: 'much' | 'little'; itemId: string; massG: number; lowG: number; highG: number }
  | { kind: 'long' | 'short'; stepKind: OwnStepKind; minutes: number; lowMin: number; highMin: number }
  | { kind: 'lossUnexplained'; lostL: number; mostL: number };

/** Beyond its usual range by this factor an amount is asked about. */
const FAR = 1.5;
/** Against the recipe itself: three times as much, or a third. */
const FROM_RECIPE = 3;

/** The usual range of a thing for a litre: its own, or that of its kind. */
function usualOf(itemId: string, tables: Tables): { lowGPerL: number; highGPerL: number } | null {
  const own = USUAL_ROWS.find((r) => r.itemId === itemId);
  if (own) return own;
  const traits = traitsOf([itemId], tables);
  return USUAL_OF_TRAITS.find((r) => traits.has(r.trait)) ?? null;
}

/**
 * Grams of a solid or of a liquid for so many litres against the usual range, and against what the recipe itself had.
 * @param recipeG what the recipe has for the same litres, where there is one: what is near that is no slip.
 */
export function amountWarning(
  itemId: string,
  massG: number,
  litres: number,
  tables: Tables,
  recipeG?: number,
): PlausibilityWarning | null {
  if (!(massG > 0 && litres > 0)) return null;
  if (recipeG !== undefined && recipeG > 0) {
    const [lowG, highG] = [recipeG / FROM_RECIPE, recipeG * FROM_RECIPE];
    if (massG > highG) return { kind: 'much', itemId, massG, lowG, highG };
    return massG < lowG ? { kind: 'little', itemId, massG, lowG, highG } : null;
  }
  const usual = usualOf(itemId, tables);
  if (!usual) return null;
  const [lowG, highG] = [usual.lowGPerL * litres, usual.highGPerL * litres];
  if (massG > highG * FAR) return { kind: 'much', itemId, massG, lowG, highG };
  return massG < lowG / FAR / 2 ? { kind: 'little', itemId, massG, lowG, highG } : null;
}

/** Amounts of a plan that are far outside what is usual, each thing once however many lines have it. */
export function planWarnings(
  program: { lines: readonly { itemId: string; massG: number }[] },
  litres: number,
  tables: Tables,
): PlausibilityWarning[] {
  const grams = new Map<string, number>();
  for (const line of program.lines) grams.set(line.itemId, (grams.get(line.itemId) ?? 0) + line.massG);
  return [...grams].flatMap(([itemId, massG]) => amountWarning(itemId, massG, litres, tables) ?? []);
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
export function timeWarning(stepKind: OwnStepKind, minutes: number): PlausibilityWarning | null {
  const usual = USUAL_MINUTES[stepKind];
  if (!usual || !(minutes > 0)) return null;
  const [lowMin, highMin] = usual;
  if (minutes > highMin) return { kind: 'long', stepKind, minutes, lowMin, highMin };
  if (minutes < lowMin) return { kind: 'short', stepKind, minutes, lowMin, highMin };
  return null;
}

/** A slip, and what tells it from another: once it is said to be meant, the same thing is not asked again. */
export interface AskedWarning {
  key: string;
  slip: PlausibilityWarning;
}

/** What is to be asked of a recipe as it was read or written: its amounts for the litres it makes, and its minutes. */
export function recipeWarnings(
  recipe: {
    lines: readonly { itemId: string; massG: number }[];
    steps?: readonly { kind: OwnStepKind; minutes?: number | undefined }[];
    basisL: number;
  },
  tables: Tables,
): AskedWarning[] {
  const times = (recipe.steps ?? []).flatMap((s) => timeWarning(s.kind, s.minutes ?? 0) ?? []);
  const asked = [...planWarnings(recipe, recipe.basisL, tables), ...times].map((slip) => ({
    key: keyOf(slip),
    slip,
  }));
  // Two steps of one kind and one length are one question.
  return asked.filter((a, i) => asked.findIndex((b) => b.key === a.key) === i);
}

function keyOf(slip: PlausibilityWarning): string {
  switch (slip.kind) {
    case 'much':
    case 'little':
      return `${slip.itemId}:${Math.round(slip.massG)}`;
    case 'long':
    case 'short':
      return `${slip.stepKind}:${slip.minutes}`;
    case 'lossUnexplained':
      return slip.kind;
  }
}

/** What a measure may be off by: of what stood in the vessel, and at the least, L. */
const MEASURE = { ofAll: 0.1, leastL: 0.05 };
/** A flame or a lid may be this far from what the model took. */
const FLAME_FACTOR = 1.5;

/**
 * Litres just measured, against what was in the vessel when it stood fullest before: a loss that time, lid and flame
 * cannot explain is a slip of the jug, or a spill that nobody noted.
 * @param trace what has happened so far; before anything was heated a vessel is still being filled, and nothing is asked.
 * @param expectedL what the model, with this flame and this lid, has there now, cold.
 * @param heldL litres that solids hold back at this step.
 */
export function measuredLossWarning(
  trace: readonly Pick<TraceEntry, 'kind' | 'now'>[],
  measuredL: number,
  expectedL: number,
  heldL: number,
): PlausibilityWarning | null {
  if (!trace.some((t) => t.kind === 'heat' || t.kind === 'boil')) return null;
  const hadL = Math.max(0, ...trace.map((t) => t.now.volumeL));
  const steamL = Math.max(0, hadL - heldL - expectedL);
  const lostL = hadL - heldL - measuredL;
  const mostL = FLAME_FACTOR * steamL + MEASURE.ofAll * hadL + MEASURE.leastL;
  return lostL > mostL ? { kind: 'lossUnexplained', lostL, mostL } : null;
}
