import type { Confidence } from './types.ts';

/** What a constant of the model moves. */
export type Driven = 'litres' | 'strength' | 'time';

export interface SpreadRow {
  id: SpreadId;
  drives: readonly Driven[];
  /** Standard deviation of the logarithm; by confidence where it belongs to rows of a table. */
  sigma: number | Readonly<Record<Confidence, number>>;
  source: string;
}

export type SpreadId =
  | 'boilOff'
  | 'power'
  | 'heatLoss'
  | 'strainLoss'
  | 'held'
  | 'rate'
  | 'potencyCalyx'
  | 'potencyGinger'
  | 'potency'
  | 'juice';

/** By confidence of a row: high, medium, low. */
const BY_CONFIDENCE: Readonly<Record<Confidence, number>> = { h: 0.08, m: 0.18, l: 0.35 };

/** How far the constants of the model may be off in a kitchen nobody has measured. */
export const SPREAD_ROWS: readonly SpreadRow[] = [
  {
    id: 'boilOff',
    drives: ['litres', 'strength'],
    sigma: 0.25,
    source: 'Flames and lids differ: open pots at one setting lose a quarter more or less',
  },
  {
    id: 'power',
    drives: ['time'],
    sigma: 0.12,
    source: 'Ring powers are nominal, and pots catch more or less of them',
  },
  {
    id: 'heatLoss',
    drives: ['time'],
    sigma: 0.15,
    source: 'Draughts, lids that sit badly, full or empty fridges',
  },
  { id: 'strainLoss', drives: ['litres'], sigma: 0.4, source: 'Drips and wet cloths: half or double' },
  {
    id: 'held',
    drives: ['litres', 'strength'],
    sigma: BY_CONFIDENCE,
    source: 'How hard a hand presses, by the confidence of the row',
  },
  {
    id: 'rate',
    drives: ['strength'],
    sigma: BY_CONFIDENCE,
    source: 'How finely things are broken, by the confidence of the row',
  },
  {
    id: 'potencyCalyx',
    drives: ['strength'],
    sigma: 0.15,
    source: 'Calyx of one bag against another: a quarter either way',
  },
  {
    id: 'potencyGinger',
    drives: ['strength'],
    sigma: 0.15,
    source: 'Young or old root: a quarter either way',
  },
  {
    id: 'potency',
    drives: ['strength'],
    sigma: BY_CONFIDENCE,
    source: 'Any other plant, by the confidence of its row',
  },
  { id: 'juice', drives: ['litres', 'strength'], sigma: 0.18, source: 'Fruit gives a third more or less' },
];
