import type { MarkerId } from './types.ts';

/** Herbs that are strong enough to be counted by the day. */
export interface StrongHerbRow {
  marker: MarkerId;
  /** A moderate day for a grown person, g as the marker is counted: fresh grated root, fresh cloves, dried pod. */
  moderateGPerDay: number;
  source: string;
}

const SOURCE =
  'Usual moderate kitchen amounts; not a medical limit, which is for a pharmacist or doctor to say';

export const STRONG_HERB_ROWS: readonly StrongHerbRow[] = [
  { marker: 'ginger', moderateGPerDay: 20, source: SOURCE },
  { marker: 'turmeric', moderateGPerDay: 15, source: SOURCE },
  { marker: 'garlic', moderateGPerDay: 8, source: SOURCE },
  { marker: 'chilli', moderateGPerDay: 1, source: SOURCE },
];
