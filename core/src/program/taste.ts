/** A taste while sweetening: −1 not sweet enough, 0 about right, +1 too sweet, at the sweetness it had then. */
export interface SweetTaste {
  sweet: number;
  atSweetnessPct: number;
}

/** How far one verdict moves the target beyond what was tasted. */
const MORE = 1.06;
const LESS = 0.94;

/**
 * Where sweetening aims after some tastes: "about right" stops where it is, "too sweet" aims a little below, "not
 * sweet enough" aims at least a little above.
 */
export function targetAfterTastes(targetPct: number, tastes: readonly SweetTaste[]): number {
  return tastes.reduce((target, taste) => {
    if (taste.sweet === 0) return taste.atSweetnessPct;
    return taste.sweet > 0
      ? Math.min(target, taste.atSweetnessPct * LESS)
      : Math.max(target, taste.atSweetnessPct * MORE);
  }, targetPct);
}
