import {
  abvPct,
  brix,
  type Composition,
  kcalOf,
  massG,
  ofLiquid,
  plus,
  scaled,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
  water,
} from '../liquor/composition.ts';
import { expansion } from '../liquor/water.ts';
import { DAILY_FREE_SUGAR_G, ICE_MELTED_SHARE } from '../tables/constants.ts';
import type { LiquidRow } from '../tables/types.ts';

/** What a glass holds. Shares are of the common daily ceiling (50 g) and the stricter aim (25 g) of free sugars. */
export interface GlassFacts {
  /** What a glass of it is, mL. */
  servingMl: number;
  sugarG: number;
  freeSugarG: number;
  /** What came in as a sweetener or sold sweetened. */
  addedSugarG: number;
  kcal: number;
  shareOfCeiling: number;
  shareOfAim: number;
  /** Pure alcohol, g. */
  ethanolG: number;
  /** True of the whole drink: nothing sweetened it but the fruit and plants themselves. */
  noAddedSugar: boolean;
}

/** Grams in a whole batch below which nothing was added: what clings to a spoon. */
const NO_SUGAR_G = 0.5;

export function glassFacts(c: Composition, servingMl: number): GlassFacts {
  const ml = volumeMl(c);
  const glass = ml > 0 ? scaled(c, servingMl / ml) : c;
  return {
    servingMl,
    sugarG: glass.sugarG,
    freeSugarG: glass.freeSugarG,
    addedSugarG: glass.addedSugarG,
    kcal: kcalOf(glass),
    shareOfCeiling: glass.freeSugarG / DAILY_FREE_SUGAR_G.ceiling,
    shareOfAim: glass.freeSugarG / DAILY_FREE_SUGAR_G.aim,
    ethanolG: glass.ethanolG,
    noAddedSugar: c.addedSugarG < NO_SUGAR_G,
  };
}

/** A drink poured over ice, once 35 % of the ice has melted. */
export const overIce = (c: Composition, iceG: number): Composition => plus(c, water(iceG * ICE_MELTED_SHARE));

/** How a drink is served: so much of it in a glass or a jug, over ice, with something poured to it. */
export interface Serving {
  drinkMl: number;
  iceG: number;
  mixer: { row: LiquidRow; ml: number } | null;
  /** What is in the glass is this warm: hot, it takes more room, and a glass of it holds less. Without: cold. */
  tempC?: number;
}

/** A drink that is served hot, °C. */
export const HOT_C = 70;

export interface ServedFacts {
  volumeMl: number;
  brix: number;
  sweetPct: number;
  sourGPerL: number;
  abvPct: number;
  sugarG: number;
  freeSugarG: number;
  kcal: number;
  ethanolG: number;
  /** Strength left of that in the jar, 0..1. */
  strengthShare: number;
  comp: Composition;
}

/** A drink as it is in the glass: per glass with `drinkMl` of a glass, per jug with that of a jug. */
export function servedFacts(c: Composition, serving: Serving): ServedFacts {
  const ml = volumeMl(c);
  const grown = serving.tempC === undefined ? 1 : expansion(serving.tempC);
  const poured = ml > 0 ? scaled(c, serving.drinkMl / grown / ml) : c;
  const mixed = serving.mixer ? plus(poured, ofLiquid(serving.mixer.row, serving.mixer.ml / grown)) : poured;
  const comp = overIce(mixed, serving.iceG);
  const total = volumeMl(comp);
  return {
    volumeMl: total,
    brix: brix(comp),
    sweetPct: sweetnessPct(comp),
    sourGPerL: sournessGPerL(comp),
    abvPct: abvPct(comp),
    sugarG: comp.sugarG,
    freeSugarG: comp.freeSugarG,
    kcal: kcalOf(comp),
    ethanolG: comp.ethanolG,
    strengthShare: total > 0 ? serving.drinkMl / grown / total : 0,
    comp,
  };
}

/** A concentrated drink that is taken by small glasses: how many days a jar lasts. */
export function smallServings(
  jarMl: number,
  servingMl: number,
  aDay: number,
): { servings: number; days: number } | null {
  if (!(jarMl > 0) || !(servingMl > 0) || !(aDay > 0)) return null;
  const servings = Math.floor(jarMl / servingMl + 1e-9);
  return { servings, days: Math.floor(servings / aDay) };
}

/** What a portion of a plain base wants in the glass, g of a sweetener, to a sweetness of its own. */
export function glassDoseG(
  c: Composition,
  servingMl: number,
  targetPct: number,
  relativeSweetness: number,
): number | null {
  const ml = volumeMl(c);
  return ml > 0 ? gramsToSweetness(scaled(c, servingMl / ml), targetPct, relativeSweetness) : null;
}

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
