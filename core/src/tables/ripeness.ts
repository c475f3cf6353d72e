/** How sweet a fruit is against the tables, as the cook tastes it: a tap at the step where it is cut or poured. */
export interface RipenessRow {
  cue: string;
  /** Of its sugar in the tables. */
  sugarFactor: number;
  source: string;
}

const SOURCE = 'Range of sugar in composition tables from pale to very ripe fruit, about a quarter each way';

export const RIPENESS_ROWS: readonly RipenessRow[] = [
  { cue: 'fruit.ripe', sugarFactor: 1.25, source: SOURCE },
  { cue: 'fruit.usual', sugarFactor: 1, source: SOURCE },
  { cue: 'fruit.sharp', sugarFactor: 0.75, source: SOURCE },
];

/** What water may be that nobody boils: asked before the first litre. The last kind is to be boiled first. */
export const WATER_CUES = ['water.tap', 'water.boiled', 'water.bottled', 'water.untreated'] as const;
export const UNTREATED_WATER = 'water.untreated';
