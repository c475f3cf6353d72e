import { abvPct, type Composition, markerGPerL, sournessGPerL } from '../liquor/composition.ts';
import type { Liquor, Origin } from '../program/types.ts';

/** What a lot is marked with wherever it is shown. */
export type LotMark =
  | 'alcohol'
  /** So little that nobody would taste it: said all the same. */
  | 'littleAlcohol'
  | 'honey'
  | 'raw'
  | 'coconut'
  | 'grapefruit'
  | 'garlic'
  | 'hot'
  | 'noAddedSugar'
  | 'sugarFreeSweetener'
  /** A starter was added on purpose. */
  | 'live';

/** Below this a drink counts as without alcohol, % by volume; up to the next as with a little. Source: usual labelling. */
const ALCOHOL_PCT = { trace: 0.05, little: 1.2 };
/** Whether a drink is said to be with alcohol, however little. */
export const saysAlcohol = (pct: number): boolean => pct > ALCOHOL_PCT.trace;

/** From here on most people call a drink hot, g/L of fresh root or dried pod. */
const HOT_G_PER_L = { ginger: 40, chilli: 0.3 };
const NO_SUGAR_G = 0.5;
/** Heated for so long at 85 °C or more it is raw no longer, minutes. */
const HEATED_MIN = 5;

const RAW: ReadonlySet<Origin['kind']> = new Set(['rawJuice', 'rawMilk', 'solid']);

/**
 * The marks of a lot, from what it is made of.
 * @param itemIds everything that went into it, by the tables' ids.
 */
export function marksOf(liquor: Liquor, itemIds: ReadonlySet<string>): LotMark[] {
  const marks: LotMark[] = [];
  const abv = abvPct(liquor);
  if (abv > ALCOHOL_PCT.little) marks.push('alcohol');
  else if (saysAlcohol(abv)) marks.push('littleAlcohol');
  if (itemIds.has('honey')) marks.push('honey');
  if (liquor.origins.some((o) => RAW.has(o.kind) && o.heatedMin < HEATED_MIN)) marks.push('raw');
  if ([...itemIds].some((id) => id.startsWith('coconut-m') || id.startsWith('coconut-f')))
    marks.push('coconut');
  if ([...itemIds].some((id) => id.startsWith('grapefruit'))) marks.push('grapefruit');
  if (liquor.origins.some((o) => o.kind === 'garlic')) marks.push('garlic');
  if (
    markerGPerL(liquor, 'ginger') > HOT_G_PER_L.ginger ||
    markerGPerL(liquor, 'chilli') > HOT_G_PER_L.chilli
  )
    marks.push('hot');
  if (liquor.addedSugarG < NO_SUGAR_G) marks.push('noAddedSugar');
  if (liquor.origins.some((o) => o.kind === 'live')) marks.push('live');
  if (itemIds.has('erythritol') || itemIds.has('stevia-pure')) marks.push('sugarFreeSweetener');
  return marks;
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
): ScaledTrial | null {
  if (!(cupMl > 0) || !(lotMl > 0)) return null;
  const factor = lotMl / cupMl;
  const cautions: ScaledTrial['cautions'] = [];
  const ids = additions.map((a) => a.itemId);
  if (ids.some((id) => id.startsWith('coconut')) && sournessGPerL(lot) > CURDLES_GPERL)
    cautions.push('curdles');
  const spiced = ids.some((id) => /clove|chilli|cayenne|pepper|cinnamon|nutmeg|anise/.test(id));
  if (spiced && factor >= MUCH_LARGER) cautions.push('spiceGrows');
  if (factor >= MUCH_LARGER) cautions.push('tasteAgain');
  return {
    additions: additions.map((a) => ({ ...a, massG: a.massG * factor })),
    factor,
    cautions,
  };
}
