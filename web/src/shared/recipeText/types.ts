import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import type { Program, Simulation } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';

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
