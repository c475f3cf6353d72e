import { BOOK, defaultChoices, type Kitchen, type PlanDoc } from '@big-ladle/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Plans that are being made and not kept yet, by drink; they survive a reload of this window. */
export const usePlanDrafts = create<{
  drafts: Record<string, PlanDoc>;
  put: (key: string, plan: PlanDoc) => void;
  drop: (key: string) => void;
}>()(
  persist(
    (set) => ({
      drafts: {},
      put: (key, plan) => set((s) => ({ drafts: { ...s.drafts, [key]: plan } })),
      drop: (key) =>
        set((s) => {
          const { [key]: _, ...rest } = s.drafts;
          return { drafts: rest };
        }),
    }),
    { name: 'big-ladle-plans', storage: createJSONStorage(() => sessionStorage) },
  ),
);

/** The plan a drink starts with in this kitchen: its own litres, or what the largest pot and the fridge allow. */
export function firstPlan(recipeId: string, kitchen: Kitchen): PlanDoc | null {
  const recipe = BOOK.find((r) => r.id === recipeId);
  const pot = [...kitchen.pots].sort(
    (a, b) => b.diameterCm ** 2 * b.heightCm - a.diameterCm ** 2 * a.heightCm,
  )[0];
  const burner = [...kitchen.burners].sort((a, b) => b.powerW - a.powerW)[0];
  const methodId = recipe?.methods[0];
  if (!recipe || !pot || !burner || !methodId) return null;
  return {
    recipeId,
    choices: defaultChoices(recipe, methodId),
    potId: pot.id,
    burnerId: burner.id,
    question: { kind: 'litres', litres: Math.min(recipe.basisL, kitchen.fridgeFreeL) },
    fills: 1,
    readyAtMs: null,
  };
}
