import type { MethodId, Recipe } from './documents/recipe.ts';
import { solvePlan } from './plan/solve.ts';
import type { Solution } from './plan/wish.ts';
import { BOOK } from './program/book/book.ts';
import { defaultChoices } from './program/book/recipe.ts';
import type { PlannedProgram } from './program/model/program.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from './testKitchen.ts';
import { unwrap } from './units/result.ts';

/** A recipe as it is planned in the blue pot on the gas ring. */
export const planned = (
  recipe: Recipe,
  methodId: MethodId,
  litres: number,
  fills: number | 'asNeeded',
): Solution =>
  unwrap(
    solvePlan({
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres }, fills },
    }),
  );

/** A shipped drink so planned, in one fill. */
export const plannedDrink = (id: string, methodId: MethodId, litres: number): PlannedProgram =>
  planned(BOOK.find((r) => r.id === id)!, methodId, litres, 1).program;
