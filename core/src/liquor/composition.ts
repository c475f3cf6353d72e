import { CHILLI_AS_GINGER } from '../tables/constants.ts';
import type { LiquidRow, MarkerId, SweetenerRow, Tint, TintId } from '../tables/types.ts';

/**
 * What a liquor is made of. Everything here is conserved by mass (or by amount) when liquors are mixed and
 * split, so the balance of a batch can be checked figure by figure.
 */
export interface Composition {
  waterG: number;
  /** All sugars. */
  sugarG: number;
  /** Of those, what counts as free sugars in daily guidance. */
  freeSugarG: number;
  /** Of those, what came in as a sweetener or in a liquid sold sweetened: with any of it a drink is not "without added sugar". */
  addedSugarG: number;
  /** Sweetness in grams of sucrose that would taste the same. */
  sweetG: number;
  /** All else that is dissolved; `acidG` is a part of it, not on top. */
  otherSolublesG: number;
  /** Titratable acid as citric, without acetic; a tap's bicarbonate makes it negative. */
  acidG: number;
  alkaliMeq: number;
  /**
   * Alkali that pH readings have taken off `alkaliMeq`: what is added later starts from the reading, but where acid
   * must be shown it counts as if nobody had read.
   */
  unprovedMeq: number;
  ethanolG: number;
  aceticG: number;
  /** Of coconut and milk. */
  fatG: number;
  /** Millilitres by which a liquid as sold differs from the sugar-water formula: spirits, milk and vinegar add at their own density. */
  excessMl: number;
  /** Gram-equivalents of the fresh grated or dried whole form that have been drawn. */
  markerG: Partial<Record<MarkerId, number>>;
  /** What colours or clouds it beside its markers, amounts of each tint. */
  tint: Partial<Record<TintId, number>>;
}

/** Density of water at 20 °C, g/mL. */
export const WATER_20_G_PER_ML = 0.9982;
const ETHANOL_G_PER_ML = 0.7893;
const ACETIC_G_PER_ML = 1.049;
const FAT_G_PER_ML = 0.92;

export const EMPTY: Composition = Object.freeze({
  waterG: 0,
  sugarG: 0,
  freeSugarG: 0,
  addedSugarG: 0,
  sweetG: 0,
  otherSolublesG: 0,
  acidG: 0,
  alkaliMeq: 0,
  unprovedMeq: 0,
  ethanolG: 0,
  aceticG: 0,
  fatG: 0,
  excessMl: 0,
  markerG: Object.freeze({}),
  tint: Object.freeze({}),
});

/** The conserved figures other than markers, for loops over all of them. */
export const CONSERVED = [
  'waterG',
  'sugarG',
  'freeSugarG',
  'addedSugarG',
  'sweetG',
  'otherSolublesG',
  'acidG',
  'alkaliMeq',
  'unprovedMeq',
  'ethanolG',
  'aceticG',
  'fatG',
  'excessMl',
] as const satisfies readonly (keyof Composition)[];

/** A composition alone, without what else a liquor carries, to be added to. Field by field: there are many of them. */
export const copyOf = (c: Composition): Composition => ({
  waterG: c.waterG,
  sugarG: c.sugarG,
  freeSugarG: c.freeSugarG,
  addedSugarG: c.addedSugarG,
  sweetG: c.sweetG,
  otherSolublesG: c.otherSolublesG,
  acidG: c.acidG,
  alkaliMeq: c.alkaliMeq,
  unprovedMeq: c.unprovedMeq,
  ethanolG: c.ethanolG,
  aceticG: c.aceticG,
  fatG: c.fatG,
  excessMl: c.excessMl,
  markerG: { ...c.markerG },
  tint: { ...c.tint },
});

/** a + factor × b, figure by figure. */
export function plus(a: Composition, b: Composition, factor = 1): Composition {
  const sum = copyOf(a);
  add(sum, b, factor);
  return sum;
}

/** Adds factor × b to a composition that is still being made. */
export function add(sum: Composition, b: Composition, factor: number): void {
  for (const id in b.markerG) {
    const marker = id as MarkerId;
    sum.markerG[marker] = (sum.markerG[marker] ?? 0) + factor * b.markerG[marker]!;
  }
  for (const id in b.tint) {
    const tint = id as TintId;
    sum.tint[tint] = (sum.tint[tint] ?? 0) + factor * b.tint[tint]!;
  }
  sum.waterG += factor * b.waterG;
  sum.sugarG += factor * b.sugarG;
  sum.freeSugarG += factor * b.freeSugarG;
  sum.addedSugarG += factor * b.addedSugarG;
  sum.sweetG += factor * b.sweetG;
  sum.otherSolublesG += factor * b.otherSolublesG;
  sum.acidG += factor * b.acidG;
  sum.alkaliMeq += factor * b.alkaliMeq;
  sum.unprovedMeq += factor * b.unprovedMeq;
  sum.ethanolG += factor * b.ethanolG;
  sum.aceticG += factor * b.aceticG;
  sum.fatG += factor * b.fatG;
  sum.excessMl += factor * b.excessMl;
}

export const scaled = (a: Composition, factor: number): Composition => plus(EMPTY, a, factor);
export const minus = (a: Composition, b: Composition): Composition => plus(a, b, -1);
export const water = (massG: number): Composition => ({ ...EMPTY, waterG: massG });

/** Dissolved solids, g. */
export const solublesG = (c: Composition): number => c.sugarG + c.otherSolublesG;

export const massG = (c: Composition): number =>
  c.waterG + c.sugarG + c.otherSolublesG + c.ethanolG + c.aceticG + c.fatG;

/** Dissolved solids in 100 g, °Bx as a refractometer shows it (0 for an empty vessel). */
export function brix(c: Composition): number {
  const total = massG(c);
  return total > 0 ? (100 * solublesG(c)) / total : 0;
}

/** Specific gravity at 20 °C of a sugar-like solution. Source: the usual closed form of the sugar tables, 1 + B/(258.6 − 227.1·B/258.2). */
export const specificGravity = (degBx: number): number => 1 + degBx / (258.6 - (227.1 * degBx) / 258.2);

/**
 * Millilitres at 20 °C: the water and what is dissolved in it by the sugar-water formula, the rest at its own
 * density.
 */
export function volumeMl(c: Composition): number {
  const dissolved = c.sugarG + c.otherSolublesG;
  const base = c.waterG + dissolved;
  const degBx = base > 0 ? (100 * dissolved) / base : 0;
  return (
    base / (specificGravity(degBx) * WATER_20_G_PER_ML) +
    c.ethanolG / ETHANOL_G_PER_ML +
    c.aceticG / ACETIC_G_PER_ML +
    c.fatG / FAT_G_PER_ML +
    c.excessMl
  );
}

/** Titratable acidity as citric, g/L (acetic aside). */
export function titratableGPerL(c: Composition): number {
  const ml = volumeMl(c);
  return ml > 0 ? (1000 * c.acidG) / ml : 0;
}

/** Acetic acid tastes as sour as so much citric, g for g: 64.04 / 60.05. */
const ACETIC_AS_CITRIC = 1.066;

/** All that is sour in it, g as citric: what titrates, and acetic. */
export const sourG = (c: Composition): number => c.acidG + ACETIC_AS_CITRIC * c.aceticG;

/** The same of a table liquid, g as citric in a litre. */
export const sourGPerLOf = (row: Pick<LiquidRow, 'taGPerL' | 'aceticPct'>): number =>
  row.taGPerL + ACETIC_AS_CITRIC * 10 * row.aceticPct;

/** Sourness as it is shown, g/L as citric. */
export function sournessGPerL(c: Composition): number {
  const ml = volumeMl(c);
  return ml > 0 ? (1000 * sourG(c)) / ml : 0;
}

/** Sugar-equivalent grams in 100 g of liquor. */
export function sweetnessPct(c: Composition): number {
  const total = massG(c);
  return total > 0 ? (100 * c.sweetG) / total : 0;
}

/** Alcohol by volume, per cent. */
export function abvPct(c: Composition): number {
  const ml = volumeMl(c);
  return ml > 0 ? (100 * c.ethanolG) / ETHANOL_G_PER_ML / ml : 0;
}

/** kcal by the general factors: 4 per g of sugar, 7 of alcohol, 9 of fat. Source: general energy factors for food labels. */
export const kcalOf = (c: Composition): number => 4 * c.sugarG + 7 * c.ethanolG + 9 * c.fatG;

/** How hot a drink is, as g of fresh ginger per litre. */
export const heatGPerL = (c: Composition): number =>
  markerGPerL(c, 'ginger') + CHILLI_AS_GINGER * markerGPerL(c, 'chilli');

/** g of a marker per litre. */
export function markerGPerL(c: Composition, marker: MarkerId): number {
  const ml = volumeMl(c);
  return ml > 0 ? (1000 * (c.markerG[marker] ?? 0)) / ml : 0;
}

/** What so much of a row brings of its tint. */
export const tintOf = (row: { tint?: Tint }, amount: number): Composition['tint'] =>
  row.tint ? { [row.tint[0]]: amount * row.tint[1] } : EMPTY.tint;

/**
 * A volume of a table liquid as a composition.
 * @param ml millilitres at 20 °C.
 * @param hardnessMeqPerL for water only: the kitchen's own tap instead of the table's average.
 */
export function ofLiquid(row: LiquidRow, ml: number, hardnessMeqPerL?: number): Composition {
  if (row.treatment === 'water') {
    const meqPerL = hardnessMeqPerL ?? row.alkaliMeqPerL;
    const litres = ml / 1000;
    // Bicarbonate: alkali as K and as TA less 0.064 g citric per meq.
    return {
      ...EMPTY,
      waterG: ml * WATER_20_G_PER_ML,
      alkaliMeq: meqPerL * litres,
      acidG: -0.064 * meqPerL * litres,
    };
  }
  const total = ml * row.densityGPerMl;
  const dissolved = (total * row.brix) / 100;
  const sugarG = Math.min(dissolved, (total * row.sugarGPer100g) / 100);
  const ethanolG = (ml * row.abvPct * ETHANOL_G_PER_ML) / 100;
  const aceticG = (ml * row.aceticPct) / 100;
  const fatG = (total * (row.fatPct ?? 0)) / 100;
  const c: Composition = {
    ...EMPTY,
    waterG: total - dissolved - ethanolG - aceticG - fatG,
    sugarG,
    freeSugarG: sugarG,
    addedSugarG: row.sweetened ? sugarG : 0,
    sweetG: sugarG,
    otherSolublesG: dissolved - sugarG,
    acidG: (row.taGPerL * ml) / 1000,
    alkaliMeq: (row.alkaliMeqPerL * ml) / 1000,
    ethanolG,
    aceticG,
    fatG,
    tint: tintOf(row, ml),
  };
  return { ...c, excessMl: ml - volumeMl(c) };
}

/** A mass of sweetener as a composition. */
export function ofSweetener(row: SweetenerRow, grams: number): Composition {
  const sugarG = (grams * row.sugarPct) / 100;
  const waterG = (grams * row.waterPct) / 100;
  return {
    ...EMPTY,
    waterG,
    sugarG,
    freeSugarG: row.freeSugars ? sugarG : 0,
    addedSugarG: sugarG,
    sweetG: grams * row.relativeSweetness,
    otherSolublesG: Math.max(0, grams - sugarG - waterG),
    acidG: (row.taGPerKg * grams) / 1000,
    alkaliMeq: (row.alkaliMeqPerKg * grams) / 1000,
    tint: tintOf(row, grams),
  };
}

/**
 * The composition with its water changed so that it fills `targetMl`, solutes untouched: steam, or its opposite.
 * Newton on waterG; the volume is within a part in a thousand of linear in it, so four rounds are plenty.
 * @returns null when even without water the solutes take more room than that.
 */
export function withWaterFor(c: Composition, targetMl: number): Composition | null {
  let next = c;
  for (let round = 0; round < 6; round++) {
    const missMl = targetMl - volumeMl(next);
    if (Math.abs(missMl) < 1e-9) break;
    next = { ...next, waterG: next.waterG + missMl * WATER_20_G_PER_ML };
  }
  return next.waterG > 0 ? next : null;
}

/**
 * A refractometer reading taken over: dissolved solids become degBx of the same mass; sugar is corrected only
 * for the part above the other solubles that were predicted. Not with alcohol in it.
 */
export function withBrix(c: Composition, degBx: number): Composition {
  const total = massG(c);
  const dissolved = (total * degBx) / 100;
  const otherSolublesG = Math.min(c.otherSolublesG, dissolved);
  const sugarG = dissolved - otherSolublesG;
  const deltaG = sugarG - c.sugarG;
  return {
    ...c,
    waterG: c.waterG - (dissolved - solublesG(c)),
    sugarG,
    freeSugarG: Math.max(0, c.freeSugarG + deltaG),
    addedSugarG: Math.min(c.addedSugarG, sugarG),
    sweetG: Math.max(0, c.sweetG + deltaG),
    otherSolublesG,
  };
}

/**
 * Sweetness that is to come for a liquor to reach a target, when what brings it adds to the mass as well.
 * From sweetG + s = t·(m + s·w), so s = (t·m − sweetG)/(1 − t·w); a mass balance.
 * @param liquor what stands there: its sweetness as grams of sugar, and its mass, g.
 * @param target sweetness by mass, 0…1.
 * @param gramsPerSweet w: grams of the sweetener for the sweetness of a gram of sugar; of several, their mean.
 * @returns s as grams of sugar; 0 where it is sweet enough, or where the sweetener itself is no sweeter than the target.
 */
export const sweetnessToComeG = (
  liquor: { sweetG: number; massG: number },
  target: number,
  gramsPerSweet: number,
): number =>
  target * gramsPerSweet < 1
    ? Math.max(0, (target * liquor.massG - liquor.sweetG) / (1 - target * gramsPerSweet))
    : 0;
