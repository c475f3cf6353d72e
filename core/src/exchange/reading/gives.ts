import { type Burner, EMPTY_KITCHEN, type Kitchen, type Pot } from '../../documents/kitchen.ts';
import type { Recipe } from '../../documents/recipe.ts';
import { solvePlan } from '../../plan/solve.ts';
import { defaultChoices } from '../../program/book/recipe.ts';
import type { Tables } from '../../tables/types.ts';

/** A kitchen in which everything has room: what a recipe gives does not hang on whose pot it is. */
const RING: Burner = { id: 'ring', name: '', kind: 'gas', powerW: 8000 };
const ROOMY_POT: Pot = {
  id: 'roomy',
  name: '',
  diameterCm: 40,
  heightCm: 60,
  material: 'stainless',
  lid: true,
  massG: null,
};
const ROOMY: Kitchen = { ...EMPTY_KITCHEN, pots: [ROOMY_POT], burners: [RING], fridgeFreeL: 1000 };

/** Litres that the stated amounts give. Null where it cannot be worked out yet: the editor says why. */
export function litresOf(recipe: Recipe, tables: Tables): number | null {
  const solved = solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'own'),
    kitchen: ROOMY,
    tables,
    pot: ROOMY_POT,
    burner: RING,
    wish: { question: { kind: 'litres', litres: recipe.basisL }, fills: 1 },
  });
  if (!solved.ok) return null;
  const at = recipe.lines.findIndex((l) => l.rule.kind === 'linear' && l.massG > 0);
  const scaled = solved.value.program.lines.find((l) => l.id === recipe.lines[at]?.id);
  return scaled && scaled.massG > 0 ? (recipe.basisL * recipe.lines[at]!.massG) / scaled.massG : null;
}
