import { type Composition, kcalOf, massG, plus, scaled, volumeMl, water } from '../liquor/composition.ts';
import { DAILY_FREE_SUGAR_G, ICE_MELTED_SHARE } from '../tables/constants.ts';

/** What a glass holds. Shares are of the common daily ceiling (50 g) and the stricter aim (25 g) of free sugars. */
export interface GlassFacts {
  sugarG: number;
  freeSugarG: number;
  kcal: number;
  shareOfCeiling: number;
  shareOfAim: number;
}

export function glassFacts(c: Composition, servingMl: number): GlassFacts {
  const ml = volumeMl(c);
  const glass = ml > 0 ? scaled(c, servingMl / ml) : c;
  return {
    sugarG: glass.sugarG,
    freeSugarG: glass.freeSugarG,
    kcal: kcalOf(glass),
    shareOfCeiling: glass.freeSugarG / DAILY_FREE_SUGAR_G.ceiling,
    shareOfAim: glass.freeSugarG / DAILY_FREE_SUGAR_G.aim,
  };
}

/** A drink poured over ice, once 35 % of the ice has melted. */
export const overIce = (c: Composition, iceG: number): Composition => plus(c, water(iceG * ICE_MELTED_SHARE));

/**
 * Grams that bring a liquor to a sweetness: sweetG + s·g = t·(m + g).
 * @returns 0 when it is sweet enough already; null when the sweetener is itself not that sweet.
 */
export function gramsToSweetness(
  c: Composition,
  targetPct: number,
  relativeSweetness: number,
): number | null {
  const t = targetPct / 100;
  if (relativeSweetness <= t) return null;
  return Math.max(0, (t * massG(c) - c.sweetG) / (relativeSweetness - t));
}
