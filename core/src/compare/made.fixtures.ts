import type { Choices, MethodId } from '../documents/recipe.ts';
import { solvePlan } from '../plan/solve.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';

export const calyx = BOOK[0]!;
export function made(id: string, methodId: MethodId, change: Partial<Choices> = {}, litres = 6) {
  const recipe = BOOK.find((r) => r.id === id)!;
  const { program } = unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, methodId), ...change },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[0]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres }, fills: 1 },
    }),
  );
  return { program, sim: simulateBatch(program, KITCHEN, TABLES) };
}
