/** First dose: this share of the predicted sweetener; then quarters of the rest. */
export const FIRST_SHARE = 0.6;
const THEN_SHARE = (1 - FIRST_SHARE) / 4;
/** Less than this share of the whole is not worth a spoon. */
const NEARLY = 0.02;

export interface Dose {
  grams: number;
  /** Which dose this is, 1 for the first. */
  number: number;
}

/**
 * What to stir in next, never all at once: 60 % of what is predicted, then quarters of the rest, tasting between.
 * @param addedG what is in already.
 * @param remainingG what the target still asks for, after tastes have moved it.
 * @returns null when the target is reached.
 */
export function nextDose(addedG: number, remainingG: number): Dose | null {
  const total = addedG + remainingG;
  if (remainingG <= 0 || remainingG < NEARLY * total) return null;
  const first = FIRST_SHARE * total;
  if (addedG < first * 0.9) return { grams: first - addedG, number: 1 };
  const step = THEN_SHARE * total;
  return { grams: Math.min(step, remainingG), number: 2 + Math.round((addedG - first) / step) };
}

/** All doses to come, for the plan on the screen. */
export function dosesToCome(addedG: number, remainingG: number): Dose[] {
  const doses: Dose[] = [];
  let added = addedG;
  let left = remainingG;
  for (let guard = 0; guard < 12; guard++) {
    const dose = nextDose(added, left);
    if (!dose) break;
    doses.push(dose);
    added += dose.grams;
    left -= dose.grams;
  }
  return doses;
}
