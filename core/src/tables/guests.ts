import type { Confidence } from './types.ts';

/** How people drink where a feast is given: what a cook counts with before her own house has taught her better. */

export const AGES = ['adult', 'teen', 'child', 'infant'] as const;
export type Age = (typeof AGES)[number];
export const THIRSTS = ['little', 'usual', 'much'] as const;
export type Thirst = (typeof THIRSTS)[number];

interface Row {
  source: string;
  confidence: Confidence;
}
const HOSTS = 'Rule of thumb of hosts and caterers: two glasses in the first hour, one in each further one';
const JUDGED = 'Judged; a house learns its own from its gatherings';

/** Glasses of an adult in the first hour and in each further one. */
export const GLASSES: Row & { firstHour: number; furtherHour: number } = {
  firstHour: 2,
  furtherHour: 1,
  source: HOSTS,
  confidence: 'l',
};

/** Against an adult. Infants get none of these drinks. */
export const AGE_ROWS: readonly (Row & { age: Age; factor: number })[] = [
  { age: 'adult', factor: 1, source: HOSTS, confidence: 'l' },
  { age: 'teen', factor: 1, source: JUDGED, confidence: 'l' },
  { age: 'child', factor: 0.6, source: JUDGED, confidence: 'l' },
  { age: 'infant', factor: 0, source: 'Water and milk only', confidence: 'h' },
];

export const THIRST_ROWS: readonly (Row & { thirst: Thirst; factor: number })[] = [
  { thirst: 'little', factor: 0.7, source: JUDGED, confidence: 'l' },
  { thirst: 'usual', factor: 1, source: HOSTS, confidence: 'l' },
  { thirst: 'much', factor: 1.35, source: JUDGED, confidence: 'l' },
];

/** Heat of the day: above this each degree makes so much more thirst, up to a bound. */
export const HEAT: Row & { fromC: number; perC: number; mostC: number } = {
  fromC: 24,
  perC: 0.03,
  mostC: 38,
  source: JUDGED,
  confidence: 'l',
};

/** Where beer, wine or spirits stand beside, so much of the thirst is left for these drinks. */
export const ALCOHOL_BESIDE: Row & { factor: number } = { factor: 0.7, source: JUDGED, confidence: 'l' };

/** Of those who are asked, so many come. */
export const TURN_OUT: Row & { share: number } = { share: 0.92, source: HOSTS, confidence: 'l' };
/** Spilt, left in glasses and jugs, on top of what is drunk. */
export const SPILT: Row & { share: number } = { share: 0.07, source: HOSTS, confidence: 'l' };

/**
 * How sure the count is: the rule itself before any gathering of this house, how fast a gathering makes it surer, the
 * evening, and one person against another. Coefficients of variation.
 */
export const DEMAND_SPREAD: Row & { rule: number; learnt: number; evening: number; person: number } = {
  rule: 0.25,
  learnt: 1.3,
  evening: 0.2,
  person: 0.45,
  source: JUDGED,
  confidence: 'l',
};

/** What a table jug holds, mL. */
export const TABLE_JUG: Row & { volumeMl: number } = {
  volumeMl: 1500,
  source: 'Usual table jugs hold one and a half to two litres',
  confidence: 'l',
};
