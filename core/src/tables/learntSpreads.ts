import type { Confidence } from './types.ts';

/** What is learnt of a kitchen beside the constants that belong to an ingredient. */
export type LearntKind =
  | 'boilOff'
  | 'boilRing'
  | 'boilLevel'
  | 'power'
  | 'heatLoss'
  | 'strainLoss'
  | 'press'
  | 'juiceBy'
  | 'minutes'
  | 'jug'
  | 'sweet'
  | 'pictures'
  | 'purchase';

export interface LearntSpreadRow {
  kind: LearntKind;
  /** Standard deviation of the logarithm, before anything was read in this kitchen. */
  sigma: number;
  source: string;
  confidence: Confidence;
}

/**
 * How far a kitchen may be off, told apart by what it belongs to. What the ranges draw as one (all that steams) is here in
 * its parts, which make as much together.
 */
export const LEARNT_SPREAD_ROWS: readonly LearntSpreadRow[] = [
  {
    kind: 'boilOff',
    sigma: 0.22,
    source: 'Pots: how they lose heat at their rim and how their lid sits; with ring and level a quarter',
    confidence: 'm',
  },
  {
    kind: 'boilRing',
    sigma: 0.08,
    source: 'Rings: how evenly they heat the bottom of a pot',
    confidence: 'l',
  },
  {
    kind: 'boilLevel',
    sigma: 0.08,
    source: 'Cooks: what one calls gentle another calls lively',
    confidence: 'm',
  },
  {
    kind: 'power',
    sigma: 0.12,
    source: 'Ring powers are nominal, and pots catch more or less of them',
    confidence: 'm',
  },
  {
    kind: 'heatLoss',
    sigma: 0.15,
    source: 'Draughts, lids that sit badly, how much ice, full or empty fridges',
    confidence: 'm',
  },
  { kind: 'strainLoss', sigma: 0.4, source: 'Drips and wet cloths: half or double', confidence: 'l' },
  {
    kind: 'press',
    sigma: 0.12,
    source: 'How hard a hand presses, whatever lies in the sieve',
    confidence: 'm',
  },
  {
    kind: 'juiceBy',
    sigma: 0.12,
    source: 'How hard a hand squeezes, how fine a blender cuts and how dry a juicer leaves the pulp',
    confidence: 'l',
  },
  {
    kind: 'minutes',
    sigma: 0.3,
    source: 'Handwork: one cook takes three quarters of the time, another a third more',
    confidence: 'm',
  },
  {
    kind: 'sweet',
    sigma: 0.15,
    source: 'Households: one ends a sixth sweeter than a recipe aims, another as much less',
    confidence: 'm',
  },
  {
    kind: 'purchase',
    sigma: 0.15,
    source: 'Dried calyces and roots: one sack against the next, by harvest, age and how it was kept',
    confidence: 'l',
  },
  {
    kind: 'pictures',
    sigma: 0.3,
    source: 'Spoons of another depth, cameras of another make, another red of the calyx',
    confidence: 'l',
  },
  { kind: 'jug', sigma: 0.03, source: 'Marks on kitchen jugs: three per cent off', confidence: 'm' },
];
