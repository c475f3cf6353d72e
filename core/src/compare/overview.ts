import type { Kitchen } from '../documents/kitchen.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { abvPct, markerGPerL, sournessGPerL, volumeMl } from '../liquor/composition.ts';
import { type InGlass, inGlassOf } from '../liquor/looks.ts';
import { solvePlan } from '../plan/solve.ts';
import { timetableFrom } from '../plan/startBy.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { potCapacityMl } from '../program/model/kitchen.ts';
import { finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { familyOfItem } from '../tables/families.ts';
import type { Tables } from '../tables/types.ts';

/** A drink at a glance, for finding it: as this kitchen would make it. */
export interface DrinkOverview {
  recipeId: string;
  /** Null: it does not work out in this kitchen. */
  methods: readonly { methodId: MethodId; totalMin: number; handsOnMin: number }[];
  /** Nothing sweet is added; fruit keeps its own. */
  noAddedSugar: boolean;
  /** Made without its sweetener it is still no lemon to bite into: mild, or with fruit enough to round it. */
  standsPlain: boolean;
  alcohol: boolean;
  /** Little ginger, no chilli, no garlic: for children over one year. */
  mild: boolean;
  /** Expected in a glass, by its first method; null: it does not work out in this kitchen. */
  inGlass: InGlass | null;
  /** Plants and things it is made of. */
  families: readonly string[];
}

/** Under this a drink is mild enough without sugar, g/L; above it wants so much sugar of fruit for each gram of acid. */
const PLAIN_SOUR_G_PER_L = 3;
const PLAIN_SUGAR_PER_ACID = 6;

/** Sharper than this a drink is not for children, g/L of the marker. */
const MILD_G_PER_L = { ginger: 12, chilli: 0.02, garlic: 0.1, turmeric: 12 } as const;

export const familiesOf = (recipe: Recipe): string[] => [
  ...new Set(
    recipe.lines.flatMap((l) => {
      const family = familyOfItem(l.itemId);
      return family && !family.plainWater ? [family.id] : [];
    }),
  ),
];

/** Drinks as this kitchen would make them: times by each method, and what they are good for. */
export function overviewOf(recipe: Recipe, kitchen: Kitchen, tables: Tables): DrinkOverview {
  const pot = [...kitchen.pots].sort((a, b) => potCapacityMl(b) - potCapacityMl(a))[0];
  const burner = [...kitchen.burners].sort((a, b) => b.powerW - a.powerW)[0];
  const methods: DrinkOverview['methods'][number][] = [];
  let alcohol = recipe.lines.some((l) => (tables.liquids.get(l.itemId)?.abvPct ?? 0) > 0);
  let mild = true;
  let standsPlain = true;
  let inGlass: DrinkOverview['inGlass'] = null;
  if (pot && burner) {
    for (const methodId of recipe.methods) {
      const solved = solvePlan({
        recipe,
        choices: defaultChoices(recipe, methodId),
        kitchen,
        tables,
        pot,
        burner,
        wish: {
          question: { kind: 'litres', litres: Math.min(recipe.basisL, kitchen.fridgeFreeL) },
          fills: 'asNeeded',
        },
      });
      if (!solved.ok) continue;
      const sim = simulateBatch(solved.value.program, kitchen, tables);
      methods.push({
        methodId,
        totalMin: sim.endMin,
        handsOnMin: timetableFrom(solved.value.program, sim, 0).handsOnMin,
      });
      const liquor = finishedLiquor(sim);
      if (!liquor || volumeMl(liquor) < 1) continue;
      const sour = sournessGPerL(liquor);
      inGlass ??= inGlassOf(liquor);
      const ownSugarGPerL = (liquor.sugarG - liquor.addedSugarG) / (volumeMl(liquor) / 1000);
      if (sour > PLAIN_SOUR_G_PER_L && ownSugarGPerL < PLAIN_SUGAR_PER_ACID * sour) standsPlain = false;
      if (abvPct(liquor) > 0.1) alcohol = true;
      for (const [marker, most] of Object.entries(MILD_G_PER_L))
        if (markerGPerL(liquor, marker as keyof typeof MILD_G_PER_L) > most) mild = false;
    }
  }
  return {
    recipeId: recipe.id,
    methods,
    noAddedSugar: !recipe.lines.some(
      (l) => l.kind === 'sweetener' && (l.rule.kind !== 'toTarget' || recipe.targetSweetnessPct > 0),
    ),
    standsPlain,
    alcohol,
    mild: mild && !alcohol,
    inGlass,
    families: familiesOf(recipe),
  };
}
