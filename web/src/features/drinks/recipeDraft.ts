import type { OwnStepKind, Recipe, RecipeLine, RecipeStep } from '@big-ladle/core/documents';
import { TAP_WATER_ID } from '@big-ladle/core/tables';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

export interface RecipeDraft {
  recipe: Recipe;
  /** The version it was opened at; 0 for one that is not kept yet. */
  openedAt: number;
  /** Slips that the cook has said are meant. */
  meant: string[];
}

/** Recipes being written, by the place they are written at; they survive a reload of this window. */
export const useRecipeDrafts = create<{
  drafts: Record<string, RecipeDraft>;
  put: (key: string, draft: RecipeDraft) => void;
  drop: (key: string) => void;
}>()(
  persist(
    (set) => ({
      drafts: {},
      put: (key, draft) => set((s) => ({ drafts: { ...s.drafts, [key]: draft } })),
      drop: (key) =>
        set((s) => {
          const { [key]: _, ...rest } = s.drafts;
          return { drafts: rest };
        }),
    }),
    { name: 'big-ladle-recipes', storage: createJSONStorage(() => sessionStorage) },
  ),
);

const WATER: RecipeLine = {
  id: TAP_WATER_ID,
  kind: 'liquid',
  itemId: TAP_WATER_ID,
  massG: 0,
  rule: { kind: 'toVolume' },
  stream: 'pot',
  wash: 'none',
  prep: null,
};

const step = (
  kind: OwnStepKind,
  minutes: number,
  lineIds: string[] = [],
  extra: Partial<RecipeStep> = {},
): RecipeStep => ({
  id: uuid(),
  kind,
  minutes,
  lineIds,
  ...extra,
});

/** An empty page with the steps nearly every drink has. */
export const newRecipe = (): Recipe => ({
  id: uuid(),
  version: 1,
  name: '',
  family: 'own',
  serve: 'either',
  lines: [WATER],
  steps: [
    step('combine', 4, [WATER.id]),
    step('heat', 0),
    step('boil', 15, [], { level: 'gentle' }),
    step('strain', 15, [], { press: 'press' }),
    step('cool', 0, [], { place: 'iceBath' }),
    step('bottle', 20),
  ],
  basisL: 4,
  methods: ['own'],
  press: 'press',
  cloth: false,
  targetSweetnessPct: 8,
  times: {},
});

/** A recipe of the book under a name of its own: what differs from it is shown as such. */
export const variantOf = (recipe: Recipe, name: string): Recipe => ({
  ...recipe,
  id: uuid(),
  version: 1,
  name,
  about: '',
  base: { id: recipe.id, version: recipe.version },
});
