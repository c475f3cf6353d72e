/** What is left in the cloth, on the board and in the spoon. */
export const LEFTOVER_KINDS = [
  'calyx',
  'pulp',
  'peel',
  'zest',
  'root',
  'spice',
  'herb',
  'syrup',
  'foam',
] as const;
export type LeftoverKind = (typeof LEFTOVER_KINDS)[number];

/** What it may become. */
export const LEFTOVER_USES = [
  'jam',
  'bake',
  'stock',
  'glaze',
  'secondBrew',
  'spicePaste',
  'candied',
  'compost',
  'animals',
] as const;
export type LeftoverUse = (typeof LEFTOVER_USES)[number];

export interface LeftoverRow {
  kind: LeftoverKind;
  uses: readonly LeftoverUse[];
  /** Days in the fridge after boiling, raw, and in the freezer. */
  fridgeDays: { boiled: number; raw: number };
  freezerDays: number;
  /** A usual portion for the freezer, g. */
  portionG: number;
  source: string;
}

const SOURCE =
  'Conservative reading of public guidance for cooked and raw fruit kept cold; freezing for quality, not safety';

export const LEFTOVER_ROWS: readonly LeftoverRow[] = [
  {
    kind: 'calyx',
    uses: ['secondBrew', 'jam', 'glaze', 'bake', 'compost'],
    fridgeDays: { boiled: 3, raw: 1 },
    freezerDays: 90,
    portionG: 250,
    source: SOURCE,
  },
  {
    kind: 'pulp',
    uses: ['bake', 'jam', 'glaze', 'compost', 'animals'],
    fridgeDays: { boiled: 2, raw: 1 },
    freezerDays: 90,
    portionG: 200,
    source: SOURCE,
  },
  {
    kind: 'peel',
    uses: ['secondBrew', 'stock', 'compost', 'animals'],
    fridgeDays: { boiled: 2, raw: 2 },
    freezerDays: 90,
    portionG: 300,
    source: SOURCE,
  },
  {
    kind: 'zest',
    uses: ['candied', 'bake', 'spicePaste', 'compost'],
    fridgeDays: { boiled: 3, raw: 3 },
    freezerDays: 120,
    portionG: 50,
    source: SOURCE,
  },
  {
    kind: 'root',
    uses: ['spicePaste', 'secondBrew', 'bake', 'stock', 'compost'],
    fridgeDays: { boiled: 3, raw: 2 },
    freezerDays: 120,
    portionG: 60,
    source: SOURCE,
  },
  {
    kind: 'spice',
    uses: ['spicePaste', 'stock', 'secondBrew', 'compost'],
    fridgeDays: { boiled: 3, raw: 3 },
    freezerDays: 120,
    portionG: 30,
    source: SOURCE,
  },
  {
    kind: 'herb',
    uses: ['stock', 'compost'],
    fridgeDays: { boiled: 1, raw: 1 },
    freezerDays: 60,
    portionG: 50,
    source: SOURCE,
  },
  {
    kind: 'syrup',
    uses: ['glaze', 'bake', 'jam'],
    fridgeDays: { boiled: 7, raw: 3 },
    freezerDays: 120,
    portionG: 200,
    source: SOURCE,
  },
  {
    kind: 'foam',
    uses: ['glaze', 'bake', 'compost'],
    fridgeDays: { boiled: 1, raw: 1 },
    freezerDays: 30,
    portionG: 100,
    source: SOURCE,
  },
];

/** What speaks against giving a leftover to hens, rabbits, pigs or the heap; empty: nothing is known against it. */
export const SCREEN_CODES = ['spice', 'citrus', 'sugar', 'stones', 'garlic', 'alcohol', 'unknown'] as const;
export type ScreenCode = (typeof SCREEN_CODES)[number];
