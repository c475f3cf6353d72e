import type { Burner, Kitchen, Pot } from '../../documents/kitchen.ts';
import type { Choices, Recipe } from '../../documents/recipe.ts';
import type { Tables } from '../../tables/types.ts';
import type { ProgramLine } from '../model/types.ts';

/** A batch to be compiled: what is made, where, how much of it. */
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
  /** Finished litres aimed at, for handling times only. */
  litres: number;
  /** How many times the recipe it is, for what is said in litres or up to a mark; unsaid: by its litres. */
  times?: number;
}
