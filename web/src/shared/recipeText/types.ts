import type { Kitchen, Program, Recipe, Simulation, Tables } from '@big-ladle/core';

/** What a recipe, or a batch as it was made, is written down from. */
export interface TextInput {
  recipe: Recipe;
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  tables: Tables;
  /** What was really stirred in, by line, for a batch that is done. */
  addedG?: Readonly<Record<string, number>>;
}
