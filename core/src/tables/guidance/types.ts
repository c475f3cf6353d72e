import type { Tag } from '../traits.ts';

export type Severity = 'check' | 'hint' | 'caution' | 'danger';

/** What a row is to the cook: told, asked to look, a way to choose with what it costs, or a warning. */
export type GuidanceKind = 'prompt' | 'check' | 'choice' | 'caution';

/** Where something is said that is no step of a program. */
export const GUIDANCE_PLACES = ['choose', 'setAside', 'serve'] as const;
export type GuidancePlace = (typeof GUIDANCE_PLACES)[number];

/** Further conditions on the step, the kitchen or the course of the batch, checked by `guidanceFor`. */
export type Only =
  | 'lidOn'
  | 'reactivePot'
  | 'counter'
  | 'longCounter'
  | 'warmIntoFridge'
  | 'cloth'
  | 'iceBath'
  | 'hotLiquor'
  | 'pressedHot'
  | 'coldCrystals'
  | 'waterUnboiled'
  | 'neverBoiled'
  | 'bigPot'
  | 'wasClean'
  | 'unattended'
  | 'withAcid'
  | 'thrown'
  | 'ownFruit'
  | 'filledHot'
  | 'secondDraw';

export interface GuidanceRow {
  code: string;
  severity: Severity;
  /** Left out: a check is a check, a hint a prompt, anything graver a caution. */
  kind?: GuidanceKind;
  /** Step kinds, or places, at which it matters. */
  at: readonly (string | GuidancePlace)[];
  /** What of the drink, or of what the step takes up, brings it in; empty: always. */
  when: readonly Tag[];
  only?: Only;
  /** Only where the step takes longer than this, minutes. */
  overMin?: number;
}
