import type { Press } from '../tables/types.ts';
import type { LineId, LineKind, ScaleRule } from './types.ts';

/** The ways of drawing that the book knows. */
export type MethodId = 'shortBoilLongSteep' | 'straightBoil';
export const METHOD_IDS: readonly MethodId[] = ['shortBoilLongSteep', 'straightBoil'];

/** Where in the work a line comes in. */
export type Stream = 'pot' | 'after' | 'sweet';

/** An ingredient line for `basisL` finished litres. */
export interface RecipeLine {
  id: LineId;
  kind: LineKind;
  itemId: string;
  /** Grams; for liquids at 20 °C, for pieces what they weigh. Water of rule `toVolume` has 0: it fills up. */
  massG: number;
  rule: ScaleRule;
  stream: Stream;
  /** What is done to it before it goes in. */
  wash: 'none' | 'swirl' | 'scrub';
  prep: { code: string; minutes: number } | null;
}

/** A drink in the book. Proportions are per `basisL` litres in bottles. */
export interface Recipe {
  id: string;
  version: number;
  /** Word codes: `drink.<id>` for the name, `drink.<id>.about` for a line about it. */
  lines: readonly RecipeLine[];
  basisL: number;
  methods: readonly MethodId[];
  press: Press;
  cloth: boolean;
  /** Sugar-equivalent g per 100 g that the finished drink is sweetened to; 0: left plain. */
  targetSweetnessPct: number;
  /** How the methods' lengths suit this drink, minutes. */
  times: { boilMin: number; steepMin: number; straightBoilMin: number };
}

/** What a cook chooses for this batch besides amounts. */
export interface Choices {
  methodId: MethodId;
  rinses: number;
  boilMin: number;
  /** Long steep: how long, and where it stands. */
  steepMin: number;
  steepPlace: 'fridge' | 'counter';
  /** How the strained liquor is cooled. */
  coolBy: 'iceBath' | 'counter' | 'fridge';
  lid: 'on' | 'ajar' | 'off';
  press: Press;
  targetSweetnessPct: number;
  hygiene: 'clean' | 'sterilised';
}

/** Steeps longer than this stand cold by default. */
const LONG_STEEP_MIN = 240;

/** The choices a recipe starts with under a method. */
export function defaultChoices(recipe: Recipe, methodId: MethodId): Choices {
  return {
    methodId,
    rinses: 4,
    boilMin: methodId === 'straightBoil' ? recipe.times.straightBoilMin : recipe.times.boilMin,
    steepMin: recipe.times.steepMin,
    steepPlace: recipe.times.steepMin > LONG_STEEP_MIN ? 'fridge' : 'counter',
    coolBy: 'iceBath',
    lid: 'ajar',
    press: recipe.press,
    targetSweetnessPct: recipe.targetSweetnessPct,
    hygiene: 'sterilised',
  };
}
