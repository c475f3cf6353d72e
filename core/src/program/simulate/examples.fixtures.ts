import { solvePlan } from '../../plan/solve.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../../testKitchen.ts';
import { unwrap } from '../../units/result.ts';
import { BOOK } from '../book/book.ts';
import { defaultChoices } from '../book/recipe.ts';
import type { Program, ProgramLine } from '../model/program.ts';

export const line = (id: string, kind: ProgramLine['kind'], itemId: string, massG: number) => ({
  id,
  kind,
  itemId,
  massG,
});
export const WATER_5L = line('water', 'liquid', 'water', 5000 * 0.9982);
export const timed = (minutes: number) => ({ kind: 'duration' as const, minutes });

/** The deep calyx drink, 9 L in the blue pot. */
export function deepCalyx(methodId: 'shortBoilLongSteep' | 'straightBoil' = 'straightBoil'): Program {
  const recipe = BOOK[0]!;
  return unwrap(
    solvePlan({
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 9 }, fills: 1 },
    }),
  ).program;
}
