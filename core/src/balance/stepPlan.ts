import { sweetnessToComeG } from '../liquor/composition.ts';

/** First dose: this share of the predicted sweetener; then quarters of the rest. */
export const FIRST_SHARE = 0.6;
/** Citrus and vinegar begin lower: sourness cannot be taken out again. */
export const FIRST_SOUR_SHARE = 0.3;
const THEN_PARTS = 4;
/** Less than this share of the whole is not worth a spoon. */
const NEARLY = 0.02;

export interface Dose {
  grams: number;
  /** Which dose this is, 1 for the first. */
  number: number;
}

/**
 * What to stir in next, never all at once: 60 % of what is predicted (30 % of what sours), then quarters of the rest,
 * tasting between.
 * @param addedG what is in already.
 * @param remainingG what the target still asks for, after tastes have moved it.
 * @returns null when the target is reached.
 */
export function nextDose(addedG: number, remainingG: number, firstShare = FIRST_SHARE): Dose | null {
  const total = addedG + remainingG;
  if (remainingG <= 0 || remainingG < NEARLY * total) return null;
  const first = firstShare * total;
  if (addedG < first * 0.9) return { grams: first - addedG, number: 1 };
  const step = ((1 - firstShare) / THEN_PARTS) * total;
  return { grams: Math.min(step, remainingG), number: 2 + Math.round((addedG - first) / step) };
}

/** All doses to come, for the plan on the screen. */
export function dosesToCome(addedG: number, remainingG: number, firstShare = FIRST_SHARE): Dose[] {
  const doses: Dose[] = [];
  let added = addedG;
  let left = remainingG;
  for (let guard = 0; guard < 12; guard++) {
    const dose = nextDose(added, left, firstShare);
    if (!dose) break;
    doses.push(dose);
    added += dose.grams;
    left -= dose.grams;
  }
  return doses;
}

/** Less than this of a stated amount is not worth the spoon, g. */
const ALL_IN_G = 0.5;

/**
 * What is stated and not in yet: the line to stir in next, with what is missing of it; null where all that is stated is
 * in, or nothing is stated.
 * @param toCome g by line, as the forecast of the step has them.
 */
export function nextStated<T extends { line: { id: string; rule: { kind: string } } }>(
  stirred: readonly T[],
  toCome: Readonly<Record<string, number>>,
): { of: T; remainingG: number } | null {
  for (const of of stirred) {
    if (of.line.rule.kind === 'toTarget') continue;
    const remainingG = toCome[of.line.id] ?? 0;
    if (remainingG > ALL_IN_G) return { of, remainingG };
  }
  return null;
}

/**
 * Which of several sweeteners is to be stirred in next, each with its share of the sweetness, and how much of it is still
 * to come: the one that is furthest behind. With one sweetener this is what the target still asks for of it.
 * @param stirred what is in of each already, g, with how sweet a gram of it is.
 * @param weights which part of the sweetness each brings, adding up to one; unsaid: equal parts.
 */
export function nextSweetener(
  stirred: readonly { addedG: number; relativeSweetness: number }[],
  liquor: { sweetG: number; massG: number },
  targetPct: number,
  weights: readonly number[] = stirred.map(() => 1 / stirred.length),
): { index: number; remainingG: number } | null {
  if (stirred.length === 0) return null;
  const gramsPerSweet = stirred.reduce((sum, s, i) => sum + weights[i]! / s.relativeSweetness, 0);
  const toCome = sweetnessToComeG(liquor, targetPct / 100, gramsPerSweet);
  const sweet = stirred.map((s) => s.addedG * s.relativeSweetness);
  const all = sweet.reduce((sum, s) => sum + s, 0) + toCome;
  const behindBy = sweet.map((s, i) => all * weights[i]! - s);
  const index = behindBy.indexOf(Math.max(...behindBy));
  const behind = Math.min(toCome, Math.max(0, behindBy[index]!));
  return { index, remainingG: behind / stirred[index]!.relativeSweetness };
}
