import { type Composition, EMPTY, ofLiquid, ofSweetener, plus } from '../liquor/composition.ts';
import type { LiquidRow, SweetenerRow, Tables } from '../tables/types.ts';

/** One leg of a drink in parts: so many parts by volume of a juice, a sweetener or a vinegar. */
export interface RatioLeg {
  id: string;
  parts: number;
}

export interface LegAmount {
  id: string;
  parts: number;
  volumeMl: number;
  massG: number;
}

interface Known {
  compOf: (ml: number) => Composition;
  gPerMl: number;
}

/** A leg by its id; a sweetener is measured as it is spooned or poured. */
function known(id: string, tables: Tables): Known | null {
  const liquid: LiquidRow | undefined = tables.liquids.get(id);
  if (liquid) return { compOf: (ml) => ofLiquid(liquid, ml), gPerMl: liquid.densityGPerMl };
  const sweetener: SweetenerRow | undefined = tables.sweeteners.get(id);
  if (sweetener)
    return {
      compOf: (ml) => ofSweetener(sweetener, ml * sweetener.bulkGPerMl),
      gPerMl: sweetener.bulkGPerMl,
    };
  return null;
}

export type Measured = { id: string; volumeMl: number } | { id: string; massG: number };

/**
 * All legs of a drink in parts from any one that was measured, in millilitres and grams.
 * @returns null where a leg is not known, has no parts, or the measured one is not among them.
 */
export function ratioFrom(legs: readonly RatioLeg[], measured: Measured, tables: Tables): LegAmount[] | null {
  const leg = legs.find((l) => l.id === measured.id);
  const row = known(measured.id, tables);
  if (!leg || !row || !(leg.parts > 0)) return null;
  const ml = 'volumeMl' in measured ? measured.volumeMl : measured.massG / row.gPerMl;
  if (!(ml > 0)) return null;
  const onePartMl = ml / leg.parts;
  const amounts = legs.map((l) => {
    const k = known(l.id, tables);
    const volume = l.parts * onePartMl;
    return k ? { id: l.id, parts: l.parts, volumeMl: volume, massG: volume * k.gPerMl } : null;
  });
  return amounts.every((a) => a !== null) ? amounts : null;
}

export interface TrueRatio {
  /** Each leg with its parts by volume as they really are, the first counting as it was wanted. */
  legs: (LegAmount & { massParts: number })[];
  /** The largest departure of a leg from its parts, as a share: 0.25 where a quarter is missing. */
  off: number;
  /** Amounts that would be whole again with the least pouring: what is short is topped up. */
  toTopUp: LegAmount[];
  /** Amounts that need no topping up: everything cut down to the shortest leg. */
  asShortest: LegAmount[];
  drink: Composition;
}

/** Parts to two figures, as a cook says them. */
const rounded = (value: number): number => Math.round(value * 100) / 100;

/**
 * What a drink in parts really is when a jar ran short: its ratio by volume and by weight, what would make it whole, and
 * what it is made of.
 */
export function trueRatio(
  legs: readonly RatioLeg[],
  poured: readonly Measured[],
  tables: Tables,
): TrueRatio | null {
  const amounts: LegAmount[] = [];
  let drink: Composition = EMPTY;
  for (const leg of legs) {
    const row = known(leg.id, tables);
    const m = poured.find((p) => p.id === leg.id);
    if (!row || !m || !(leg.parts > 0)) return null;
    const ml = 'volumeMl' in m ? m.volumeMl : m.massG / row.gPerMl;
    if (!(ml >= 0)) return null;
    amounts.push({ id: leg.id, parts: leg.parts, volumeMl: ml, massG: ml * row.gPerMl });
    drink = plus(drink, row.compOf(ml));
  }
  const [first] = amounts;
  if (!first || !(first.volumeMl > 0)) return null;
  const ones = amounts.map((a) => a.volumeMl / a.parts);
  const most = Math.max(...ones);
  const least = Math.min(...ones);
  const at = (onePartMl: number): LegAmount[] =>
    amounts.map((a) => ({
      id: a.id,
      parts: a.parts,
      volumeMl: a.parts * onePartMl,
      massG: a.volumeMl > 0 ? (a.massG / a.volumeMl) * a.parts * onePartMl : 0,
    }));
  const gPerMl = (id: string) => known(id, tables)!.gPerMl;
  return {
    legs: amounts.map((a) => ({
      ...a,
      parts: rounded((first.parts * a.volumeMl) / first.volumeMl),
      massParts: rounded((first.parts * a.massG) / first.massG),
    })),
    off: Math.max(...ones.map((o) => Math.abs(o / ones[0]! - 1))),
    toTopUp: at(most).flatMap((whole, i) => {
      const missingMl = whole.volumeMl - amounts[i]!.volumeMl;
      return missingMl > 0.5 ? [{ ...whole, volumeMl: missingMl, massG: missingMl * gPerMl(whole.id) }] : [];
    }),
    asShortest: at(least),
    drink,
  };
}
