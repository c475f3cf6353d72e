import { type Composition, sournessGPerL } from '../liquor/composition.ts';
import { traitsOf } from '../program/model/tags.ts';
import type { Tag } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';

/** What a lot is marked with wherever it is shown, in this order: what it has become, and what is in it. */
export const LOT_MARKS = [
  'alcohol',
  'littleAlcohol',
  'honey',
  'raw',
  'milk',
  'coconut',
  'nut',
  'allergen',
  'grapefruit',
  'garlic',
  'caffeine',
  'hot',
  'noAddedSugar',
  'live',
  'noSugarSweetener',
] as const satisfies readonly Tag[];
export type LotMark = (typeof LOT_MARKS)[number];

/** The marks among the tags of a drink. */
export function marksOf(tags: Iterable<Tag>): LotMark[] {
  const all = new Set(tags);
  return LOT_MARKS.filter((mark) => all.has(mark));
}

export interface TrialAddition {
  itemId: string;
  massG: number;
}

/** Sour from here on, g/L as citric: milk and coconut curdle. */
const CURDLES_GPERL = 2;
/** Heat, bitterness and spice grow faster than the pot: from so many times on it is told. */
const MUCH_LARGER = 8;

export interface ScaledTrial {
  additions: TrialAddition[];
  factor: number;
  cautions: ('curdles' | 'spiceGrows' | 'tasteAgain')[];
}

/**
 * What was tried on a cup, for a lot: as many times as the lot is larger, with what does not scale.
 * @returns null where there was no cup.
 */
export function scaleTrial(
  cupMl: number,
  additions: readonly TrialAddition[],
  lotMl: number,
  lot: Composition,
  tables: Tables,
): ScaledTrial | null {
  if (!(cupMl > 0) || !(lotMl > 0)) return null;
  const factor = lotMl / cupMl;
  const cautions: ScaledTrial['cautions'] = [];
  const traits = traitsOf(
    additions.map((a) => a.itemId),
    tables,
  );
  if (traits.has('milk') && sournessGPerL(lot) > CURDLES_GPERL) cautions.push('curdles');
  if (traits.has('strongSpice') && factor >= MUCH_LARGER) cautions.push('spiceGrows');
  if (factor >= MUCH_LARGER) cautions.push('tasteAgain');
  return {
    additions: additions.map((a) => ({ ...a, massG: a.massG * factor })),
    factor,
    cautions,
  };
}
