import type { Burner, Kitchen, Pot } from '../documents/kitchen.ts';
import type { Choices, Recipe, RecipeLine } from '../documents/recipe.ts';
import type { Tables } from '../tables/types.ts';
import type { StepBuilder } from './stepBuilder.ts';
import type { Attention, LineId, ProgramLine, Until } from './types.ts';

/** Vessels of every method: the pot that boils, a bowl for what is washed, a tub that receives, the bottles. */
export const POT = 'pot';
export const BOWL = 'bowl';
export const TUB = 'tub';
export const BOTTLES = 'bottles';
export const SPENT = 'spent';
export const SPICE_POT = 'spicePot';
export const BLENDER = 'blender';
/** Raw juice waits here, cold, until it is stirred in. */
export const JUG = 'jug';
/** Where a part made aside waits. */
export const jarOf = (partId: string): string => `jar-${partId}`;
export const partOfJar = (vesselId: string): string => vesselId.replace(/^jar-/, '');

export const minutes = (value: number, range?: { min: number; max: number }): Until =>
  range
    ? { kind: 'duration', minutes: value, minMinutes: range.min, maxMinutes: range.max }
    : { kind: 'duration', minutes: value };

export interface BuildInput {
  recipe: Recipe;
  choices: Choices;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  burner: Burner;
  /** The recipe's lines with the amounts of this batch; a `toVolume` line carries all the water. */
  lines: readonly ProgramLine[];
  fills: number;
  litres: number;
}

/** What the parts of a method work on. */
export interface BuildContext extends BuildInput {
  b: StepBuilder;
  perFillL: number;
  hands: Attention;
  onStove: 'on' | 'ajar' | 'off';
  covered: 'on' | 'off';
  /** Lines as the method takes them: ids by where they come in. */
  potLines: LineId[];
  late: RecipeLine[];
  offHeat: RecipeLine[];
  rawFruit: RecipeLine[];
  /** Water of the first and second draw, or of blending and rinsing. */
  waterLines: { first: LineId[]; second: LineId[] };
}
