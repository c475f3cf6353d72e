import type { PlanDoc } from '@big-ladle/core/documents';
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
