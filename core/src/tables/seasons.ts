import type { Confidence } from './types.ts';

/** A plant that a cook may grow for a feast a year ahead. */
export interface SeasonRow {
  familyId: string;
  /** From sowing, planting or setting a root until it can be picked, days: the soonest and the latest. */
  toHarvestDays: readonly [soonest: number, latest: number];
  /** How it begins. */
  begins: 'seed' | 'root' | 'clove' | 'cutting';
  /** Picked it stays good so long in the cold, days. */
  freshDays: number;
  /** Until it is dry, and how long it is good then, days; null: it is not dried. */
  dried: { inDays: number; goodDays: number } | null;
  source: string;
  confidence: Confidence;
}

const PACKETS =
  'Usual figures of seed packets and growing guides for warm months, rounded to the cautious side';
const STORES = 'Growing guides for roots in warm climates; elsewhere in pots under cover, and later';

const row = (
  familyId: string,
  begins: SeasonRow['begins'],
  toHarvestDays: SeasonRow['toHarvestDays'],
  freshDays: number,
  dried: SeasonRow['dried'] = null,
  source = PACKETS,
): SeasonRow => ({ familyId, begins, toHarvestDays, freshDays, dried, source, confidence: 'm' });

/** Sowing to harvest, and harvest to use. */
export const SEASON_ROWS: readonly SeasonRow[] = [
  row('hibiscus', 'seed', [120, 180], 7, { inDays: 10, goodDays: 365 }),
  row('ginger', 'root', [240, 300], 21, null, STORES),
  row('turmeric', 'root', [240, 300], 21, null, STORES),
  row('lemongrass', 'cutting', [90, 130], 14, { inDays: 10, goodDays: 300 }),
  row('mint', 'cutting', [60, 90], 5, { inDays: 7, goodDays: 270 }),
  row('basil', 'seed', [50, 75], 4, { inDays: 7, goodDays: 240 }),
  row('thyme', 'seed', [85, 110], 7, { inDays: 7, goodDays: 300 }),
  row('chilli', 'seed', [100, 150], 10, { inDays: 14, goodDays: 365 }),
  row('garlic', 'clove', [210, 270], 90),
  row('watermelon', 'seed', [80, 110], 7),
  row('cucumber', 'seed', [50, 70], 7),
  row('beetroot', 'seed', [60, 90], 21),
  row('coriander', 'seed', [90, 120], 5, { inDays: 14, goodDays: 365 }),
];

/** How long before it is wanted a thing is ordered, by the kind of shop, days: what is rare in town comes by post. Source: usual delivery times. */
export const ORDER_BEFORE_DAYS = { market: 2, dry: 14, spice: 14, store: 7 } as const;
