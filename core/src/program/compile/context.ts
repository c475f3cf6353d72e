import type { Burner, Kitchen, Pot } from '../../documents/kitchen.ts';
import type { Choices, Recipe } from '../../documents/recipe.ts';
import type { Tables } from '../../tables/types.ts';
import { potCapacityMl } from '../model/kitchen.ts';
import type { ProgramLine } from '../model/program.ts';

/** What is made, by which choices, and where. */
export interface BatchBasis {
  recipe: Recipe;
  choices: Choices;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  burner: Burner;
  /** Pots that stand beside it, each with a ring of its own: one load for each pot, whatever is wished of loads. */
  beside?: readonly { pot: Pot; burner: Burner }[];
}

/** A batch to be compiled: how much of it is made. */
export interface BuildInput extends BatchBasis {
  /** The recipe's lines with the amounts of this batch; a `toVolume` line carries all the water. */
  lines: readonly ProgramLine[];
  fills: number;
  /** Finished litres aimed at, for handling times only. */
  litres: number;
  /** How many times the recipe it is, for what is said in litres or up to a mark; unsaid: by its litres. */
  times?: number;
}

/** The pots of a batch, the first before those beside it. */
export const potsOf = (c: Pick<BuildInput, 'pot' | 'burner' | 'beside'>): { pot: Pot; burner: Burner }[] => [
  { pot: c.pot, burner: c.burner },
  ...(c.beside ?? []),
];

/** What each pot takes where several stand side by side: as much of all as it is of all of them. */
export function loadSharesOf(c: Pick<BuildInput, 'pot' | 'burner' | 'beside'>): number[] | undefined {
  if (!c.beside?.length) return undefined;
  const takesMl = potsOf(c).map(({ pot }) => potCapacityMl(pot));
  const allMl = takesMl.reduce((sum, ml) => sum + ml, 0);
  return takesMl.map((ml) => ml / allMl);
}
