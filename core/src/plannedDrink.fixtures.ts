import type { MethodId } from './documents/recipe.ts';
import { solvePlan } from './plan/solve.ts';
import { BOOK } from './program/book/book.ts';
import { defaultChoices } from './program/book/recipe.ts';
import type { PlannedProgram } from './program/model/program.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from './testKitchen.ts';
import { unwrap } from './units/result.ts';

/** A shipped drink as it is planned in the blue pot on the gas ring. */
export function plannedDrink(id: string, methodId: MethodId, litres: number): PlannedProgram {
  const recipe = BOOK.find((r) => r.id === id)!;
  return unwrap(
    solvePlan({
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres }, fills: 1 },
    }),
  ).program;
}
